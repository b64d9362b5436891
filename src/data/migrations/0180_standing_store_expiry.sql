-- Days to which containers keep, set by no slip.
create view standing_store_expiry as
select told.id, told.store_id, told.expires_at, told.reason, told.actor_id, told.added_at
from store_expiry told
left join taken_back slip on slip.kind = 'keeping' and slip.row_id = told.id
where slip.row_id is null;
