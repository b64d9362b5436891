-- A weighing that was a slip: it stays in the books and counts no more.
create table weighing_taken_back (
  weighing_id bigint unsigned not null primary key,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  constraint weighing_taken_back_weighing foreign key (weighing_id) references measure_weighing (id),
  constraint weighing_taken_back_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
