import "server-only";
import type { Provenance } from "@/core/safety/provenance";
import { places, select, type Queryable } from "../db";
import { parsed } from "./lots";

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
// What was put back is no draw.
const PER_LOT = "group by movement.batch_id, lot.id having sum(movement.change_by) <> 0";
const SELECT_DRAWS_OF_BATCH = `${DRAWS} where movement.batch_id = ? ${PER_LOT} order by min(movement.id)`;
const SELECT_ALL_DRAWS = `${DRAWS} where movement.batch_id is not null ${PER_LOT} order by movement.batch_id, min(movement.id)`;

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
/** What some batches drew; what all did where none are named. */
export async function listDrawsOfBatches(db: Queryable, batchIds: readonly number[] | null): Promise<LotDraw[]> {
  if (batchIds === null) return listAllDraws(db);
  if (batchIds.length === 0) return [];
  const marks = batchIds.map(() => "?").join(", ");
  const sql = `${DRAWS} where movement.batch_id in (${marks}) ${PER_LOT} order by movement.batch_id, min(movement.id)`;
  return (await select<DrawRow>(db, sql, [...batchIds])).map(toDraw);
}
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
     from lot join batch on batch.id = lot.from_batch_id where lot.id in (${places(lotIds)})`,
    [...lotIds],
  );
  return rows.map(({ id, name }) => ({ batchId: id, name }));
}

interface OriginRow {
  id: number;
  ingredient_id: string;
  received_on: string;
  provenance: Provenance | string | null;
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
  const rows = await select<OriginRow>(
    db,
    `select distinct lot.id, lot.ingredient_id, lot.received_on, lot.provenance
     from standing_draw movement join lot on lot.id = movement.lot_id
     where movement.batch_id in (${places(batchIds)}) and lot.provenance is not null`,
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
  const rows = await select<{
    batch_id: number;
    ingredient_id: string;
    provenance: OriginRow["provenance"];
    at: Date;
  }>(
    db,
    `select movement.batch_id, lot.ingredient_id, lot.provenance, movement.at
     from standing_draw movement join lot on lot.id = movement.lot_id where movement.batch_id in (${places(batchIds)})
     union all
     select line.batch_id, line.ingredient_id, null, batch.started_at
     from batch_line line join batch on batch.id = line.batch_id
     where line.batch_id in (${places(batchIds)}) and line.used > 0
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
