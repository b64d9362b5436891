create table forage_visit (
  id bigint unsigned not null auto_increment primary key,
  place_id bigint unsigned not null,
  lot_id bigint unsigned null comment 'what was taken; null for a look',
  vigour enum('strong','weak','none') not null,
  note varchar(200) not null default '',
  on_day date not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key visit_of_place (place_id, on_day),
  constraint visit_place foreign key (place_id) references forage_place (id),
  constraint visit_lot foreign key (lot_id) references lot (id),
  constraint visit_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
