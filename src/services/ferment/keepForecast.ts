import "server-only";
import type { Quantiles } from "@/core/judge/forecastBatch";
import { findBatch, listBatchLines } from "@/data/batches";
import type { Queryable } from "@/data/db";
import { listStanding } from "@/data/entries";
import { findFarm } from "@/data/farm";
import { insertForecast } from "@/data/forecasts";
import { assessBatch } from "./assessBatch";
import { readSituation } from "./situation";

/** Goes up with every change of the model that moves its answers, so that its record can be told apart. */
export const MODEL_VERSION = 1;
const HOUR_MS = 3_600_000;

/**
 * Keeps the forecast as it stands after a line of the log, within that line's transaction.
 * @param entryId the line; null for the start
 */
export async function keepForecast(db: Queryable, batchId: number, entryId: number | null, at: Date): Promise<void> {
  const [farm, batch] = await Promise.all([findFarm(db), findBatch(db, batchId)]);
  if (!farm || !batch || batch.close) return;
  const lines = new Map([[batch.id, await listBatchLines(db, batch.id)]]);
  const situation = await readSituation(db, farm, [batch], lines, at);
  const { forecast, verdict } = assessBatch(batch, await listStanding(db, batch.id), situation, at);
  const moment = (hour: number | null) => (hour === null ? null : new Date(batch.startedAt.getTime() + hour * HOUR_MS));
  const moments = ({ p10, p50, p90 }: Quantiles) => ({ p10: moment(p10), p50: moment(p50), p90: moment(p90) });
  await insertForecast(db, {
    batchId,
    entryId,
    madeAt: at,
    modelVersion: MODEL_VERSION,
    state: verdict.state,
    basis: forecast.temperatureBasis,
    ready: forecast.probabilityReady,
    start: moments(forecast.window.start),
    end: moments(forecast.window.end),
    u: forecast.u && { mean: forecast.u.mean, sd: forecast.u.sd },
  });
}
