-- What was set up and changed later: as it was and as it is since, who did it, and when. Nothing here is rewritten.
create table thing_change (
  id bigint unsigned not null auto_increment primary key,
  kind varchar(20) character set ascii not null,
  thing_id bigint unsigned not null,
  was json not null,
  became json not null,
  note varchar(300) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key changes_of_thing (kind, thing_id, id),
  key changes_by_time (at),
  constraint thing_change_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
