-- What a batch made may serve other batches: the lot then knows where it came from.
alter table lot
  add column from_batch_id bigint unsigned null after note,
  add key lot_from_batch (from_batch_id),
  add constraint lot_from_batch foreign key (from_batch_id) references batch (id);
