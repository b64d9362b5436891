-- A plan whose batch was a slip is open again, and ends anew.
alter table plan_end
  add key end_of_plan (plan_id),
  drop primary key,
  add column id bigint unsigned not null auto_increment primary key first;
