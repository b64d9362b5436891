-- Where a vessel stands, as somebody said it; the newest counts.
create table vessel_place (
  id bigint unsigned not null auto_increment primary key,
  vessel_id bigint unsigned not null,
  kind enum('unsaid','shade','sun','shed','cellar','indoors','greenhouse') not null,
  low_c decimal(4,1) null comment 'how warm it is there, where somebody knows',
  high_c decimal(4,1) null,
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key vessel_place_vessel (vessel_id, id),
  constraint vessel_place_vessel foreign key (vessel_id) references vessel (id),
  constraint vessel_place_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
