-- What a season may cost, by kind; the last row of a year is in force.
create table season_budget (
  id bigint unsigned not null auto_increment primary key,
  season_year smallint unsigned not null,
  bought_minor bigint unsigned null,
  hours decimal(8,1) unsigned null,
  loss_minor bigint unsigned null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key budget_of (season_year, id),
  constraint season_budget_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
