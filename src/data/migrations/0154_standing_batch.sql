-- Batches that were really made, running or over.
create view standing_batch as
select made.id, made.vessel_id, made.method_id
from batch made
left join batch_close never on never.batch_id = made.id and never.kind = 'taken-back'
where never.id is null;
