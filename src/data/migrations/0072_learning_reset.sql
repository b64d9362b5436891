-- From here on the farm's earlier batches of a method teach nothing: the spot, the water or the culture changed.
create table learning_reset (
  id bigint unsigned not null auto_increment primary key,
  model_id varchar(40) not null,
  reason varchar(200) not null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key reset_of_model (model_id, at),
  constraint reset_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
