-- Which school, or own version of it, the farm makes a method by; the latest line of a method counts.
create table recipe_choice (
  id bigint unsigned not null auto_increment primary key,
  method_id varchar(40) character set ascii not null,
  school_id varchar(40) character set ascii not null,
  version_no int unsigned null comment 'null: as the book has it',
  actor_id bigint unsigned not null,
  added_at datetime(3) not null,
  key choice_of_method (method_id, id),
  constraint recipe_choice_actor foreign key (actor_id) references actor (id)
) engine=innodb default charset=utf8mb4;
