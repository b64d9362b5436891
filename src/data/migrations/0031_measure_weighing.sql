-- One weighing of the farm's own measure of an ingredient: a handful of leaf mould, a cap of molasses.
create table measure_weighing (
  id bigint unsigned not null auto_increment primary key,
  measure varchar(40) not null,
  ingredient_id varchar(40) character set ascii not null,
  amount decimal(10,4) not null comment 'in the unit the shed counts the ingredient in',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key weighing_of_measure (measure, ingredient_id, id),
  constraint measure_weighing_amount check (amount > 0),
  constraint measure_weighing_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
