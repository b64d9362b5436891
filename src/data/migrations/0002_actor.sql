-- Who did it. Sign-in comes later; every write names one of these.
create table actor (
  id bigint unsigned not null auto_increment primary key,
  name varchar(60) not null,
  unique key actor_name (name)
) engine=innodb default charset=utf8mb4;
