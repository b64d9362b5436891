-- When each plot last got something of each method, and out of which store, so that it need not be sought in all that ever went on. What is taken back gives way to what
-- was before it.
create table plot_latest (
  plot_id bigint unsigned not null,
  method_id varchar(40) character set ascii not null,
  at datetime(3) not null,
  store_id bigint unsigned not null,
  primary key (plot_id, method_id),
  constraint latest_store foreign key (store_id) references store (id),
  constraint latest_plot foreign key (plot_id) references plot (id)
) engine=innodb default charset=utf8mb4;
