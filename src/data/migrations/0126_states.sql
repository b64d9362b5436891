-- What was set up can be put away and come back; its past stays.
alter table actor add column state enum('in-use','retired') not null default 'in-use';
