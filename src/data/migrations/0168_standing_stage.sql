-- Stages that really were seen.
create view standing_stage as
select seen.id, seen.planting_id, seen.stage, seen.seen_on, seen.actor_id, seen.added_at
from stage_seen seen
left join taken_back slip on slip.kind = 'stage' and slip.row_id = seen.id
where slip.row_id is null;
