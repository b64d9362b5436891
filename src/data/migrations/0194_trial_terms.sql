-- What a trial asks and how it is judged: the last row is in force.
create table trial_terms (
  id bigint unsigned not null auto_increment primary key,
  trial_id bigint unsigned not null,
  document json not null check (json_valid(document)),
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint trial_terms_of foreign key (trial_id) references trial (id),
  constraint trial_terms_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
