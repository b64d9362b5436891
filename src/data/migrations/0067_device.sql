-- Whatever posts readings over HTTP: a weather station, a probe in a drum, a logger whose file was read in. Only the token's hash is kept.
create table device (
  id bigint unsigned not null auto_increment primary key,
  name varchar(60) not null,
  kind enum('station','probe','logger') not null,
  token_hash char(64) null comment 'sha-256; null for a logger',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  retired_at datetime(3) null,
  unique key device_name (name),
  unique key device_token (token_hash),
  constraint device_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
