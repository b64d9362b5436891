-- What was used lately is found without reading what was received, wasted and counted.
alter table stock_movement add key movement_by_kind (kind, at, lot_id, change_by);
