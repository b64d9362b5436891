-- A finished input, as it stands on the shelf or waits in the can.
create table store (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  label varchar(60) not null,
  at_once tinyint(1) not null default 0 comment 'meant to be used straight away',
  place varchar(80) not null default '',
  shelf_from datetime(3) not null comment 'the event that starts the shelf clock',
  expires_at datetime(3) not null,
  key store_of_batch (batch_id),
  constraint store_expiry check (expires_at > shelf_from),
  constraint store_batch foreign key (batch_id) references batch_close (batch_id)
) engine=innodb default charset=utf8mb4;
