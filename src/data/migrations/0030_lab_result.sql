-- A laboratory's figure for a batch; the latest of each nutrient stands in place of what is worked out.
create table lab_result (
  id bigint unsigned not null auto_increment primary key,
  batch_id bigint unsigned not null,
  nutrient enum('n','p2o5','k2o','ca','mg','na','sugar') not null,
  g_per_l decimal(9,4) not null,
  note varchar(200) not null default '',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key result_of_batch (batch_id, id),
  constraint lab_result_amount check (g_per_l >= 0),
  constraint lab_result_batch foreign key (batch_id) references batch (id),
  constraint lab_result_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
