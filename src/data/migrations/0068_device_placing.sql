-- Where a device hangs from a moment on: in a vessel, or out in the air. A late reading belongs where it hung then.
create table device_placing (
  id bigint unsigned not null auto_increment primary key,
  device_id bigint unsigned not null,
  vessel_id bigint unsigned null comment 'null: in the air',
  from_at datetime(3) not null,
  actor_id bigint unsigned not null,
  key placing_of_device (device_id, from_at),
  key placing_of_vessel (vessel_id),
  constraint placing_device foreign key (device_id) references device (id),
  constraint placing_vessel foreign key (vessel_id) references vessel (id),
  constraint placing_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
