-- An end that was a slip is taken back, and the batch ends anew: a batch may have several, of which one at most stands.
alter table batch_close
  add key close_of_batch (batch_id),
  drop primary key,
  add column id bigint unsigned not null auto_increment primary key first;
