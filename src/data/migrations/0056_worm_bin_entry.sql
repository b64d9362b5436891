create table worm_bin_entry (
  id bigint unsigned not null auto_increment primary key,
  bin_id bigint unsigned not null,
  kind enum('fed','harvested','weighed','note') not null,
  kg decimal(8,3) not null default 0,
  what varchar(120) not null default '' comment 'food; how the ball held',
  lot_id bigint unsigned null comment 'castings that were taken',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key entry_of_bin (bin_id, at),
  constraint bin_entry_kg check (kg >= 0),
  constraint bin_entry_bin foreign key (bin_id) references worm_bin (id),
  constraint bin_entry_lot foreign key (lot_id) references lot (id),
  constraint bin_entry_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
