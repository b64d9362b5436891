-- A batch that is meant for a day: what it will take is reserved in the shed and shopped for.
create table plan (
  id bigint unsigned not null auto_increment primary key,
  method_id varchar(40) character set ascii not null,
  school_id varchar(40) character set ascii not null,
  version_no int unsigned null,
  vessel_id bigint unsigned null,
  name varchar(80) not null,
  basis_amount decimal(12,3) not null,
  for_day date not null,
  note varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key plan_by_day (for_day),
  constraint plan_basis check (basis_amount > 0),
  constraint plan_vessel foreign key (vessel_id) references vessel (id),
  constraint plan_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
