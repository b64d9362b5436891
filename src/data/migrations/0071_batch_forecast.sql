-- Every forecast that something was logged for, kept as it was, to be held against what came of it.
create table batch_forecast (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  entry_id bigint unsigned null comment 'the line of the log that it answers to; null for the start',
  made_at datetime(3) not null,
  model_version smallint unsigned not null,
  state varchar(10) not null,
  basis varchar(10) not null,
  ready double not null,
  start_p10 datetime(3) null,
  start_p50 datetime(3) null,
  start_p90 datetime(3) null,
  end_p10 datetime(3) null,
  end_p50 datetime(3) null,
  end_p90 datetime(3) null,
  u_mean double null,
  u_sd double null,
  key forecast_of_batch (batch_id, made_at),
  unique key forecast_of_entry (entry_id),
  constraint kept_forecast_batch foreign key (batch_id) references batch (id),
  constraint kept_forecast_entry foreign key (entry_id) references batch_entry (id)
) engine=innodb default charset=utf8mb4;
