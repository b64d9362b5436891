-- A store keeps to another day than the book says: opened, poured, smelt. The latest line counts.
create table store_expiry (
  id bigint unsigned not null auto_increment primary key,
  store_id bigint unsigned not null,
  expires_at datetime(3) not null,
  reason varchar(200) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key expiry_of_store (store_id, id),
  constraint store_expiry_store foreign key (store_id) references store (id),
  constraint store_expiry_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
