-- The ends that count.
create view standing_close as
  select batch_close.id, batch_close.batch_id, batch_close.kind, batch_close.at, batch_close.yield_l, batch_close.yield_kg, batch_close.residue,
         batch_close.residue_kg, batch_close.labour_min, batch_close.verdict, batch_close.override_reason, batch_close.note, batch_close.actor_id,
         batch_close.added_at, batch_close.rinse_l, batch_close.rinse_to
  from batch_close
  left join close_taken_back on close_taken_back.close_id = batch_close.id
  where close_taken_back.close_id is null;
