create table application_plot (
  application_id bigint unsigned not null,
  plot_id bigint unsigned not null,
  mix_l decimal(12,3) not null,
  concentrate_l decimal(12,3) not null,
  primary key (application_id, plot_id),
  key application_on_plot (plot_id, application_id),
  constraint application_plot_application foreign key (application_id) references application (id),
  constraint application_plot_plot foreign key (plot_id) references plot (id)
) engine=innodb default charset=utf8mb4;
