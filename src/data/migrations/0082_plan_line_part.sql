alter table plan_line add column part varchar(4) character set ascii not null default 'mix' comment 'mix or cap' after ingredient_id;
