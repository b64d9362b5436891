-- What somebody proves with that they are it, hashed; the newest of its kind alone, as old ones are good for nobody.
create table secret (
  actor_id bigint unsigned not null,
  kind enum('passphrase','pin') not null,
  hash varchar(200) character set ascii not null comment 'argon2id, with its salt and costs',
  set_at datetime(3) not null,
  primary key (actor_id, kind),
  constraint secret_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
