-- A view keeps the columns that its table had when it was made.
create or replace view standing_entry as
select entry.*
from batch_entry entry
left join batch_entry later on later.corrects_id = entry.id
where later.id is null and entry.kind <> 'withdrawn';
