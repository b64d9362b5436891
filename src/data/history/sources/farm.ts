import "server-only";
import type { Source } from "./source";

const added = (table: string, word: string): Source => ({
  code: "added",
  part: "farm",
  from: table,
  added: `${table}.added_at`,
  actor: `${table}.actor_id`,
  id: `${table}.id`,
  subject: `${table}.name`,
  word: `'${word}'`,
});

/** What was set up and changed, as lines of the history. */
export const FARM_SOURCES: readonly Source[] = [
  added("vessel", "vessel"),
  added("water_source", "water"),
  added("equipment", "equipment"),
  added("own_ingredient", "own-ingredient"),
  added("forage_place", "gathering-place"),
  added("worm_bin", "worm-bin"),
  added("device", "device"),
  {
    code: "changed",
    part: "farm",
    from: "thing_change changed",
    added: "changed.at",
    actor: "changed.actor_id",
    id: "changed.id",
    subject: `case changed.kind when 'farm' then (select name from farm where id = 1)
      when 'person' then (select name from actor where id = changed.thing_id)
      when 'vessel' then (select name from vessel where id = changed.thing_id)
      when 'tool' then (select name from tool where id = changed.thing_id)
      when 'water' then (select name from water_source where id = changed.thing_id)
      when 'equipment' then (select name from equipment where id = changed.thing_id)
      when 'own-ingredient' then (select name from own_ingredient where id = changed.thing_id)
      when 'gathering-place' then (select name from forage_place where id = changed.thing_id)
      when 'worm-bin' then (select name from worm_bin where id = changed.thing_id)
      else (select name from device where id = changed.thing_id) end`,
    word: "changed.kind",
    extra: "json_object('was', changed.was, 'became', changed.became, 'thingId', changed.thing_id)",
  },
  {
    code: "undone",
    part: "farm",
    from: "taken_back slip",
    added: "slip.at",
    actor: "slip.actor_id",
    id: "slip.row_id",
    subject: "''",
    word: "slip.kind",
  },
];
