-- The log. A correction is a later entry that names the one it replaces; `withdrawn` replaces it by nothing.
create table batch_entry (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  kind enum('ph','temperature','smell','surface','film','solids','act','note','withdrawn') not null,
  number_value decimal(8,3) null comment 'pH; °C; litres topped up',
  word varchar(40) null,
  instrument enum('meter','strip') null,
  spot enum('mid-depth','film','lees') null,
  note varchar(500) not null default '',
  at datetime(3) not null,
  corrects_id bigint unsigned null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key entry_of_batch (batch_id, at),
  unique key entry_corrected_once (corrects_id),
  constraint entry_ph check (kind <> 'ph' or (number_value between 0 and 14 and instrument is not null and spot is not null)),
  constraint entry_temperature check (kind <> 'temperature' or number_value between -10 and 80),
  constraint entry_withdraws check (kind <> 'withdrawn' or corrects_id is not null),
  constraint entry_batch foreign key (batch_id) references batch (id),
  constraint entry_corrects foreign key (corrects_id) references batch_entry (id),
  constraint entry_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
