import "server-only";
import type { Provenance } from "@/core/safety/provenance";
import { insert, select, type Queryable, type SqlValue } from "./db";

export type LotOrigin = "bought" | "foraged" | "home-made" | "given";

export interface Lot {
  readonly id: number;
  readonly ingredientId: string;
  /** The farm's own ingredient that it is; null for one of the book's. */
  readonly ownId: number | null;
  readonly unit: "kg" | "L";
  readonly origin: LotOrigin;
  readonly receivedOn: string;
  readonly received: number;
  readonly costMinor: number;
  readonly expiresOn: string | null;
  readonly note: string;
  readonly place: string;
  readonly provenance: Provenance;
  readonly fromBatchId: number | null;
  readonly onHand: number;
}

export type NewLot = Omit<Lot, "id" | "onHand"> & {
  readonly addedAt: Date;
  readonly actorId: number;
};

export type MovementKind = "received" | "used" | "wasted" | "corrected" | "counted";

export interface StockMovement {
  readonly lotId: number;
  readonly changeBy: number;
  readonly kind: MovementKind;
  readonly batchId: number | null;
  /** The line that this one puts right. */
  readonly correctsId?: number | null;
  readonly at: Date;
  readonly actorId: number;
  readonly note: string;
}

interface LotRow {
  id: number;
  ingredient_id: string;
  own_ingredient_id: number | null;
  unit: "kg" | "L";
  origin: LotOrigin;
  received_on: string;
  received: string;
  cost_minor: string;
  expires_on: string | null;
  note: string;
  place: string;
  provenance: Provenance | string | null;
  from_batch_id: number | null;
  on_hand: string;
}

const COLUMNS =
  "id, ingredient_id, own_ingredient_id, unit, origin, received_on, received, cost_minor, expires_on, note, place, provenance, from_batch_id, on_hand";
const SELECT_ON_HAND = `select ${COLUMNS} from lot_on_hand where on_hand > 0 order by ingredient_id, received_on, id`;
const SELECT_OF_INGREDIENT = `select ${COLUMNS} from lot_on_hand where ingredient_id = ? and on_hand > 0 order by received_on, id`;
const SELECT_LOT = `select ${COLUMNS} from lot_on_hand where id = ?`;
// The balances are the lock: lots that are empty are left alone.
const LOCK_BALANCES =
  "select lot_id from lot_balance where ingredient_id = ? and on_hand > 0 order by lot_id for update";
