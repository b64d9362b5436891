-- What was a slip and never was, of all kinds of rows that have no correction of their own; each once.
create table taken_back (
  kind enum('lot','stock-move','container-move','pour','visit','bin-entry','tool-event','look','water','plan-drop','filling-drop') not null,
  row_id bigint unsigned not null,
  at datetime(3) not null,
  actor_id bigint unsigned not null,
  primary key (kind, row_id),
  constraint slip_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
