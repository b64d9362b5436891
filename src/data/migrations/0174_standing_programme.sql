-- Schedules as they were told by no slip.
create view standing_programme as
select told.id, told.programme_id, told.name, told.crops, told.steps, told.put_away, told.actor_id, told.added_at
from programme told
left join taken_back slip on slip.kind = 'schedule' and slip.row_id = told.id
where slip.row_id is null;
