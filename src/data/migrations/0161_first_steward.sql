update actor set role = 'steward' where id = (select first_id from (select min(id) as first_id from actor) as earliest);
