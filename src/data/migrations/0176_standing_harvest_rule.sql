-- Days before harvest that were set by no slip.
create view standing_harvest_rule as
select told.id, told.hazard, told.touching_d, told.clear_d, told.source, told.actor_id, told.added_at
from harvest_rule told
left join taken_back slip on slip.kind = 'harvest-rule' and slip.row_id = told.id
where slip.row_id is null;
