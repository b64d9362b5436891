-- What a vessel was used for before it came to the yard: what held manure holds nothing else, however well it is washed.
alter table vessel
  add column held_before enum('nothing','food','manure') not null default 'nothing',
  add column state enum('in-use','lent','repair','retired') not null default 'in-use' comment 'what is not in use is not filled';
