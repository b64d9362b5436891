-- The farm's own versions of recipes that were kept by no slip.
create view standing_recipe_version as
select told.id, told.method_id, told.school_id, told.version_no, told.document, told.unconfirmed, told.actor_id, told.added_at
from recipe_version told
left join taken_back slip on slip.kind = 'own-recipe' and slip.row_id = told.id
where slip.row_id is null;
