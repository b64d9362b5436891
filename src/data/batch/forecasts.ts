import "server-only";
import { insert, places, select, type Queryable } from "../db";

/** A forecast as it was kept, to be held against what came of it. */
export interface KeptForecast {
  readonly batchId: number;
  /** The line of the log that it answers to; null for the start, and where the weather or a probe moved it. */
  readonly entryId: number | null;
  readonly madeAt: Date;
  readonly modelVersion: number;
  readonly state: string;
  readonly basis: string;
  readonly ready: number;
  readonly start: KeptHours;
  readonly end: KeptHours;
  readonly u: { readonly mean: number; readonly sd: number } | null;
}

interface KeptHours {
  readonly p10: Date | null;
  readonly p50: Date | null;
  readonly p90: Date | null;
}

export interface LearningReset {
  readonly modelId: string;
  readonly reason: string;
  readonly at: Date;
  readonly actorName: string;
}

interface ForecastRow {
  batch_id: number;
  entry_id: number | null;
  made_at: Date;
  model_version: number;
  state: string;
  basis: string;
  ready: number;
  start_p10: Date | null;
  start_p50: Date | null;
  start_p90: Date | null;
  end_p10: Date | null;
  end_p50: Date | null;
  end_p90: Date | null;
  u_mean: number | null;
  u_sd: number | null;
}

const COLUMNS =
  "batch_id, entry_id, made_at, model_version, state, basis, ready, start_p10, start_p50, start_p90, end_p10, end_p50, end_p90, u_mean, u_sd";
const INSERT = `insert into batch_forecast (${COLUMNS}) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const SELECT_OF_BATCH = `select ${COLUMNS} from batch_forecast where batch_id = ? order by made_at, id`;
const SELECT_OF_METHOD = `
  select forecast.batch_id, forecast.entry_id, forecast.made_at, forecast.model_version, forecast.state, forecast.basis, forecast.ready,
         forecast.start_p10, forecast.start_p50, forecast.start_p90, forecast.end_p10, forecast.end_p50, forecast.end_p90, forecast.u_mean, forecast.u_sd
  from batch_forecast forecast
  join batch on batch.id = forecast.batch_id
  where batch.method_id = ? order by forecast.batch_id, forecast.made_at, forecast.id`;
const OF_FORECAST = COLUMNS.split(", ")
  .map((column) => `forecast.${column}`)
  .join(", ");
const SELECT_LATEST_OF_RUNNING = `
  select ${OF_FORECAST}
  from batch_forecast forecast
  join (select max(kept.id) as id from batch_forecast kept
        left join standing_close on standing_close.batch_id = kept.batch_id
        where standing_close.batch_id is null group by kept.batch_id) latest on latest.id = forecast.id`;
const INSERT_RESET = "insert into learning_reset (model_id, reason, at, actor_id) values (?, ?, ?, ?)";
const SELECT_RESETS = `
  select reset.model_id, reset.reason, reset.at, actor.name as actor_name
  from standing_learning_reset reset join actor on actor.id = reset.actor_id order by reset.at, reset.id`;

const toKept = (row: ForecastRow): KeptForecast => ({
  batchId: row.batch_id,
  entryId: row.entry_id,
  madeAt: row.made_at,
  modelVersion: row.model_version,
  state: row.state,
  basis: row.basis,
  ready: row.ready,
  start: { p10: row.start_p10, p50: row.start_p50, p90: row.start_p90 },
  end: { p10: row.end_p10, p50: row.end_p50, p90: row.end_p90 },
  u: row.u_mean === null || row.u_sd === null ? null : { mean: row.u_mean, sd: row.u_sd },
});

export const insertForecast = (db: Queryable, kept: KeptForecast): Promise<number> =>
  insert(db, INSERT, [
    kept.batchId,
    kept.entryId,
    kept.madeAt,
    kept.modelVersion,
    kept.state,
    kept.basis,
    kept.ready,
    kept.start.p10,
    kept.start.p50,
    kept.start.p90,
    kept.end.p10,
    kept.end.p50,
    kept.end.p90,
    kept.u?.mean ?? null,
    kept.u?.sd ?? null,
  ]);

export const listForecastsOfBatch = async (db: Queryable, batchId: number): Promise<KeptForecast[]> =>
  (await select<ForecastRow>(db, SELECT_OF_BATCH, [batchId])).map(toKept);
/** The one kept last of every running batch. */
export const listLatestForecasts = async (db: Queryable): Promise<KeptForecast[]> =>
  (await select<ForecastRow>(db, SELECT_LATEST_OF_RUNNING)).map(toKept);
export const listForecastsOfMethod = async (db: Queryable, methodId: string): Promise<KeptForecast[]> =>
  (await select<ForecastRow>(db, SELECT_OF_METHOD, [methodId])).map(toKept);

/** All that was kept of these batches, in the order in which it was made. */
export async function listForecastsOf(db: Queryable, batchIds: readonly number[]): Promise<KeptForecast[]> {
  if (batchIds.length === 0) return [];
  const sql = `select ${OF_FORECAST} from batch_forecast forecast where forecast.batch_id in (${places(batchIds)}) order by forecast.batch_id, forecast.made_at, forecast.id`;
  return (await select<ForecastRow>(db, sql, [...batchIds])).map(toKept);
}

export const insertLearningReset = (
  db: Queryable,
  reset: { readonly modelId: string; readonly reason: string; readonly at: Date; readonly actorId: number },
): Promise<number> => insert(db, INSERT_RESET, [reset.modelId, reset.reason, reset.at, reset.actorId]);

export async function listLearningResets(db: Queryable): Promise<LearningReset[]> {
  const rows = await select<{ model_id: string; reason: string; at: Date; actor_name: string }>(db, SELECT_RESETS);
  return rows.map(({ model_id, reason, at, actor_name }) => ({ modelId: model_id, reason, at, actorName: actor_name }));
}
