-- A picture of a place, made small in the browser.
create table forage_photo (
  id bigint unsigned not null auto_increment primary key,
  place_id bigint unsigned not null,
  jpeg mediumblob not null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key photo_of_place (place_id, id),
  constraint photo_place foreign key (place_id) references forage_place (id),
  constraint photo_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
