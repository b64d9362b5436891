-- Levels that really were read.
create view standing_water_level as
select level.id, level.source_id, level.volume_l, level.at, level.actor_id, level.added_at
from water_level level
left join taken_back slip on slip.kind = 'water-level' and slip.row_id = level.id
where slip.row_id is null;
