-- One row an intended write. A double tap or a resent request carries the same key and finds the first one's answer.
create table request (
  request_key char(36) character set ascii not null primary key,
  use_case varchar(40) not null,
  actor_id bigint unsigned not null,
  at datetime(3) not null,
  result json null,
  constraint request_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
