-- A plot as it lies: rows are added, never changed, and the latest counts. The outline is a ring of [x, y], metres to the east and to the south of
-- the plan's corner.
create table plot_shape (
  id bigint unsigned not null auto_increment primary key,
  plot_id bigint unsigned not null,
  name varchar(40) not null,
  kind enum('bed','row','tree','pots','bay','lawn','heap','path') not null,
  ring json not null,
  area_m2 decimal(12,3) not null,
  block varchar(40) not null default '' comment 'the group it belongs to',
  tags varchar(200) not null default '' comment 'words parted by commas',
  put_away tinyint(1) not null default 0 comment 'it is no more; its past stays',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key shape_of_plot (plot_id, id),
  constraint shape_area check (area_m2 > 0),
  constraint shape_plot foreign key (plot_id) references plot (id),
  constraint shape_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
