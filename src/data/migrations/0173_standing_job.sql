-- Jobs as they were told by no slip.
create view standing_job as
select told.id, told.job_id, told.name, told.for_day, told.steps, told.put_away, told.actor_id, told.added_at
from job told
left join taken_back slip on slip.kind = 'job' and slip.row_id = told.id
where slip.row_id is null;
