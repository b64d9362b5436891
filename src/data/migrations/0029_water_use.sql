-- Which water went into a batch, or thinned an application; against the gauge only with a reason.
create table water_use (
  id bigint unsigned not null auto_increment primary key,
  source_id bigint unsigned not null,
  start_id bigint unsigned null,
  batch_id bigint unsigned null,
  application_id bigint unsigned null,
  volume_l decimal(12,3) not null,
  override_reason varchar(300) null,
  at datetime(3) not null,
  unique key water_of_batch (batch_id),
  unique key water_of_application (application_id),
  key use_of_start (start_id),
  constraint water_use_of_one check ((batch_id is null) <> (application_id is null)),
  constraint water_use_source foreign key (source_id) references water_source (id),
  constraint water_use_start foreign key (start_id) references water_start (id),
  constraint water_use_batch foreign key (batch_id) references batch (id),
  constraint water_use_application foreign key (application_id) references application (id)
) engine=innodb default charset=utf8mb4;
