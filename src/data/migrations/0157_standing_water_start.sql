-- Water that really was set aside.
create view standing_water_start as
select start.id, start.source_id, start.purpose, start.volume_l, start.treatment, start.celsius, start.covered, start.place, start.ascorbic_g,
       start.started_at, start.ready_at, start.actor_id, start.added_at
from water_start start
left join taken_back slip on slip.kind = 'water' and slip.row_id = start.id
where slip.row_id is null;
