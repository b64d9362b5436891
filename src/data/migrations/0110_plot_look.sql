-- How a plot looked at a moment, with a photograph where one was taken: rows are added, never changed.
create table plot_look (
  id bigint unsigned not null auto_increment primary key,
  public_id char(32) not null comment 'by which its picture is asked for',
  plot_id bigint unsigned not null,
  at datetime(3) not null,
  signs json not null comment 'what was looked at, and the word for it',
  note varchar(500) not null default '',
  jpeg mediumblob null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key look_public (public_id),
  key looks_of_plot (plot_id, at),
  constraint plot_look_plot foreign key (plot_id) references plot (id),
  constraint plot_look_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
