-- The shed's ledger: what is on hand of a lot is the sum of these. Never updated; a mistake is put right by a later line.
create table stock_movement (
  id bigint unsigned not null auto_increment primary key,
  lot_id bigint unsigned not null,
  change_by decimal(12,3) not null comment 'in the lot''s unit; out is negative',
  kind enum('received','used','wasted','corrected') not null,
  batch_id bigint unsigned null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  note varchar(200) not null default '',
  key movement_of_lot (lot_id, change_by),
  key movement_of_batch (batch_id),
  constraint movement_moves check (change_by <> 0),
  constraint movement_used_by_batch check ((kind = 'used') = (batch_id is not null)),
  constraint movement_lot foreign key (lot_id) references lot (id),
  constraint movement_batch foreign key (batch_id) references batch (id),
  constraint movement_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
