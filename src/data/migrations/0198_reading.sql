-- What was measured, counted or scored of a plot, or of a strip of it, on a day: rows are added, never changed; the last of a day stands.
create table reading (
  id bigint unsigned not null auto_increment primary key,
  plot_id bigint unsigned not null,
  strip smallint unsigned null comment 'from 1; null for the whole plot',
  trial_id bigint unsigned null,
  kind varchar(20) character set ascii not null,
  unit varchar(20) not null comment 'of what the farm measures in its own; empty where the kind has one',
  value decimal(14,4) not null comment 'mean of its parts',
  parts json not null check (json_valid(parts)),
  on_day date not null,
  is_blind tinyint unsigned not null comment 'read by the code alone, by who neither drew lots nor put anything on',
  is_again tinyint unsigned not null comment 'came up a second time in one scoring',
  note varchar(200) not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key readings_of_plot (plot_id, on_day),
  key readings_of_trial (trial_id, on_day),
  constraint reading_plot foreign key (plot_id) references plot (id),
  constraint reading_trial foreign key (trial_id) references trial (id),
  constraint reading_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
