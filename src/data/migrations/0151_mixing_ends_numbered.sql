-- A filling whose batch was a slip is open again, and ends anew.
alter table mixing_end
  add key end_of_mixing (mixing_id),
  drop primary key,
  add column id bigint unsigned not null auto_increment primary key first;
