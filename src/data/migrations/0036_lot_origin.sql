-- Where a lot came from, as far as it matters to who eats what it feeds: dung, urine, plant, char, weedkiller.
alter table lot
  add column own_ingredient_id bigint unsigned null after ingredient_id,
  add column place varchar(80) not null default '' after note,
  add column provenance json null after place,
  add key lot_of_own (own_ingredient_id),
  add constraint lot_own_ingredient foreign key (own_ingredient_id) references own_ingredient (id);
