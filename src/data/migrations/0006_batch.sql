-- One filling of one vessel. The recipe is frozen as it was when the batch began; nothing here changes afterwards.
create table batch (
  id bigint unsigned not null auto_increment primary key,
  vessel_id bigint unsigned not null,
  method_id varchar(40) character set ascii not null,
  school_id varchar(40) character set ascii not null,
  recipe json not null,
  filled_l decimal(10,3) not null comment 'level in the vessel, solids counted',
  basis_amount decimal(12,3) not null comment 'L of water, or kg of plant',
  started_at datetime(3) not null comment 'when the last living thing went in',
  stated_c decimal(4,1) null comment 'liquid temperature as stated at the start',
  labour_min decimal(8,1) not null default 0,
  power_w decimal(8,1) not null default 0,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key batch_of_vessel (vessel_id, id),
  constraint batch_filled check (filled_l > 0),
  constraint batch_vessel foreign key (vessel_id) references vessel (id),
  constraint batch_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
