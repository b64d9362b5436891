-- Where the plan's corner lies on the globe, and who said so (a file, a person); the latest counts.
create table land_origin (
  id bigint unsigned not null auto_increment primary key,
  longitude_deg decimal(12,9) not null,
  latitude_deg decimal(12,9) not null,
  source varchar(120) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint origin_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
