-- Waters, taps and gates as they were drawn by no slip.
create view standing_land_mark as
select told.id, told.mark_id, told.kind, told.name, told.line, told.buffer_m, told.put_away, told.actor_id, told.added_at
from land_mark told
left join taken_back slip on slip.kind = 'land-mark' and slip.row_id = told.id
where slip.row_id is null;
