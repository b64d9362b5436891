-- What a store stands in, and the store it was poured from.
alter table store
  add column container enum('breathable','sealed','vented') not null default 'breathable' after place,
  add column parent_id bigint unsigned null after batch_id,
  add column part_no smallint unsigned null after parent_id,
  add constraint store_parent foreign key (parent_id) references store (id);
