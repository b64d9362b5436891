-- Looks at patch tests that were no slip.
create view standing_patch_look as
select told.id, told.patch_test_id, told.result, told.note, told.at, told.actor_id, told.added_at
from patch_look told
left join taken_back slip on slip.kind = 'patch-look' and slip.row_id = told.id
where slip.row_id is null;
