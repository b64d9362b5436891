-- A planting keeps the id of its plot where it comes from this table, so that what follows finds it.
insert into planting (id, plot_id, actor_id, added_at)
select id, id, actor_id, added_at from plot where crop <> '' or stage <> 'bare' order by id;
