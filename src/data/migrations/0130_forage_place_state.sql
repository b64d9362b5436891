alter table forage_place add column state enum('in-use','lent','repair','retired') not null default 'in-use';
