-- What a batch left beside what was strained off, and where it went: rows are added, never changed; a later one stands in for an earlier.
create table batch_residue (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  what varchar(20) character set ascii not null,
  went_to varchar(20) character set ascii not null,
  amount decimal(10,3) null,
  unit enum('kg','L') not null,
  place varchar(80) not null default '' comment 'which heap, which tree',
  lot_id bigint unsigned null comment 'what is kept is a lot of the shed',
  override_reason varchar(300) null comment 'why it went where food grows',
  replaces_id bigint unsigned null,
  is_none tinyint(1) not null default 0 comment 'there was no such thing',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key residue_replaced_once (replaces_id),
  key residue_of_batch (batch_id, id),
  constraint residue_batch foreign key (batch_id) references batch (id),
  constraint residue_lot foreign key (lot_id) references lot (id),
  constraint residue_replaces foreign key (replaces_id) references batch_residue (id),
  constraint residue_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
