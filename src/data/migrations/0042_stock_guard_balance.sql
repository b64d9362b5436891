-- The last line of defence: whatever the code above does, no lot goes below nothing, and its balance is the sum of its lines.
-- The balance's row is the lock.
create trigger stock_movement_guard before insert on stock_movement for each row
begin
  declare held decimal(14,3) default null;
  declare brought decimal(14,3) default 0;
  insert into lot_balance (lot_id, ingredient_id, came_in, on_hand)
    select id, ingredient_id, 0, 0 from lot where id = new.lot_id
    on duplicate key update on_hand = lot_balance.on_hand;
  select on_hand into held from lot_balance where lot_id = new.lot_id for update;
  if held + new.change_by < 0 then
    signal sqlstate '45000' set message_text = 'stock-below-zero';
  end if;
  if new.kind = 'received'
    or exists (select 1 from stock_movement wrong where wrong.id = new.corrects_id and wrong.kind = 'received') then
    set brought = new.change_by;
  end if;
  update lot_balance set on_hand = held + new.change_by, came_in = came_in + brought where lot_id = new.lot_id;
  insert into shelf_version (ingredient_id, lines_written)
    select ingredient_id, 1 from lot where id = new.lot_id
    on duplicate key update lines_written = shelf_version.lines_written + 1;
end;
