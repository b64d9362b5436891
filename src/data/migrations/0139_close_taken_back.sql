-- An end that never was; taken back once.
create table close_taken_back (
  close_id bigint unsigned not null primary key,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  constraint taken_back_close foreign key (close_id) references batch_close (id),
  constraint close_taken_back_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
