create view lot_on_hand as
select lot.id, lot.ingredient_id, lot.unit, lot.origin, lot.received_on, lot.received, lot.cost_minor, lot.expires_on, lot.note,
       coalesce(sum(movement.change_by), 0) as on_hand
from lot left join stock_movement movement on movement.lot_id = lot.id
group by lot.id;
