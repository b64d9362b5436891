-- Visits to gathering places that really were.
create view standing_visit as
select visit.id, visit.place_id, visit.lot_id, visit.vigour, visit.note, visit.on_day, visit.actor_id, visit.added_at
from forage_visit visit
left join taken_back slip on slip.kind = 'visit' and slip.row_id = visit.id
where slip.row_id is null;
