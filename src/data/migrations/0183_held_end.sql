-- What became of an entry that was kept: one end each.
create table held_end (
  held_id bigint unsigned not null primary key,
  outcome enum('entered','dropped') not null,
  actor_id bigint unsigned not null,
  at datetime(3) not null,
  constraint held_end_of foreign key (held_id) references held_entry (id),
  constraint held_end_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
