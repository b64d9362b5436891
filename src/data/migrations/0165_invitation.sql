-- A way in for somebody who has none yet, or lost it: a code in a link or on paper, good once and for some days.
create table invitation (
  id bigint unsigned not null auto_increment primary key,
  code_sha256 binary(32) not null,
  actor_id bigint unsigned not null,
  made_by bigint unsigned null comment 'null for one that was made by a command on the machine',
  made_at datetime(3) not null,
  ends_at datetime(3) not null,
  used_at datetime(3) null,
  unique key invitation_code (code_sha256),
  key invitation_of_actor (actor_id),
  constraint invitation_actor foreign key (actor_id) references actor (id),
  constraint invitation_maker foreign key (made_by) references actor (id)
) engine=innodb default charset=utf8mb4;
