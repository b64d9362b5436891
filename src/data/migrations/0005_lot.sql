-- A purchase, a picking, a gift: what came in at once, at one price.
create table lot (
  id bigint unsigned not null auto_increment primary key,
  ingredient_id varchar(40) character set ascii not null comment 'id in the book',
  unit enum('kg','L') not null,
  origin enum('bought','foraged','home-made','given') not null,
  received_on date not null,
  received decimal(12,3) not null,
  cost_minor decimal(12,2) not null comment 'for the whole lot',
  expires_on date null,
  note varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key lot_of_ingredient (ingredient_id, received_on, id),
  constraint lot_received check (received > 0),
  constraint lot_cost check (cost_minor >= 0),
  constraint lot_expiry check (expires_on is null or expires_on >= received_on),
  constraint lot_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
