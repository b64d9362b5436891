-- What really was seen of a plot.
create view standing_look as
select look.id, look.plot_id, look.at, look.signs, look.note, look.jpeg is not null as has_photo, look.public_id, look.actor_id, look.added_at
from plot_look look
left join taken_back slip on slip.kind = 'look' and slip.row_id = look.id
where slip.row_id is null;
