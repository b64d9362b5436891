-- Water that really went: what a batch took that never was is in its butt.
create view standing_water_use as
select used.id, used.source_id, used.start_id, used.batch_id, used.application_id, used.volume_l, used.override_reason, used.at
from water_use used
left join batch_close never on never.batch_id = used.batch_id and never.kind = 'taken-back'
where never.id is null;
