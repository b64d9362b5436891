create trigger store_movement_guard before insert on store_movement for each row
begin
  declare on_hand decimal(14,3);
  select id into @ignored from store where id = new.store_id for update;
  select coalesce(sum(change_by_l), 0) into on_hand from store_movement where store_id = new.store_id;
  if on_hand + new.change_by_l < 0 then
    signal sqlstate '45000' set message_text = 'store-below-zero';
  end if;
end;
