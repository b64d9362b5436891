create table worm_bin (
  id bigint unsigned not null auto_increment primary key,
  name varchar(60) not null,
  worms_kg decimal(8,3) not null comment 'when it was set up',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key worm_bin_name (name),
  constraint worm_bin_worms check (worms_kg > 0),
  constraint worm_bin_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
