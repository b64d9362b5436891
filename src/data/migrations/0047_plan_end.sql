-- A plan ends once: it became a batch, or was given up.
create table plan_end (
  plan_id bigint unsigned not null primary key,
  batch_id bigint unsigned null,
  note varchar(200) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  constraint plan_end_plan foreign key (plan_id) references plan (id),
  constraint plan_end_batch foreign key (batch_id) references batch (id),
  constraint plan_end_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
