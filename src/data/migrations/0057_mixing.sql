-- A fill that is being done in the yard, step by step. The vessel is taken while it runs.
create table mixing (
  id bigint unsigned not null auto_increment primary key,
  vessel_id bigint unsigned not null,
  plan_id bigint unsigned null,
  fill json not null comment 'the fill as it was asked for, and its lines',
  started_at datetime(3) not null,
  actor_id bigint unsigned not null,
  key mixing_of_vessel (vessel_id, id),
  constraint mixing_vessel foreign key (vessel_id) references vessel (id),
  constraint mixing_plan foreign key (plan_id) references plan (id),
  constraint mixing_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
