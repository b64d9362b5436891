-- The stores' ledger, as the shed's.
create table store_movement (
  id bigint unsigned not null auto_increment primary key,
  store_id bigint unsigned not null,
  change_by_l decimal(12,3) not null,
  kind enum('strained','applied','wasted','corrected') not null,
  application_id bigint unsigned null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  note varchar(200) not null default '',
  key movement_of_store (store_id, change_by_l),
  constraint store_movement_moves check (change_by_l <> 0),
  constraint store_movement_applied check ((kind = 'applied') = (application_id is not null)),
  constraint store_movement_store foreign key (store_id) references store (id),
  constraint store_movement_application foreign key (application_id) references application (id),
  constraint store_movement_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
