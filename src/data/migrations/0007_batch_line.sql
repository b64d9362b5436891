-- What the recipe asked for and what really went in.
create table batch_line (
  batch_id bigint unsigned not null,
  line_no smallint unsigned not null,
  ingredient_id varchar(40) character set ascii not null,
  part enum('mix','cap') not null,
  unit enum('kg','L') not null,
  planned decimal(12,3) not null,
  used decimal(12,3) not null,
  primary key (batch_id, line_no),
  constraint batch_line_used check (used >= 0 and planned >= 0),
  constraint batch_line_batch foreign key (batch_id) references batch (id)
) engine=innodb default charset=utf8mb4;
