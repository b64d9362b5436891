create table plan_line (
  plan_id bigint unsigned not null,
  line_no smallint unsigned not null,
  ingredient_id varchar(40) character set ascii not null,
  amount decimal(12,3) not null,
  on_day smallint unsigned not null default 0 comment 'day of the batch',
  primary key (plan_id, line_no),
  constraint plan_line_plan foreign key (plan_id) references plan (id)
) engine=innodb default charset=utf8mb4;
