-- The last line of defence: whatever the code above does, no lot goes below nothing. The lot's row is locked first; under READ COMMITTED (which every write uses) the sum
-- then sees what others have just committed. A trigger may not lock rows of its own table.
create trigger stock_movement_guard before insert on stock_movement for each row
begin
  declare on_hand decimal(14,3);
  select id into @ignored from lot where id = new.lot_id for update;
  select coalesce(sum(change_by), 0) into on_hand from stock_movement where lot_id = new.lot_id;
  if on_hand + new.change_by < 0 then
    signal sqlstate '45000' set message_text = 'stock-below-zero';
  end if;
end;
