create table tool (
  id bigint unsigned not null auto_increment primary key,
  name varchar(40) not null,
  kind enum('can','knapsack','injector') not null,
  volume_l decimal(8,3) not null comment 'of the can, the knapsack, or the injector''s tank',
  step_ml decimal(8,2) null comment 'smallest dose that can be measured',
  parts_water decimal(8,2) null comment 'injector: parts of water to one of stock',
  unique key tool_name (name),
  constraint tool_volume check (volume_l > 0),
  constraint tool_injector check ((kind = 'injector') = (parts_water is not null))
) engine=innodb default charset=utf8mb4;
