-- Which methods somebody may judge alone, as a steward said last.
create table practice_leave (
  id bigint unsigned not null auto_increment primary key,
  person_id bigint unsigned not null,
  method_id varchar(40) not null,
  is_given tinyint(1) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key leave_of (person_id, method_id, id),
  constraint practice_leave_person foreign key (person_id) references actor (id),
  constraint practice_leave_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
