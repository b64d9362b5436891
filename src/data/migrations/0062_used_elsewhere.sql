-- Not all that is used goes into a batch: ash on a path, molasses for the bees. Only what did names one.
alter table stock_movement
  drop constraint movement_of_batch,
  add constraint movement_of_batch check (batch_id is null or kind in ('used', 'corrected'));
