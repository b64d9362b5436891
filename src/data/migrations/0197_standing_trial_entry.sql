-- What really happened in a trial.
create view standing_trial_entry as
select entry.id, entry.trial_id, entry.kind, entry.on_day, entry.document, entry.actor_id, entry.added_at
from trial_entry entry
left join taken_back slip on slip.kind = 'trial-entry' and slip.row_id = entry.id
where slip.row_id is null;
