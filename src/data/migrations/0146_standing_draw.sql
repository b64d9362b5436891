-- What went from a lot into a batch and stayed there: draws that a later line puts to nothing are left out, unless that line was a slip itself.
create view standing_draw as
select drawn.id, drawn.lot_id, drawn.batch_id, drawn.at
from stock_movement drawn
left join stock_movement fix on fix.corrects_id = drawn.id and fix.change_by = -drawn.change_by
left join stock_movement refix on refix.corrects_id = fix.id
where drawn.kind = 'used' and drawn.batch_id is not null and (fix.id is null or refix.id is not null);
