-- What happens in a trial and is no reading: rows are added, never changed. A look is never taken back.
create table trial_entry (
  id bigint unsigned not null auto_increment primary key,
  trial_id bigint unsigned not null,
  kind enum('applied','left-out','confounder','guesses','look','opened','stopped','resumed') not null,
  on_day date not null,
  document json not null check (json_valid(document)),
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key entries_of_trial (trial_id, id),
  constraint trial_entry_of foreign key (trial_id) references trial (id),
  constraint trial_entry_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
