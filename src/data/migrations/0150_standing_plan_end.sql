-- The ends of plans that count.
create view standing_plan_end as
select ended.id, ended.plan_id, ended.batch_id, ended.note, ended.at, ended.actor_id
from plan_end ended
left join batch_close never on never.batch_id = ended.batch_id and never.kind = 'taken-back'
left join taken_back slip on slip.kind = 'plan-drop' and slip.row_id = ended.id
where never.id is null and slip.row_id is null;
