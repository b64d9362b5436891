-- Checks of containers that were no slip.
create view standing_store_check as
select told.id, told.store_id, told.kind, told.ph, told.note, told.at, told.actor_id, told.added_at
from store_check told
left join taken_back slip on slip.kind = 'store-check' and slip.row_id = told.id
where slip.row_id is null;
