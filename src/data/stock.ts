import "server-only";
import { insert, select, type Queryable } from "./db";

export type LotOrigin = "bought" | "foraged" | "home-made" | "given";

export interface Lot {
  readonly id: number;
  readonly ingredientId: string;
  readonly unit: "kg" | "L";
  readonly origin: LotOrigin;
  readonly receivedOn: string;
  readonly received: number;
  readonly costMinor: number;
  readonly expiresOn: string | null;
  readonly note: string;
  readonly onHand: number;
}

export type NewLot = Omit<Lot, "id" | "onHand"> & {
  /** The batch that made it, where one did. */
  readonly fromBatchId: number | null;
  readonly addedAt: Date;
  readonly actorId: number;
};

export interface StockMovement {
  readonly lotId: number;
  readonly changeBy: number;
  readonly kind: "received" | "used" | "wasted" | "corrected";
  readonly batchId: number | null;
  readonly at: Date;
  readonly actorId: number;
  readonly note: string;
}

interface LotRow {
  id: number;
  ingredient_id: string;
  unit: "kg" | "L";
  origin: LotOrigin;
  received_on: string;
  received: string;
  cost_minor: string;
  expires_on: string | null;
  note: string;
  on_hand: string;
}

const COLUMNS = "id, ingredient_id, unit, origin, received_on, received, cost_minor, expires_on, note, on_hand";
const SELECT_ON_HAND = `select ${COLUMNS} from lot_on_hand where on_hand > 0 order by ingredient_id, received_on, id`;
const LOCK_LOTS = "select id from lot where ingredient_id = ? order by received_on, id for update";
const SELECT_LOTS = `
  select lot.id, lot.ingredient_id, lot.unit, lot.origin, lot.received_on, lot.received, lot.cost_minor, lot.expires_on, lot.note,
         coalesce((select sum(change_by) from stock_movement where lot_id = lot.id), 0) as on_hand
  from lot where lot.ingredient_id = ? order by lot.received_on, lot.id for update`;
const INSERT_LOT = `
  insert into lot (ingredient_id, unit, origin, received_on, received, cost_minor, expires_on, note, from_batch_id, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const INSERT_MOVEMENT =
  "insert into stock_movement (lot_id, change_by, kind, batch_id, at, actor_id, note) values (?, ?, ?, ?, ?, ?, ?)";

const toLot = (row: LotRow): Lot => ({
  id: row.id,
  ingredientId: row.ingredient_id,
  unit: row.unit,
  origin: row.origin,
  receivedOn: row.received_on,
  received: Number(row.received),
  costMinor: Number(row.cost_minor),
  expiresOn: row.expires_on,
  note: row.note,
  onHand: Number(row.on_hand),
});

/** Every lot with something left, by ingredient, oldest first. */
export const listLotsOnHand = async (db: Queryable): Promise<Lot[]> =>
  (await select<LotRow>(db, SELECT_ON_HAND)).map(toLot);

/** Locks an ingredient's lots and tells what is on hand of each now, oldest first. */
export async function lockLots(db: Queryable, ingredientId: string): Promise<Lot[]> {
  await select(db, LOCK_LOTS, [ingredientId]);
  return (await select<LotRow>(db, SELECT_LOTS, [ingredientId])).map(toLot);
}

export const insertLot = (db: Queryable, lot: NewLot): Promise<number> =>
  insert(db, INSERT_LOT, [
    lot.ingredientId,
    lot.unit,
    lot.origin,
    lot.receivedOn,
    lot.received,
    lot.costMinor,
    lot.expiresOn,
    lot.note,
    lot.fromBatchId,
    lot.actorId,
    lot.addedAt,
  ]);

export const insertStockMovement = (db: Queryable, move: StockMovement): Promise<number> =>
  insert(db, INSERT_MOVEMENT, [
    move.lotId,
    move.changeBy.toFixed(3),
    move.kind,
    move.batchId,
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
         lot.cost_minor / lot.received as unit_cost_minor
  from stock_movement movement join lot on lot.id = movement.lot_id`;
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
