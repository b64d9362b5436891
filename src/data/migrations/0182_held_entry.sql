-- What somebody did without a signal and the farm would not take from them any more: kept whole, for a steward to enter or to drop.
create table held_entry (
  id bigint unsigned not null auto_increment primary key,
  act_name varchar(40) character set ascii not null,
  request json not null,
  said varchar(200) not null comment 'what the person was told as they did it',
  because enum('may-not','not-yours','left') not null,
  actor_id bigint unsigned not null comment 'who did it',
  done_at datetime(3) not null,
  held_by bigint unsigned not null comment 'who handed it in',
  held_at datetime(3) not null,
  constraint held_actor foreign key (actor_id) references actor (id),
  constraint held_hand foreign key (held_by) references actor (id)
) engine=innodb default charset=utf8mb4;
