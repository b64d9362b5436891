create table plot (
  id bigint unsigned not null auto_increment primary key,
  name varchar(40) not null,
  crop varchar(60) not null default '',
  stage enum('bare','seedling','growing','flowering','fruiting','perennial') not null,
  area_m2 decimal(10,2) not null,
  plants int unsigned null,
  leaf_eaten tinyint(1) not null default 0 comment 'the leaves are what is eaten',
  harvest_on date null,
  x_m decimal(7,2) not null comment 'west edge on the field plan',
  y_m decimal(7,2) not null comment 'north edge on the field plan',
  width_m decimal(7,2) not null,
  length_m decimal(7,2) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key plot_name (name),
  constraint plot_area check (area_m2 > 0 and width_m > 0 and length_m > 0),
  constraint plot_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
