-- Work on beds that belongs together, in its order: rows are added, never changed, and the latest of a job counts.
create table job (
  id bigint unsigned not null auto_increment primary key,
  job_id bigint unsigned null comment 'of the first row of this job; null in that row',
  name varchar(60) not null,
  for_day date not null,
  steps json not null,
  put_away tinyint(1) not null default 0,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key states_of_job (job_id, id),
  constraint job_first foreign key (job_id) references job (id),
  constraint job_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
