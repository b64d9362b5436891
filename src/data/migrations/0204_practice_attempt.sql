-- What somebody practised: a training drum to its end, a sum, a caution; nothing of it touches the farm.
create table practice_attempt (
  id bigint unsigned not null auto_increment primary key,
  actor_id bigint unsigned not null,
  exercise varchar(10) not null,
  code varchar(60) not null,
  method_id varchar(40) null,
  outcome varchar(24) null,
  judged json not null,
  on_day date not null,
  added_at datetime(3) not null,
  key attempt_of (actor_id, id),
  constraint practice_attempt_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
