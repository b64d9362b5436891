-- What happened to a tool; its state follows from the latest.
create table equipment_event (
  id bigint unsigned not null auto_increment primary key,
  equipment_id bigint unsigned not null,
  kind enum('used','washed','calibrated','broken','mended') not null,
  batch_id bigint unsigned null,
  note varchar(200) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key event_of_equipment (equipment_id, id),
  constraint equipment_used check ((kind = 'used') = (batch_id is not null)),
  constraint equipment_event_equipment foreign key (equipment_id) references equipment (id),
  constraint equipment_event_batch foreign key (batch_id) references batch (id),
  constraint equipment_event_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
