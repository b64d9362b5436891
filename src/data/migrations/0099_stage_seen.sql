-- A stage that somebody saw with their own eyes; the latest counts.
create table stage_seen (
  id bigint unsigned not null auto_increment primary key,
  planting_id bigint unsigned not null,
  stage enum('seedling','settling','growing','flowering','fruiting','rest') not null,
  seen_on date not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key seen_of_planting (planting_id, id),
  constraint seen_planting foreign key (planting_id) references planting (id),
  constraint seen_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
