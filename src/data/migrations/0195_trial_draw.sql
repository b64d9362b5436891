-- Lots drawn for the units that join a trial together; drawn again, a row more. The placement stands in the document whole, with its seed and its codes.
create table trial_draw (
  id bigint unsigned not null auto_increment primary key,
  trial_id bigint unsigned not null,
  round_no smallint unsigned not null,
  deciding_on date not null,
  document json not null check (json_valid(document)),
  reason varchar(200) not null comment 'why drawn again; empty for the first',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key draws_of_trial (trial_id, round_no),
  constraint trial_draw_of foreign key (trial_id) references trial (id),
  constraint trial_draw_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
