create or replace view store_on_hand as
select store.id, store.batch_id, store.parent_id, store.part_no, store.label, store.at_once, store.place, store.container, store.shelf_from,
       store.expires_at, coalesce(sum(movement.change_by_l), 0) as on_hand_l
from store left join store_movement movement on movement.store_id = store.id
group by store.id;
