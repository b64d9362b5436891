-- It became a batch, or was given up.
create table mixing_end (
  mixing_id bigint unsigned not null primary key,
  batch_id bigint unsigned null,
  note varchar(200) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  constraint mixing_end_mixing foreign key (mixing_id) references mixing (id),
  constraint mixing_end_batch foreign key (batch_id) references batch (id),
  constraint mixing_end_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
