-- Water set to stand or bubble, or dosed: for brewing or for thinning, with its own clock.
create table water_start (
  id bigint unsigned not null auto_increment primary key,
  source_id bigint unsigned not null,
  purpose enum('brew','dilution') not null,
  volume_l decimal(10,3) not null,
  treatment enum('none','stand','bubble','ascorbic','carbon') not null,
  celsius decimal(4,1) not null,
  covered boolean not null default false,
  place varchar(80) not null default '',
  ascorbic_g decimal(8,3) null,
  started_at datetime(3) not null,
  ready_at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key start_by_time (started_at),
  constraint water_start_volume check (volume_l > 0),
  constraint water_start_source foreign key (source_id) references water_source (id),
  constraint water_start_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
