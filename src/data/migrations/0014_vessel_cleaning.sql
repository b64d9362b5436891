-- A vessel is free again once it was cleaned after the batch; one cleaning a batch.
create table vessel_cleaning (
  batch_id bigint unsigned not null primary key,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  constraint cleaning_close foreign key (batch_id) references batch_close (batch_id),
  constraint cleaning_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
