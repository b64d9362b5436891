-- Where the farm gathers: leaf mould above all, which mends slowly.
create table forage_place (
  id bigint unsigned not null auto_increment primary key,
  name varchar(60) not null,
  kind enum('leaf-mould','plants','seaweed') not null,
  ground varchar(200) not null default '' comment 'shade, damp, tree, threads',
  permission varchar(120) not null default '',
  rest_d int unsigned not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key forage_place_name (name),
  constraint forage_place_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
