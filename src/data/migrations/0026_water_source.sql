-- Where the farm's water comes from.
create table water_source (
  id bigint unsigned not null auto_increment primary key,
  name varchar(60) not null,
  kind enum('rain','well','spring','river','reverse-osmosis','mains','unknown') not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key water_source_name (name),
  constraint water_source_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
