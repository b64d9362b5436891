-- What came in and what is on hand of each lot, kept by the ledger's guard as each line is written: a shed of fifty thousand lines answers
-- as one of fifty.
create table lot_balance (
  lot_id bigint unsigned not null primary key,
  ingredient_id varchar(40) character set ascii not null,
  came_in decimal(14,3) not null,
  on_hand decimal(14,3) not null,
  key balance_of_ingredient (ingredient_id, on_hand),
  key balance_on_hand (on_hand),
  constraint balance_not_below check (on_hand >= 0),
  constraint balance_lot foreign key (lot_id) references lot (id)
) engine=innodb default charset=utf8mb4
select lot.id as lot_id, lot.ingredient_id, coalesce(sum(if(movement.kind = 'received', movement.change_by, 0)), 0) as came_in,
       coalesce(sum(movement.change_by), 0) as on_hand
from lot left join stock_movement movement on movement.lot_id = lot.id group by lot.id, lot.ingredient_id;
