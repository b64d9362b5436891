-- The end of a batch, once: strained or thrown out.
create table batch_close (
  batch_id bigint unsigned not null primary key,
  kind enum('strained','discarded') not null,
  at datetime(3) not null,
  yield_l decimal(10,3) not null,
  residue varchar(80) not null default '',
  residue_kg decimal(10,3) null,
  labour_min decimal(8,1) not null default 0,
  verdict varchar(16) not null comment 'state as judged at that moment',
  override_reason varchar(300) null comment 'why it was strained against the verdict',
  note varchar(300) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint close_yield check ((kind = 'strained' and yield_l > 0) or (kind = 'discarded' and yield_l = 0)),
  constraint close_batch foreign key (batch_id) references batch (id),
  constraint close_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
