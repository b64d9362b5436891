insert into planting_state (planting_id, crop, part, perennial, plants, harvest_from, actor_id, added_at)
select id, crop, if(leaf_eaten = 1, 'leaf', null), stage = 'perennial', plants, harvest_on, actor_id, added_at
from plot where crop <> '' or stage <> 'bare' order by id;
