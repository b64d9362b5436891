-- A washing that never was; taken back once.
create table cleaning_taken_back (
  cleaning_id bigint unsigned not null primary key,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  constraint taken_back_cleaning foreign key (cleaning_id) references vessel_cleaning (id),
  constraint cleaning_taken_back_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
