-- What a litre of the concentrate brought, g, as it was known when it went on; and what each plot got by the month, so that a year is summed up
-- without reading all that went on in it. What is taken back is taken off again.
alter table application add column brings json null comment 'n, k2o, salt, sugar, acid: g in a litre';
create table plot_brought (
  plot_id bigint unsigned not null,
  month date not null comment 'the first of it',
  n_g decimal(14,3) not null default 0,
  k2o_g decimal(14,3) not null default 0,
  salt_g decimal(14,3) not null default 0,
  sugar_g decimal(14,3) not null default 0,
  acid_g decimal(14,3) not null default 0,
  primary key (plot_id, month),
  constraint brought_plot foreign key (plot_id) references plot (id)
) engine=innodb default charset=utf8mb4;
