-- Who does a task of a batch, and in which part of the day; the latest line counts.
create table task_share (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  act varchar(20) not null,
  person_id bigint unsigned null comment 'null: whoever is there',
  slot enum('morning','midday','evening') null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key share_of_batch (batch_id, act),
  constraint share_batch foreign key (batch_id) references batch (id),
  constraint share_person foreign key (person_id) references actor (id),
  constraint share_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
