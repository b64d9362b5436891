-- What a farm says of a season: hours for it in a week, what brews are kept in, how far ahead it plans. The last row stands.
create table season_terms (
  id bigint unsigned not null auto_increment primary key,
  hours_a_week decimal(6,2) not null,
  can_l decimal(8,3) not null,
  cans smallint unsigned not null,
  weeks tinyint unsigned not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint season_terms_in_bounds check (hours_a_week >= 0 and can_l > 0 and weeks between 4 and 40),
  constraint season_terms_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
