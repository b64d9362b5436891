-- How the farm gets an ingredient: its pack, price, lead time, and where it wants to order again. The latest line of an ingredient counts.
create table supply (
  id bigint unsigned not null auto_increment primary key,
  item_id varchar(40) character set ascii not null comment 'id in the book, or own-N',
  pack_name varchar(30) not null,
  pack_amount decimal(12,3) not null,
  pack_cost_minor decimal(12,2) null,
  lead_d int unsigned not null default 0,
  reorder_at decimal(12,3) null,
  target decimal(12,3) null comment 'what a batch needs of what is collected slowly',
  note varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key supply_of_item (item_id, id),
  constraint supply_pack check (pack_amount > 0),
  constraint supply_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
