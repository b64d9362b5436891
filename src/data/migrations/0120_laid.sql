-- What was laid on a plot by hand, or plain water, as a step of a job did it.
create table laid (
  job_done_id bigint unsigned not null,
  plot_id bigint unsigned not null,
  what varchar(20) character set ascii not null comment 'or water',
  litres decimal(12,3) not null,
  depth_cm decimal(5,1) null,
  primary key (job_done_id, plot_id),
  key laid_on_plot (plot_id, job_done_id),
  constraint laid_done foreign key (job_done_id) references job_done (id),
  constraint laid_plot foreign key (plot_id) references plot (id)
) engine=innodb default charset=utf8mb4;
