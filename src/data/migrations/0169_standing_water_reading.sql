-- Strips that really were read.
create view standing_water_reading as
select reading.id, reading.source_id, reading.free_mg_per_l, reading.total_mg_per_l, reading.at, reading.actor_id, reading.added_at
from water_reading reading
left join taken_back slip on slip.kind = 'water-read' and slip.row_id = reading.id
where slip.row_id is null;
