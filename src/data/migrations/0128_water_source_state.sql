alter table water_source add column state enum('in-use','lent','repair','retired') not null default 'in-use';
