-- Plantings that were no slip.
create view standing_planting as
select planting.id, planting.plot_id, planting.actor_id, planting.added_at
from planting
left join taken_back slip on slip.kind = 'planting' and slip.row_id = planting.id
where slip.row_id is null;
