-- What an addition drew, or what was drawn off, hangs on its line of the log: crossed out, it is in stock again.
alter table stock_movement
  add column entry_id bigint unsigned null after batch_id,
  add constraint movement_entry foreign key (entry_id) references batch_entry (id);
