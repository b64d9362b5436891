-- What was found when a store was looked at: its gas let out, its smell, its pH. Lines are added, never changed.
create table store_check (
  id bigint unsigned not null auto_increment primary key,
  store_id bigint unsigned not null,
  kind enum('loosened','smelt-good','smelt-off') not null,
  ph decimal(4,2) null,
  note varchar(500) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key check_of_store (store_id, id),
  constraint check_store foreign key (store_id) references store (id),
  constraint check_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
