-- A count sets the record straight; a correction names the line that was wrong, and each line is corrected once. A corrected draw stays its batch's.
alter table stock_movement
  modify kind enum('received','used','wasted','corrected','counted') not null,
  add column corrects_id bigint unsigned null after batch_id,
  add unique key movement_corrected_once (corrects_id),
  add key movement_by_time (at, lot_id),
  add constraint movement_corrects foreign key (corrects_id) references stock_movement (id),
  drop constraint movement_used_by_batch,
  add constraint movement_of_batch check (
    (kind = 'used' and batch_id is not null) or kind = 'corrected' or (kind <> 'used' and batch_id is null)
  );
