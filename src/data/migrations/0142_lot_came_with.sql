-- What was picked for a batch, or was at hand without having been in the books, came in with the batch that it went into.
alter table lot
  add column came_with_batch_id bigint unsigned null after from_batch_id,
  add constraint lot_came_with foreign key (came_with_batch_id) references batch (id);
