-- A washing that was a slip is taken back, and the vessel is washed anew: a batch may have several, of which one at most stands.
alter table vessel_cleaning
  drop primary key,
  add column id bigint unsigned not null auto_increment primary key first,
  add key cleaning_of_batch (batch_id);
