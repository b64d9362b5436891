-- What really was read.
create view standing_reading as
select one.id, one.plot_id, one.strip, one.trial_id, one.kind, one.unit, one.value, one.parts, one.on_day, one.is_blind, one.is_again, one.note,
  one.actor_id, one.added_at
from reading one
left join taken_back slip on slip.kind = 'reading' and slip.row_id = one.id
where slip.row_id is null;
