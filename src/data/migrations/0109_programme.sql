-- What crops are given over a season: rows are added, never changed, and the latest of a programme counts.
create table programme (
  id bigint unsigned not null auto_increment primary key,
  programme_id bigint unsigned null comment 'of the first row of this programme; null in that row',
  name varchar(60) not null,
  crops json not null comment 'names of crops; none: all',
  steps json not null,
  put_away tinyint(1) not null default 0,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key states_of_programme (programme_id, id),
  constraint programme_first foreign key (programme_id) references programme (id),
  constraint programme_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
