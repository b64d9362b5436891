-- What grows on a plot over a time; several over a year, and its past stays.
create table planting (
  id bigint unsigned not null auto_increment primary key,
  plot_id bigint unsigned not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key planting_on_plot (plot_id),
  constraint planting_plot foreign key (plot_id) references plot (id),
  constraint planting_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
