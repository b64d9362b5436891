-- What was chosen beside the amount: what goes in as well, what the recipe leaves to the grower, what stands in for what.
alter table plan add column choice longtext not null default '{"include":[],"stated":[],"substitutes":[]}' check (json_valid(choice)) after basis_amount;
