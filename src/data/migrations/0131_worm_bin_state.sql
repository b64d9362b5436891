alter table worm_bin add column state enum('in-use','lent','repair','retired') not null default 'in-use';
