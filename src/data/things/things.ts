/* eslint sql/sql-by-parameters: "off" -- tables and columns out of a fixed list, by a kind that the schema knows */
import "server-only";
import { insert, select, type Queryable, type SqlValue } from "../db";

/** What somebody sets up and can change, put away and bring back. */
export const THING_KINDS = [
  "person",
  "vessel",
  "tool",
  "water",
  "equipment",
  "own-ingredient",
  "gathering-place",
  "worm-bin",
  "device",
] as const;
export type ThingKind = (typeof THING_KINDS)[number];

/** Whether something that was set up is used: what is lent, in repair or put away can come back. */
export const THING_STATES = ["in-use", "lent", "repair", "retired"] as const;
export type ThingState = (typeof THING_STATES)[number];

export type ThingFacts = Readonly<Record<string, string | number | null>>;

interface ThingTable {
  readonly table: string;
  /** Column of each fact; those of numbers come back as numbers. */
  readonly columns: Readonly<Record<string, { readonly column: string; readonly isNumber?: true }>>;
}

const text = (column: string) => ({ column });
const number = (column: string) => ({ column, isNumber: true as const });
const state = text("state");
const name = text("name");

/** Names of tables and columns stand here alone, so that none ever comes from a request. */
const TABLES: Readonly<Record<ThingKind, ThingTable>> = {
  "person": { table: "actor", columns: { name, state } },
  "vessel": {
    table: "vessel",
    columns: {
      name,
      kind: text("kind"),
      volumeL: number("volume_l"),
      diameterM: number("diameter_m"),
      site: text("site"),
      airW: number("air_w"),
      heldBefore: text("held_before"),
      state,
    },
  },
  "tool": {
    table: "tool",
    columns: {
      name,
      kind: text("kind"),
      volumeL: number("volume_l"),
      stepMl: number("step_ml"),
      partsWater: number("parts_water"),
      state,
    },
  },
  "water": { table: "water_source", columns: { name, kind: text("kind"), state } },
  "equipment": {
    table: "equipment",
    columns: {
      name,
      kind: text("kind"),
      count: number("how_many"),
      size: number("size"),
      outlets: number("outlets"),
      note: text("note"),
      state,
    },
  },
  "own-ingredient": {
    table: "own_ingredient",
    columns: {
      name,
      densityKgPerL: number("density_kg_per_l"),
      keepsD: number("keeps_d"),
      caution: text("caution"),
      keeping: text("keeping"),
      state,
    },
  },
  "gathering-place": {
    table: "forage_place",
    columns: { name, ground: text("ground"), permission: text("permission"), restD: number("rest_d"), state },
  },
  "worm-bin": { table: "worm_bin", columns: { name, state } },
  "device": { table: "device", columns: { name } },
};

const listed = (kind: ThingKind): string =>
  Object.entries(TABLES[kind].columns)
    .map(([fact, { column }]) => `${column} as \`${fact}\``)
    .join(", ");

const factsOf = (kind: ThingKind, row: Readonly<Record<string, unknown>>): ThingFacts =>
  Object.fromEntries(
    Object.entries(TABLES[kind].columns).map(([fact, { isNumber }]) => {
      const value = row[fact] as string | number | null;
      return [fact, value === null ? null : isNumber ? Number(value) : value];
    }),
  );

export interface Thing {
  readonly id: number;
  readonly facts: ThingFacts;
}

/** All of a kind, those that are put away as well, in the order in which they were set up. */
export async function listThings(db: Queryable, kind: ThingKind): Promise<Thing[]> {
  const rows = await select<Record<string, unknown> & { id: number }>(
    db,
    `select id, ${listed(kind)} from ${TABLES[kind].table} order by id`,
  );
  return rows.map((row) => ({ id: row.id, facts: factsOf(kind, row) }));
}

/** Locks one and tells how it stands; null for none. */
export async function lockThing(db: Queryable, kind: ThingKind, id: number): Promise<ThingFacts | null> {
  const [row] = await select<Record<string, unknown>>(
    db,
    `select ${listed(kind)} from ${TABLES[kind].table} where id = ? for update`,
    [id],
  );
  return row ? factsOf(kind, row) : null;
}

/** Writes some of its facts anew. @throws a duplicate error for a name that is taken */
export async function updateThing(db: Queryable, kind: ThingKind, id: number, change: ThingFacts): Promise<void> {
  const { table, columns } = TABLES[kind];
  const entries = Object.entries(change);
  if (entries.length === 0) return;
  const sets = entries.map(([fact]) => `${columns[fact]!.column} = ?`).join(", ");
  await db.execute(`update ${table} set ${sets} where id = ?`, [...entries.map(([, value]): SqlValue => value), id]);
}

/** A change of what was set up: as it was, as it is since. */
export interface ThingChange {
  readonly id: number;
  readonly kind: ThingKind | "farm";
  readonly thingId: number;
  readonly was: ThingFacts;
  readonly became: ThingFacts;
  readonly note: string;
  readonly at: Date;
  readonly actorId: number;
}

export const insertThingChange = (db: Queryable, change: Omit<ThingChange, "id">): Promise<number> =>
  insert(
    db,
    "insert into thing_change (kind, thing_id, was, became, note, at, actor_id) values (?, ?, ?, ?, ?, ?, ?)",
    [
      change.kind,
      change.thingId,
      JSON.stringify(change.was),
      JSON.stringify(change.became),
      change.note,
      change.at,
      change.actorId,
    ],
  );
