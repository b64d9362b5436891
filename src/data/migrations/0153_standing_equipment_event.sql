-- What really happened to tools: one that was put to a batch that never was stayed as it was.
create view standing_equipment_event as
select happened.id, happened.equipment_id, happened.kind, happened.batch_id, happened.note, happened.at, happened.actor_id
from equipment_event happened
left join batch_close never on never.batch_id = happened.batch_id and never.kind = 'taken-back'
left join taken_back slip on slip.kind = 'tool-event' and slip.row_id = happened.id
where never.id is null and slip.row_id is null;
