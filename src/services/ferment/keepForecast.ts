import "server-only";
import type { Assessment } from "@/core/judge/assess";
import type { Quantiles } from "@/core/judge/forecastBatch";
import { hasMoved } from "@/core/judge/moved";
import { recipeFrom } from "@/core/recipe/document";
import {
  listLinesOf,
  listLinesOfRunning,
  findBatch,
  listRunningBatches,
  type Batch,
  listStanding,
  listStandingOfRunning,
  insertForecast,
  listLatestForecasts,
  type KeptForecast,
} from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { assessBatch } from "./assessBatch";
import { hourOf } from "./logItems";
import { readSituation } from "./situation";

/** Goes up with every change of the model that moves its answers, so that its record can be told apart. */
export const MODEL_VERSION = 3;
const HOUR_MS = 3_600_000;

function keptOf(batch: Batch, { forecast, verdict }: Assessment, entryId: number | null, at: Date): KeptForecast {
  const moment = (hour: number | null) => (hour === null ? null : new Date(batch.startedAt.getTime() + hour * HOUR_MS));
  const moments = ({ p10, p50, p90 }: Quantiles) => ({ p10: moment(p10), p50: moment(p50), p90: moment(p90) });
  return {
    batchId: batch.id,
    entryId,
    madeAt: at,
    modelVersion: MODEL_VERSION,
    state: verdict.state,
    basis: forecast.temperatureBasis,
    ready: forecast.probabilityReady,
    start: moments(forecast.window.start),
    end: moments(forecast.window.end),
    u: forecast.u && { mean: forecast.u.mean, sd: forecast.u.sd },
  };
}

/**
 * Keeps the forecast as it stands after a line of the log, within that line's transaction.
 * @param entryId the line; null for the start
 */
export async function keepForecast(db: Queryable, batchId: number, entryId: number | null, at: Date): Promise<void> {
  const [farm, batch] = await Promise.all([findFarm(db), findBatch(db, batchId)]);
  if (!farm || !batch || batch.close) return;
  const lines = await listLinesOf(db, [batch.id]);
  const situation = await readSituation(db, farm, [batch], lines, at);
  const assessment = assessBatch(batch, await listStanding(db, batch.id), situation, at);
  await insertForecast(db, keptOf(batch, assessment, entryId, at));
}

/** Keeps the forecasts of running batches that weather or a probe moved since they were last kept, within that post's transaction. */
export async function keepMovedForecasts(db: Queryable, at: Date): Promise<void> {
  const [farm, batches] = await Promise.all([findFarm(db), listRunningBatches(db)]);
  if (!farm || batches.length === 0) return;
  const [lines, entries, latest] = await Promise.all([
    listLinesOfRunning(db),
    listStandingOfRunning(db),
    listLatestForecasts(db),
  ]);
  const situation = await readSituation(db, farm, batches, lines, at);
  const last = new Map(latest.map((kept) => [kept.batchId, kept]));
  for (const batch of batches) {
    const before = last.get(batch.id);
    if (!before || before.madeAt >= at) continue;
    const own = entries.filter(({ batchId }) => batchId === batch.id);
    const assessment = assessBatch(batch, own, situation, at);
    const hour = (moment: Date | null) => (moment ? hourOf(batch, moment) : null);
    const { window } = assessment.forecast;
    const moved = hasMoved(
      recipeFrom(batch.recipe.document),
      { startH: hour(before.start.p50), endH: hour(before.end.p50) },
      { startH: window.start.p50, endH: window.end.p50 },
      Math.max(0, hourOf(batch, at)),
    );
    if (moved || before.state !== assessment.verdict.state)
      await insertForecast(db, keptOf(batch, assessment, null, at));
  }
}
