-- An address that a calendar program may read the plan of the season from without signing in. Only the token's hash is kept; a new one ends the one before it.
create table season_feed (
  id bigint unsigned not null auto_increment primary key,
  actor_id bigint unsigned not null,
  token_sha256 binary(32) not null,
  made_at datetime(3) not null,
  ended_at datetime(3) null,
  unique key season_feed_token (token_sha256),
  constraint season_feed_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
