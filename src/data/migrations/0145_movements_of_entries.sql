-- Additions from before: the draw of the same moment and ingredient is theirs.
update stock_movement movement
join lot on lot.id = movement.lot_id
join batch_entry entry on entry.batch_id = movement.batch_id and entry.at = movement.at and entry.moved_item_id = lot.ingredient_id
set movement.entry_id = entry.id
where movement.kind = 'used';
