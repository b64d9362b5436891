-- How much stood in a butt or tank when somebody looked; what was drawn since is known from its uses.
create table water_level (
  id bigint unsigned not null auto_increment primary key,
  source_id bigint unsigned not null,
  volume_l decimal(12,3) not null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key level_of_source (source_id, id),
  constraint water_level_source foreign key (source_id) references water_source (id),
  constraint water_level_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
