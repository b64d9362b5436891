-- Photographs of a batch, made small in the browser; in the database, so that they are in its backup.
create table batch_photo (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  at datetime(3) not null,
  jpeg mediumblob not null,
  note varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key photo_of_batch (batch_id, at),
  constraint batch_photo_of_batch foreign key (batch_id) references batch (id),
  constraint batch_photo_by_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
