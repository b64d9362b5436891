import "server-only";

/** Parts of the farm by which its history is looked through. */
export const HISTORY_PARTS = ["making", "stock", "field", "farm"] as const;
export type HistoryPart = (typeof HISTORY_PARTS)[number];

/** What the lines of a history are about. */
export const HISTORY_CODES = [
  "filled",
  "logged",
  "ended",
  "washed",
  "washing-undone",
  "planned",
  "plan-ended",
  "lot-in",
  "moved-stock",
  "checked-container",
  "moved-container",
  "supply",
  "water-read",
  "water-treated",
  "equipment",
  "gathered",
  "worm-bin",
  "applied",
  "application-undone",
  "planting",
  "drew-bed",
  "looked-at-bed",
  "schedule",
  "job",
  "recipe",
  "added",
  "changed",
] as const;
export type HistoryCode = (typeof HISTORY_CODES)[number];

/** A table as a source of lines: pieces of its select. */
export interface Source {
  readonly code: HistoryCode;
  readonly part: HistoryPart;
  /** Its table and what is joined, the table's own name first. */
  readonly from: string;
  /** When it was written down, and by whom. */
  readonly added: string;
  readonly actor: string;
  readonly id: string;
  /** When it happened, where that is another moment. */
  readonly at?: string;
  readonly subject: string;
  readonly word?: string;
  readonly amount?: string;
  readonly unit?: string;
  readonly extra?: string;
  readonly batchId?: string;
  readonly plotId?: string;
  readonly itemId?: string;
  readonly where?: string;
}

const ITEM = "if(lot.own_ingredient_id is null, lot.ingredient_id, concat('own-', lot.own_ingredient_id))";
const LOT_NAME = "coalesce(own.name, lot.ingredient_id)";
const OWN = "left join own_ingredient own on own.id = lot.own_ingredient_id";
const BATCH_NAME = "json_value(batch.recipe, '$.shortName')";

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

