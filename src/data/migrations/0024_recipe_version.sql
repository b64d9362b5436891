-- The farm's own versions of a school's recipe. Appended, never changed: a batch stays with the version it was made by.
create table recipe_version (
  id bigint unsigned not null auto_increment primary key,
  method_id varchar(40) character set ascii not null,
  school_id varchar(40) character set ascii not null,
  version_no int unsigned not null,
  document json not null comment 'as docs/schemas/recipe.json',
  unconfirmed json not null comment 'figures far from what growers use that nobody has confirmed',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  unique key version_of_school (method_id, school_id, version_no),
  constraint recipe_version_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
