-- A task that somebody put off to another hour, or gave to somebody; the newest line of a task counts.
create table task_arranged (
  id bigint unsigned not null auto_increment primary key,
  task_key varchar(80) character set ascii not null,
  person_id bigint unsigned null,
  until_at datetime(3) null,
  reason varchar(300) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key arranged_by_time (at),
  key arranged_of_task (task_key, id),
  constraint arranged_person foreign key (person_id) references actor (id),
  constraint arranged_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
