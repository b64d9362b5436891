-- A few leaves treated before the rest, and what they showed: looks are added, and the latest counts.
create table patch_test (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  plot_id bigint unsigned not null,
  use_id varchar(32) not null,
  parts_water decimal(12,4) not null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key patch_tests_of_batch (batch_id),
  constraint patch_water check (parts_water >= 0),
  constraint patch_batch foreign key (batch_id) references batch (id),
  constraint patch_plot foreign key (plot_id) references plot (id),
  constraint patch_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
create table patch_look (
  id bigint unsigned not null auto_increment primary key,
  patch_test_id bigint unsigned not null,
  result enum('clear','marked','dropped') not null comment 'dropped: it was put down by mistake',
  note varchar(300) not null default '',
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key looks_of_test (patch_test_id, id),
  constraint look_test foreign key (patch_test_id) references patch_test (id),
  constraint look_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