/** Every table that somebody writes to, as a line of the history. */
export const SOURCES: readonly Source[] = [
  {
    code: "filled",
    part: "making",
    from: "batch join vessel on vessel.id = batch.vessel_id",
    added: "batch.added_at",
    at: "batch.started_at",
    actor: "batch.actor_id",
    id: "batch.id",
    subject: "vessel.name",
    word: BATCH_NAME,
    amount: "batch.filled_l",
    unit: "'L'",
    batchId: "batch.id",
  },
  {
    code: "logged",
    part: "making",
    from: "batch_entry entry join batch on batch.id = entry.batch_id join vessel on vessel.id = batch.vessel_id",
    added: "entry.added_at",
    at: "entry.at",
    actor: "entry.actor_id",
    id: "entry.id",
    subject: "vessel.name",
    word: BATCH_NAME,
    extra: `json_object('kind', entry.kind, 'numberValue', entry.number_value, 'word', entry.word, 'instrument', entry.instrument, 'spot', entry.spot,
      'note', entry.note, 'correctsId', entry.corrects_id, 'itemId', entry.moved_item_id, 'amount', entry.moved_amount)`,
    batchId: "batch.id",
  },
  {
    code: "ended",
    part: "making",
    from: "batch_close done join batch on batch.id = done.batch_id join vessel on vessel.id = batch.vessel_id",
    added: "done.added_at",
    at: "done.at",
    actor: "done.actor_id",
    id: "done.batch_id",
    subject: "vessel.name",
    word: "done.kind",
    amount: "coalesce(done.yield_l, done.yield_kg)",
    unit: "if(done.yield_l is null, 'kg', 'L')",
    extra: `json_object('name', ${BATCH_NAME})`,
    batchId: "batch.id",
  },
  {
    code: "washed",
    part: "making",
    from: "vessel_cleaning wash join batch on batch.id = wash.batch_id join vessel on vessel.id = batch.vessel_id",
    added: "wash.at",
    actor: "wash.actor_id",
    id: "wash.id",
    subject: "vessel.name",
  },
  {
    code: "washing-undone",
    part: "making",
    from: "cleaning_taken_back undone join vessel_cleaning wash on wash.id = undone.cleaning_id join batch on batch.id = wash.batch_id join vessel on vessel.id = batch.vessel_id",
    added: "undone.at",
    actor: "undone.actor_id",
    id: "undone.cleaning_id",
    subject: "vessel.name",
  },
  {
    code: "planned",
    part: "making",
    from: "plan",
    added: "plan.added_at",
    actor: "plan.actor_id",
    id: "plan.id",
    subject: "plan.name",
    word: "plan.for_day",
  },
  {
    code: "plan-ended",
    part: "making",
    from: "plan_end done join plan on plan.id = done.plan_id",
    added: "done.at",
    actor: "done.actor_id",
    id: "done.plan_id",
    subject: "plan.name",
    word: "if(done.batch_id is null, 'dropped', 'done')",
    batchId: "done.batch_id",
    where: "done.batch_id is null",
  },
  {
    code: "recipe",
    part: "making",
    from: "recipe_version version",
    added: "version.added_at",
    actor: "version.actor_id",
    id: "version.id",
    subject: "version.method_id",
    word: "version.version_no",
  },
  {
    code: "lot-in",
    part: "stock",
    from: `lot ${OWN}`,
    added: "lot.added_at",
    actor: "lot.actor_id",
    id: "lot.id",
    subject: LOT_NAME,
    word: "lot.origin",
    amount: "lot.received",
    unit: "lot.unit",
    itemId: ITEM,
  },
  {
    code: "moved-stock",
    part: "stock",
    from: `stock_movement movement join lot on lot.id = movement.lot_id ${OWN}`,
    added: "movement.at",
    actor: "movement.actor_id",
    id: "movement.id",
    subject: LOT_NAME,
    word: "movement.kind",
    amount: "movement.change_by",
    unit: "lot.unit",
    extra: "json_object('note', movement.note)",
    itemId: ITEM,
    where: "movement.kind in ('wasted', 'corrected', 'counted')",
  },
  {
    code: "checked-container",
    part: "stock",
    from: "store_check seen join store on store.id = seen.store_id",
    added: "seen.added_at",
    at: "seen.at",
    actor: "seen.actor_id",
    id: "seen.id",
    subject: "store.label",
    word: "seen.kind",
    batchId: "store.batch_id",
  },
  {
    code: "moved-container",
    part: "stock",
    from: "store_movement movement join store on store.id = movement.store_id",
    added: "movement.at",
    actor: "movement.actor_id",
    id: "movement.id",
    subject: "store.label",
    word: "movement.kind",
    amount: "movement.change_by_l",
    unit: "'L'",
    batchId: "store.batch_id",
    where: "movement.kind not in ('strained', 'applied')",
  },
  {
    code: "supply",
    part: "stock",
    from: "supply",
    added: "supply.added_at",
    actor: "supply.actor_id",
    id: "supply.id",
    subject: "supply.item_id",
    itemId: "supply.item_id",
  },
  {
    code: "water-read",
    part: "stock",
    from: "water_reading reading join water_source source on source.id = reading.source_id",
    added: "reading.added_at",
    at: "reading.at",
    actor: "reading.actor_id",
    id: "reading.id",
    subject: "source.name",
    amount: "coalesce(reading.total_mg_per_l, reading.free_mg_per_l)",
  },
  {
    code: "water-treated",
    part: "stock",
    from: "water_start start join water_source source on source.id = start.source_id",
    added: "start.added_at",
    at: "start.started_at",
    actor: "start.actor_id",
    id: "start.id",
    subject: "source.name",
    word: "start.treatment",
    amount: "start.volume_l",
    unit: "'L'",
  },
  {
    code: "equipment",
    part: "stock",
    from: "equipment_event event join equipment on equipment.id = event.equipment_id",
    added: "event.at",
    actor: "event.actor_id",
    id: "event.id",
    subject: "equipment.name",
    word: "event.kind",
    where: "event.kind <> 'used'",
  },
  {
    code: "gathered",
    part: "stock",
    from: "forage_visit visit join forage_place place on place.id = visit.place_id",
    added: "visit.added_at",
    actor: "visit.actor_id",
    id: "visit.id",
    subject: "place.name",
    word: "visit.vigour",
  },
  {
    code: "worm-bin",
    part: "stock",
    from: "worm_bin_entry entry join worm_bin bin on bin.id = entry.bin_id",
    added: "entry.at",
    actor: "entry.actor_id",
    id: "entry.id",
    subject: "bin.name",
    word: "entry.kind",
    amount: "entry.kg",
    unit: "'kg'",
  },
  {
    code: "applied",
    part: "field",
    from: "application join store on store.id = application.store_id",
    added: "application.added_at",
    at: "application.at",
    actor: "application.actor_id",
    id: "application.id",
    subject: "store.label",
    word: "(select count(*) from application_plot plots where plots.application_id = application.id)",
    amount: "application.concentrate_l",
    unit: "'L'",
    plotId: "(select min(plots.plot_id) from application_plot plots where plots.application_id = application.id)",
    batchId: "store.batch_id",
  },
  {
    code: "application-undone",
    part: "field",
    from: "application_taken_back undone join application on application.id = undone.application_id join store on store.id = application.store_id",
    added: "undone.added_at",
    actor: "undone.actor_id",
    id: "undone.application_id",
    subject: "store.label",
    extra: "json_object('note', undone.reason)",
  },
  {
    code: "planting",
    part: "field",
    from: "planting_state state join planting on planting.id = state.planting_id join plot on plot.id = planting.plot_id",
    added: "state.added_at",
    actor: "state.actor_id",
    id: "state.id",
    subject: "plot.name",
    word: "if(state.ended_on is null, 'planted', 'cleared')",
    extra: "json_object('crop', state.crop)",
    plotId: "plot.id",
  },
  {
    code: "drew-bed",
    part: "field",
    from: "plot_shape shape",
    added: "shape.added_at",
    actor: "shape.actor_id",
    id: "shape.id",
    subject: "shape.name",
    word: "if(shape.put_away, 'away', 'drawn')",
    plotId: "shape.plot_id",
  },
  {
    code: "looked-at-bed",
    part: "field",
    from: "plot_look look join plot on plot.id = look.plot_id",
    added: "look.added_at",
    at: "look.at",
    actor: "look.actor_id",
    id: "look.id",
    subject: "plot.name",
    extra: "json_object('note', look.note)",
    plotId: "plot.id",
  },
  {
    code: "schedule",
    part: "field",
    from: "programme",
    added: "programme.added_at",
    actor: "programme.actor_id",
    id: "programme.id",
    subject: "programme.name",
    word: "if(programme.put_away, 'away', 'saved')",
  },
  {
    code: "job",
    part: "field",
    from: "job",
    added: "job.added_at",
    actor: "job.actor_id",
    id: "job.id",
    subject: "job.name",
    word: "if(job.put_away, 'away', 'saved')",
  },
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
];
