-- A plan of the season that the farm's own machine made, at night or since something changed; nobody has taken it. The last row is looked at, while it holds.
create table season_proposal (
  id bigint unsigned not null auto_increment primary key,
  first_day date not null,
  document json not null,
  made_at datetime(3) not null
) engine=innodb default charset=utf8mb4;
