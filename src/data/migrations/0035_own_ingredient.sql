-- What the farm has that the book doesn't: a kind of something the book knows, so that recipes can draw on it.
create table own_ingredient (
  id bigint unsigned not null auto_increment primary key,
  name varchar(60) not null,
  counts_as varchar(40) character set ascii not null comment 'id in the book',
  density_kg_per_l decimal(6,3) null,
  keeps_d int unsigned null,
  season varchar(60) not null default '' comment 'space between words',
  caution varchar(300) not null default '',
  keeping varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key own_ingredient_name (name),
  constraint own_ingredient_density check (density_kg_per_l is null or density_kg_per_l between 0.02 and 5),
  constraint own_ingredient_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
