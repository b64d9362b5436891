alter table equipment add column state enum('in-use','lent','repair','retired') not null default 'in-use';
