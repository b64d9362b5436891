import "server-only";
import { insert, select, type Queryable } from "../db";

/** What the farm's own measure of an ingredient came to over all its weighings, in the ingredient's stock unit. */
export interface FarmMeasure {
  readonly measure: string;
  readonly ingredientId: string;
  readonly mean: number;
  readonly least: number;
  readonly most: number;
  readonly weighings: number;
}

const SELECT_MEASURES = `
  select measure, ingredient_id, avg(amount) as mean, min(amount) as least, max(amount) as most, count(*) as weighings
  from measure_weighing
  where id not in (select weighing_id from weighing_taken_back)
  group by measure, ingredient_id order by measure, ingredient_id`;
const LOCK_LAST = `
  select id from measure_weighing
  where measure = ? and ingredient_id = ? and id not in (select weighing_id from weighing_taken_back)
  order by id desc limit 1 for update`;

export const listMeasures = async (db: Queryable): Promise<FarmMeasure[]> =>
  (
    await select<{
      measure: string;
      ingredient_id: string;
      mean: string;
      least: string;
      most: string;
      weighings: number;
    }>(db, SELECT_MEASURES)
  ).map((row) => ({
    measure: row.measure,
    ingredientId: row.ingredient_id,
    mean: Number(row.mean),
    least: Number(row.least),
    most: Number(row.most),
    weighings: Number(row.weighings),
  }));

export const insertWeighing = (
  db: Queryable,
  weighing: {
    readonly measure: string;
    readonly ingredientId: string;
    readonly amount: number;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(
    db,
    "insert into measure_weighing (measure, ingredient_id, amount, actor_id, added_at) values (?, ?, ?, ?, ?)",
    [weighing.measure, weighing.ingredientId, weighing.amount, weighing.actorId, weighing.addedAt],
  );

/** The last weighing of a measure that still counts; null where there is none. */
export async function lockLastWeighing(db: Queryable, measure: string, ingredientId: string): Promise<number | null> {
  const [row] = await select<{ id: number }>(db, LOCK_LAST, [measure, ingredientId]);
  return row?.id ?? null;
}

export const insertTakenBack = (
  db: Queryable,
  taken: { readonly weighingId: number; readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(db, "insert into weighing_taken_back (weighing_id, actor_id, added_at) values (?, ?, ?)", [
    taken.weighingId,
    taken.actorId,
    taken.addedAt,
  ]);
