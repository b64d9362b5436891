-- The farm's own days between an application and a harvest, by what the liquid carries. Lines are added, never changed: the latest counts.
create table harvest_rule (
  id bigint unsigned not null auto_increment primary key,
  hazard enum('dung','urine','milk','unwashed-leaf') not null,
  touching_d smallint unsigned not null comment 'days, where what is eaten touches the soil',
  clear_d smallint unsigned not null comment 'days, where it does not',
  source varchar(160) not null comment 'whose rule it is',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key rule_of_hazard (hazard, id),
  constraint rule_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
