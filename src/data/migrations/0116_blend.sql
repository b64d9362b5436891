-- Two liquids that went on in one can are two applications of one blend: each with its own store, litres and past.
create table blend (
  id bigint unsigned not null auto_increment primary key,
  added_at datetime(3) not null
) engine=innodb default charset=utf8mb4;
