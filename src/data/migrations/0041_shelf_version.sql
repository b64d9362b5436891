-- Grows with each line of an ingredient's ledger, so that a reader can tell in a moment whether the shelf is as it was. Ids would not do: a
-- smaller one may be committed after a larger.
create table shelf_version (
  ingredient_id varchar(40) character set ascii not null primary key,
  lines_written bigint unsigned not null
) engine=innodb default charset=utf8mb4
select lot.ingredient_id, count(movement.id) as lines_written
from lot left join stock_movement movement on movement.lot_id = lot.id group by lot.ingredient_id;
