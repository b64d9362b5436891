-- Who came in, who was refused, whose rights changed, from where: rows are added, never changed.
create table access_event (
  id bigint unsigned not null auto_increment primary key,
  kind enum('signed-in','refused','signed-out','ended','joined','unlocked','pin-refused','locked','shared','invited','passphrase','pin','role','recovered') not null,
  actor_id bigint unsigned null comment 'whose access it is',
  by_id bigint unsigned null comment 'who did it, where that is somebody else',
  name varchar(60) not null default '' comment 'as it was typed, where nobody has it',
  note varchar(60) not null default '',
  address varchar(45) not null default '',
  device varchar(120) not null default '',
  at datetime(3) not null,
  key access_by_time (at),
  key access_of_name (kind, name, at),
  key access_of_address (kind, address, at),
  constraint access_actor foreign key (actor_id) references actor (id),
  constraint access_by foreign key (by_id) references actor (id)
) engine=innodb default charset=utf8mb4;
