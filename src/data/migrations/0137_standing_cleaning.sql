-- The washings that count.
create view standing_cleaning as
  select vessel_cleaning.id, vessel_cleaning.batch_id, vessel_cleaning.at, vessel_cleaning.actor_id
  from vessel_cleaning
  left join cleaning_taken_back on cleaning_taken_back.cleaning_id = vessel_cleaning.id
  where cleaning_taken_back.cleaning_id is null;
