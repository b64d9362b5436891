-- A step of a job that is done: an application, or something laid or poured by hand. What is taken back says so in a later row.
create table job_done (
  id bigint unsigned not null auto_increment primary key,
  job_id bigint unsigned not null,
  step_key varchar(12) character set ascii not null,
  application_id bigint unsigned null,
  note varchar(300) not null default '',
  takes_back_id bigint unsigned null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key done_taken_back_once (takes_back_id),
  key done_of_job (job_id, id),
  constraint done_job foreign key (job_id) references job (id),
  constraint done_application foreign key (application_id) references application (id),
  constraint done_takes_back foreign key (takes_back_id) references job_done (id),
  constraint done_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
