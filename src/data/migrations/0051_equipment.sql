create table equipment (
  id bigint unsigned not null auto_increment primary key,
  kind varchar(20) character set ascii not null,
  name varchar(60) not null,
  how_many int unsigned not null default 1,
  size decimal(10,2) null comment 'in the unit of its kind',
  outlets int unsigned null,
  note varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key equipment_name (name),
  constraint equipment_count check (how_many > 0),
  constraint equipment_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
