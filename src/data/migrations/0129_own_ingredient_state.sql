alter table own_ingredient add column state enum('in-use','lent','repair','retired') not null default 'in-use';
