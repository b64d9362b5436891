-- Figures of a laboratory that were no slip.
create view standing_lab_result as
select result.*
from lab_result result
left join taken_back slip on slip.kind = 'lab' and slip.row_id = result.id
where slip.row_id is null;
