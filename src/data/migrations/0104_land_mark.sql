-- Wells, streams, taps and the like: rows are added, never changed, and the latest of a mark counts.
create table land_mark (
  id bigint unsigned not null auto_increment primary key,
  mark_id bigint unsigned null comment 'of the first row of this mark; null in that row',
  kind enum('well','stream','pond','tap','fill-point','gate') not null,
  name varchar(40) not null,
  line json not null comment 'points, metres on the field plan',
  buffer_m decimal(6,1) not null,
  put_away tinyint(1) not null default 0,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key states_of_mark (mark_id, id),
  constraint mark_buffer check (buffer_m >= 0),
  constraint mark_first foreign key (mark_id) references land_mark (id),
  constraint mark_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
