-- What was learned and is really set aside.
create view standing_learning_reset as
select told.id, told.model_id, told.reason, told.at, told.actor_id
from learning_reset told
left join taken_back slip on slip.kind = 'learning-reset' and slip.row_id = told.id
where slip.row_id is null;
