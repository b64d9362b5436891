-- What a strip said of a source; the latest counts.
create table water_reading (
  id bigint unsigned not null auto_increment primary key,
  source_id bigint unsigned not null,
  free_mg_per_l decimal(6,3) null,
  total_mg_per_l decimal(6,3) null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key reading_of_source (source_id, at),
  constraint water_reading_some check (free_mg_per_l is not null or total_mg_per_l is not null),
  constraint water_reading_source foreign key (source_id) references water_source (id),
  constraint water_reading_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
