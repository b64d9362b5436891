create table vessel (
  id bigint unsigned not null auto_increment primary key,
  name varchar(40) not null,
  kind enum('drum','tote','pail','jar') not null,
  volume_l decimal(10,3) not null comment 'to the brim',
  diameter_m decimal(6,3) null comment 'inside; unmeasured if null',
  site varchar(60) not null default '' comment 'where it stands',
  air_w decimal(8,1) not null default 0 comment 'power of its pump and heater; 0 has no air',
  sort_order int not null default 0,
  added_at datetime(3) not null,
  actor_id bigint unsigned not null,
  unique key vessel_name (name),
  constraint vessel_volume check (volume_l between 0.1 and 20000),
  constraint vessel_air check (air_w >= 0),
  constraint vessel_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
