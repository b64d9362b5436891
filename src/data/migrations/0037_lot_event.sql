-- What happened to a lot besides coming and going: opened, moved, tested, another expiry. The latest of a kind counts.
create table lot_event (
  id bigint unsigned not null auto_increment primary key,
  lot_id bigint unsigned not null,
  kind enum('opened','place','expiry','beans-sown','beans-clean','beans-damaged','vigour','stored-hot','note') not null,
  word varchar(200) not null default '',
  on_day date not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key event_of_lot (lot_id, kind, id),
  constraint lot_event_lot foreign key (lot_id) references lot (id),
  constraint lot_event_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
