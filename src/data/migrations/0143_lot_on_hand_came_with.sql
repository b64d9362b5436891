-- A view keeps the columns that its tables had when it was made.
create or replace view lot_on_hand as
select lot.id, lot.ingredient_id, lot.own_ingredient_id, lot.unit, lot.origin, lot.received_on, balance.came_in as received, lot.cost_minor,
       lot.expires_on, lot.note, lot.place, lot.provenance, lot.from_batch_id, lot.came_with_batch_id, balance.on_hand
from lot join lot_balance balance on balance.lot_id = lot.id;
