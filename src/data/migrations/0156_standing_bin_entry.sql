-- What really was done at worm bins.
create view standing_bin_entry as
select entry.id, entry.bin_id, entry.kind, entry.kg, entry.what, entry.lot_id, entry.at, entry.actor_id
from worm_bin_entry entry
left join taken_back slip on slip.kind = 'bin-entry' and slip.row_id = entry.id
where slip.row_id is null;
