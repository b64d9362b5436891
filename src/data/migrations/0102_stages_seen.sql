insert into stage_seen (planting_id, stage, seen_on, actor_id, added_at)
select id, stage, date(added_at), actor_id, added_at from plot where stage in ('seedling','growing','flowering','fruiting') order by id;
