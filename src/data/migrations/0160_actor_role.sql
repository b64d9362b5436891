-- What somebody may do. Whoever was there first set the farm up.
alter table actor
  add column role enum('viewer','helper','grower','steward') not null default 'grower';
