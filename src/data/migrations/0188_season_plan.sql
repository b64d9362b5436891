-- A plan of the season as somebody took it: the last row stands. The document has its days as they are counted from first_day.
create table season_plan (
  id bigint unsigned not null auto_increment primary key,
  first_day date not null,
  document json not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint season_plan_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
