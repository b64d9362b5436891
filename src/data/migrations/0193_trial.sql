-- A trial: what its strips, beds or pots get by lot, and what is read of them.
create table trial (
  id bigint unsigned not null auto_increment primary key,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint trial_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
