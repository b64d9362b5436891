-- What was done otherwise than planned, and the weather of the hour as the station or the forecast had it.
alter table application
  add column note varchar(300) not null default '' after override_reason,
  add column weather json null after note;
