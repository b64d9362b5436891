-- A device on which somebody is signed in. Its token is kept hashed, and changes as it is used; the one before it is good for a moment more.
create table session (
  id bigint unsigned not null auto_increment primary key,
  token_sha256 binary(32) not null,
  before_sha256 binary(32) null,
  turned_at datetime(3) not null comment 'when the token changed last',
  opened_by bigint unsigned not null,
  actor_id bigint unsigned null comment 'who is at it; null where it is locked',
  shared boolean not null default false comment 'a phone of the yard: people change by PIN, and it locks itself',
  open_until datetime(3) null comment 'when a shared one locks itself',
  device varchar(120) not null default '',
  address varchar(45) not null default '',
  opened_at datetime(3) not null,
  seen_at datetime(3) not null,
  ends_at datetime(3) not null,
  ended_at datetime(3) null,
  unique key session_token (token_sha256),
  key session_before (before_sha256),
  key session_of_actor (opened_by, ended_at),
  constraint session_opener foreign key (opened_by) references actor (id),
  constraint session_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
