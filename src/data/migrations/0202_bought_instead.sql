-- What the farm would else have bought in place of an input: the last row of a method is in force.
create table bought_instead (
  id bigint unsigned not null auto_increment primary key,
  method_id varchar(60) character set ascii not null,
  name varchar(60) not null,
  price_minor bigint unsigned not null comment 'of a pack',
  covers_m2 decimal(10,2) not null comment 'by its label, a pack once',
  would_buy tinyint unsigned not null comment 'the farm says that it would have bought it',
  put_away tinyint unsigned not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key instead_of (method_id, id),
  constraint bought_instead_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
