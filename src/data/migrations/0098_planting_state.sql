-- A planting as it was told: rows are added, never changed, and the latest counts.
create table planting_state (
  id bigint unsigned not null auto_increment primary key,
  planting_id bigint unsigned not null,
  crop varchar(60) not null,
  part enum('leaf','stem','root','fruit','seed','flower','none') null comment 'what is eaten; null as the book knows the crop',
  perennial tinyint(1) not null default 0,
  planted_on date null comment 'sown or set out; null where nobody knows',
  sown tinyint(1) not null default 0 comment 'sown in place, not set out as a plant',
  plants int unsigned null,
  spacing_cm decimal(7,1) null,
  harvest_from date null,
  harvest_to date null,
  ended_on date null comment 'cleared; null while it stands',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key state_of_planting (planting_id, id),
  constraint planting_days check (harvest_to is null or harvest_from is null or harvest_to >= harvest_from),
  constraint state_planting foreign key (planting_id) references planting (id),
  constraint state_planting_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
