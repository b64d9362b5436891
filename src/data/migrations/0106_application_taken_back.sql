-- An application that was a slip: it counts no more, for the beds as for the store, and stays readable with who took it back and why.
create table application_taken_back (
  application_id bigint unsigned not null primary key,
  reason varchar(300) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint taken_back_application foreign key (application_id) references application (id),
  constraint taken_back_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
