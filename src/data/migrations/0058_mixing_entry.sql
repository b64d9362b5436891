-- Each tick with its time, its person and what really went in. An undone tick is a later line.
create table mixing_entry (
  id bigint unsigned not null auto_increment primary key,
  mixing_id bigint unsigned not null,
  step_key varchar(80) not null,
  kind enum('done','undone','round') not null,
  amount decimal(12,3) null comment 'in the stock unit',
  answer varchar(80) null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  key entry_of_mixing (mixing_id, id),
  constraint mixing_entry_amount check (amount is null or amount >= 0),
  constraint mixing_entry_mixing foreign key (mixing_id) references mixing (id),
  constraint mixing_entry_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