const LOCK_BALANCE = "select lot_id from lot_balance where lot_id = ? for update";
const INSERT_LOT = `
  insert into lot (ingredient_id, own_ingredient_id, unit, origin, received_on, received, cost_minor, expires_on, note, place, provenance, from_batch_id, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const INSERT_MOVEMENT =
  "insert into stock_movement (lot_id, change_by, kind, batch_id, corrects_id, at, actor_id, note) values (?, ?, ?, ?, ?, ?, ?, ?)";

/** JSON arrives parsed from a table and as text through a view. */
const parsed = (value: Provenance | string | null): Provenance =>
  value === null ? {} : typeof value === "string" ? (JSON.parse(value) as Provenance) : value;

const toLot = (row: LotRow): Lot => ({
  id: row.id,
  ingredientId: row.ingredient_id,
  ownId: row.own_ingredient_id,
  unit: row.unit,
  origin: row.origin,
  receivedOn: row.received_on,
  received: Number(row.received),
  costMinor: Number(row.cost_minor),
  expiresOn: row.expires_on,
  note: row.note,
  place: row.place,
  provenance: parsed(row.provenance),
  fromBatchId: row.from_batch_id,
  onHand: Number(row.on_hand),
});

/** Every lot with something left, by ingredient, oldest first. */
export const listLotsOnHand = async (db: Queryable): Promise<Lot[]> =>
  (await select<LotRow>(db, SELECT_ON_HAND)).map(toLot);

/** Lots of one ingredient with something left, oldest first. */
export const listLotsOf = async (db: Queryable, ingredientId: string): Promise<Lot[]> =>
  (await select<LotRow>(db, SELECT_OF_INGREDIENT, [ingredientId])).map(toLot);

/** Locks an ingredient's lots and tells what is on hand of each now, oldest first; empty ones are left out. */
export async function lockLots(db: Queryable, ingredientId: string): Promise<Lot[]> {
  await select(db, LOCK_BALANCES, [ingredientId]);
  return listLotsOf(db, ingredientId);
}

/** Locks one lot, also an empty one, and tells how it stands. */
export async function lockLot(db: Queryable, lotId: number): Promise<Lot | null> {
  await select(db, LOCK_BALANCE, [lotId]);
  const [row] = await select<LotRow>(db, SELECT_LOT, [lotId]);
  return row ? toLot(row) : null;
}

/** Locks every lot's balance, in order: nothing comes or goes until the transaction ends. */
export const lockAllBalances = async (db: Queryable): Promise<void> => {
  await select(db, "select lot_id from lot_balance order by lot_id for update");
};

/** The values of a lot, in the order of its columns. */
export const lotValues = (lot: NewLot): SqlValue[] => [
  lot.ingredientId,
  lot.ownId,
  lot.unit,
  lot.origin,
  lot.receivedOn,
  lot.received,
  lot.costMinor,
  lot.expiresOn,
  lot.note,
  lot.place,
  Object.keys(lot.provenance).length === 0 ? null : JSON.stringify(lot.provenance),
  lot.fromBatchId,
  lot.actorId,
  lot.addedAt,
];

export const insertLot = (db: Queryable, lot: NewLot): Promise<number> => insert(db, INSERT_LOT, lotValues(lot));

export const insertStockMovement = (db: Queryable, move: StockMovement): Promise<number> =>
  insert(db, INSERT_MOVEMENT, [
    move.lotId,
    move.changeBy.toFixed(3),
    move.kind,
    move.batchId,
    move.correctsId ?? null,
    move.at,
    move.actorId,
    move.note,
  ]);

/** What each batch drew from which lot, with the lot's own price. */
export interface LotDraw {
  readonly batchId: number;
  readonly lotId: number;
  readonly ingredientId: string;
  readonly unit: "kg" | "L";
  readonly receivedOn: string;
  readonly amount: number;
  readonly unitCostMinor: number;
}

interface DrawRow {
  batch_id: number;
  lot_id: number;
  ingredient_id: string;
  unit: "kg" | "L";
  received_on: string;
  amount: string;
  unit_cost_minor: string;
}

const DRAWS = `
  select movement.batch_id, movement.lot_id, lot.ingredient_id, lot.unit, lot.received_on, -sum(movement.change_by) as amount,
         coalesce(lot.cost_minor / nullif(balance.came_in, 0), 0) as unit_cost_minor
  from stock_movement movement join lot on lot.id = movement.lot_id join lot_balance balance on balance.lot_id = lot.id`;
const SELECT_DRAWS_OF_BATCH = `${DRAWS} where movement.batch_id = ? group by movement.batch_id, lot.id order by min(movement.id)`;
const SELECT_ALL_DRAWS = `${DRAWS} where movement.batch_id is not null group by movement.batch_id, lot.id order by movement.batch_id, min(movement.id)`;

const toDraw = (row: DrawRow): LotDraw => ({
  batchId: row.batch_id,
  lotId: row.lot_id,
  ingredientId: row.ingredient_id,
  unit: row.unit,
  receivedOn: row.received_on,
  amount: Number(row.amount),
  unitCostMinor: Number(row.unit_cost_minor),
});

export const listDrawsOfBatch = async (db: Queryable, batchId: number): Promise<LotDraw[]> =>
  (await select<DrawRow>(db, SELECT_DRAWS_OF_BATCH, [batchId])).map(toDraw);
export const listAllDraws = async (db: Queryable): Promise<LotDraw[]> =>
  (await select<DrawRow>(db, SELECT_ALL_DRAWS)).map(toDraw);

/** The batches that made these lots, each once; none for what was bought or picked. */
export async function findLotSources(
  db: Queryable,
  lotIds: readonly number[],
): Promise<{ batchId: number; name: string }[]> {
  if (lotIds.length === 0) return [];
  const rows = await select<{ id: number; name: string }>(
    db,
    `select distinct batch.id, json_value(batch.recipe, '$.shortName') as name
     from lot join batch on batch.id = lot.from_batch_id where lot.id in (${lotIds.map(() => "?").join(", ")})`,
    [...lotIds],
  );
  return rows.map(({ id, name }) => ({ batchId: id, name }));
}

/** A mark that differs once any line of the ledger, or any note on a lot, was committed. */
export async function shelfMark(db: Queryable): Promise<string> {
  const [row] = await select<{ written: string | null; events: number; own: number }>(
    db,
    `select sum(lines_written) as written, (select count(*) from lot_event) as events, (select count(*) from own_ingredient) as own
     from shelf_version`,
  );
  return `${row?.written ?? 0}/${row?.events ?? 0}/${row?.own ?? 0}`;
}

/** A lot that went into a batch and says where it came from. */
export interface OriginOfLot {
  readonly id: number;
  readonly ingredientId: string;
  readonly receivedOn: string;
  readonly provenance: Provenance;
}

/** Lots with an origin worth following that went into any of these batches, each once. */
export async function listOriginsOf(db: Queryable, batchIds: readonly number[]): Promise<OriginOfLot[]> {
  if (batchIds.length === 0) return [];
  const rows = await select<Pick<LotRow, "id" | "ingredient_id" | "received_on" | "provenance">>(
    db,
    `select distinct lot.id, lot.ingredient_id, lot.received_on, lot.provenance
     from stock_movement movement join lot on lot.id = movement.lot_id
     where movement.batch_id in (${batchIds.map(() => "?").join(", ")}) and lot.provenance is not null`,
    [...batchIds],
  );
  return rows.map((row) => ({
    id: row.id,
    ingredientId: row.ingredient_id,
    receivedOn: row.received_on,
    provenance: parsed(row.provenance),
  }));
}

export interface DrawnInto {
  readonly batchId: number;
  readonly ingredientId: string;
  readonly provenance: Provenance | null;
  readonly at: Date;
}

/** All that went into these batches, at the start and since, with where its lot was from; what never stood in the shed comes from the fill's lines. */
export async function listDrawnInto(db: Queryable, batchIds: readonly number[]): Promise<DrawnInto[]> {
  if (batchIds.length === 0) return [];
  const places = batchIds.map(() => "?").join(", ");
  const rows = await select<{
    batch_id: number;
    ingredient_id: string;
    provenance: LotRow["provenance"] | null;
    at: Date;
  }>(
    db,
    `select movement.batch_id, lot.ingredient_id, lot.provenance, movement.at
     from stock_movement movement join lot on lot.id = movement.lot_id where movement.batch_id in (${places})
     union all
     select line.batch_id, line.ingredient_id, null, batch.started_at
     from batch_line line join batch on batch.id = line.batch_id
     where line.batch_id in (${places}) and line.used > 0
       and not exists (select 1 from stock_movement drawn join lot drawn_lot on drawn_lot.id = drawn.lot_id
                       where drawn.batch_id = line.batch_id and drawn_lot.ingredient_id = line.ingredient_id)`,
    [...batchIds, ...batchIds],
  );
  return rows.map((row) => ({
    batchId: row.batch_id,
    ingredientId: row.ingredient_id,
    provenance: row.provenance === null ? null : parsed(row.provenance),
    at: row.at,
  }));
}

/** The first day on which a lot of each ingredient came in. */
export const listFirstDays = async (db: Queryable): Promise<ReadonlyMap<string, string>> =>
  new Map(
    (
      await select<{ ingredient_id: string; first_on: string }>(
        db,
        "select ingredient_id, min(received_on) as first_on from lot group by ingredient_id",
      )
    ).map(({ ingredient_id, first_on }) => [ingredient_id, first_on]),
  );

/** Every lot there ever was, empty ones too; for files and for finding what is there already. */
export const listAllLots = async (db: Queryable): Promise<Lot[]> =>
  (await select<LotRow>(db, `select ${COLUMNS} from lot_on_hand order by id`)).map(toLot);
