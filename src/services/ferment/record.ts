import "server-only";
import { findMethod } from "@/core/book";
import { outcomeOf, scoreOf, type Score } from "@/core/judge/outcome";
import { isUsable } from "@/core/judge/verdictState";
import { recipeFrom } from "@/core/recipe/document";
import { groupBy } from "@/core/groupBy";
import {
  type Batch,
  listBatchesById,
  listStandingOf,
  listForecastsOf,
  listForecastsOfMethod,
  type KeptForecast,
} from "@/data/batch";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import type { Context } from "../context";
import { hourOf, logItemsOf } from "./logItems";
import { readPriors } from "./priors";

/** One finished batch of a method: what was said at its start and half-way, and what came of it. */
export interface RecordLine {
  readonly batchId: number;
  readonly startedMs: number;
  readonly vesselName: string;
  /** When it became ready by its log: not before, by; days. */
  readonly readyD: { readonly notBefore: number | null; readonly by: number };
  readonly atStart: SaidThen | null;
  readonly halfWay: SaidThen | null;
  /** What the days rule would have said, days. */
  readonly ruleD: number;
}

export interface SaidThen {
  readonly p10D: number | null;
  readonly p50D: number | null;
  readonly p90D: number | null;
  readonly score: Score;
}

/** How right Ruchka has been on this farm with a method, and what the farm's batches taught it. */
export interface MethodRecord {
  readonly lines: readonly RecordLine[];
  readonly hits: number;
  readonly judged: number;
  /** Median of how far the likeliest hour was off, at the start; by Ruchka, and by the days rule; days. */
  readonly offD: number | null;
  readonly ruleOffD: number | null;
  readonly learned: {
    readonly modelId: string;
    readonly pace: number;
    readonly sd: number;
    readonly bookSd: number;
    readonly taught: number;
    readonly finished: number;
    readonly resets: readonly { readonly atMs: number; readonly reason: string; readonly by: string }[];
  } | null;
}

const D_H = 24;
const medianOf = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

function saidThen(
  batch: Batch,
  kept: KeptForecast | undefined,
  byH: number,
  notBeforeH: number | null,
): SaidThen | null {
  if (!kept) return null;
  const hour = (at: Date | null) => (at ? hourOf(batch, at) : null);
  const window = { p10: hour(kept.start.p10), p50: hour(kept.start.p50), p90: hour(kept.start.p90) };
  const days = (value: number | null) => (value === null ? null : value / D_H);
  return {
    p10D: days(window.p10),
    p50D: days(window.p50),
    p90D: days(window.p90),
    score: scoreOf(window, { notBeforeH, byH }),
  };
}

function lineOf(batch: Batch, log: Parameters<typeof logItemsOf>[1], kept: readonly KeptForecast[]): RecordLine | null {
  const recipe = recipeFrom(batch.recipe.document);
  if (recipe.readiness.type !== "ripens" || !batch.close) return null;
  const closedH = hourOf(batch, batch.close.at);
  // Strained when it was past, it says nothing of when it was ready.
  const judgedReady = batch.close.kind === "strained" && isUsable(batch.close.verdict);
  const outcome = outcomeOf(recipe, logItemsOf(batch, log), judgedReady ? closedH : null);
  if (!outcome) return null;
  const halfH = outcome.byH / 2;
  const first = kept.find(({ entryId }) => entryId === null) ?? kept[0];
  const half = kept.findLast(({ madeAt }) => {
    const madeH = hourOf(batch, madeAt);
    return madeH >= 0.3 * outcome.byH && madeH <= Math.max(halfH, 0.75 * outcome.byH);
  });
  return {
    batchId: batch.id,
    startedMs: batch.startedAt.getTime(),
    vesselName: batch.vesselName,
    readyD: {
      notBefore: outcome.notBeforeH === null ? null : outcome.notBeforeH / D_H,
      by: outcome.byH / D_H,
    },
    atStart: saidThen(batch, first, outcome.byH, outcome.notBeforeH),
    halfWay: saidThen(batch, half, outcome.byH, outcome.notBeforeH),
    ruleD: recipe.readiness.model.daysRuleH / D_H,
  };
}

/** Finished batches that tell, with what was said of them; the newest first. */
function linesOf(
  batches: readonly Batch[],
  entries: Awaited<ReturnType<typeof listStandingOf>>,
  kept: readonly KeptForecast[],
): RecordLine[] {
  const [entriesOf, keptOf] = [groupBy(entries, ({ batchId }) => batchId), groupBy(kept, ({ batchId }) => batchId)];
  return batches
    .flatMap((batch) => lineOf(batch, entriesOf.get(batch.id) ?? [], keptOf.get(batch.id) ?? []) ?? [])
    .toSorted((a, b) => b.startedMs - a.startedMs);
}

/** How right it was in all: hits among what was judged, and how far off at the start. */
function standingOf(lines: readonly RecordLine[]): Pick<MethodRecord, "hits" | "judged" | "offD" | "ruleOffD"> {
  const scores = lines.flatMap(({ atStart, halfWay }) =>
    [atStart, halfWay].flatMap((said) => (said ? [said.score] : [])),
  );
  const judged = scores.filter(({ verdict }) => verdict !== "open");
  const bounded = lines.filter(({ readyD, atStart }) => readyD.notBefore !== null && atStart?.score.offH != null);
  return {
    hits: judged.filter(({ verdict }) => verdict === "hit").length,
    judged: judged.length,
    offD: medianOf(bounded.map(({ atStart }) => Math.abs(atStart!.score.offH!) / D_H)),
    ruleOffD: medianOf(bounded.map(({ readyD, ruleD }) => Math.abs(ruleD - (readyD.notBefore! + readyD.by) / 2))),
  };
}

/** How right Ruchka was with these batches, whatever their method. */
export async function readRecordOf(db: Queryable, batches: readonly Batch[]): Promise<ReturnType<typeof standingOf>> {
  const ids = batches.map(({ id }) => id);
  const [kept, entries] = await Promise.all([listForecastsOf(db, ids), listStandingOf(db, ids)]);
  return standingOf(linesOf(batches, entries, kept));
}

/** How the forecasts of a method's finished batches came out, and what those batches taught. */
export async function readRecord(ctx: Context, farm: Farm, methodId: string): Promise<MethodRecord> {
  const db = ctx.pool;
  const kept = await listForecastsOfMethod(db, methodId);
  const ids = [...new Set(kept.map(({ batchId }) => batchId))];
  const [batches, entries, priors] = await Promise.all([
    listBatchesById(db, ids),
    listStandingOf(db, ids),
    readPriors(db, farm),
  ]);
  const lines = linesOf(batches, entries, kept);
  const models = findMethod(methodId).schools.flatMap(({ readiness }) =>
    readiness.type === "ripens" ? [readiness.model.id] : [],
  );
  const learned = priors.learned.find(({ model }) => models.includes(model.id)) ?? null;
  return {
    lines,
    ...standingOf(lines),
    learned: learned && {
      modelId: learned.model.id,
      pace: Math.exp(learned.mean),
      sd: learned.sd,
      bookSd: Math.hypot(learned.model.prior.farmSd, learned.model.prior.batchSd),
      taught: learned.taught,
      finished: learned.finished,
      resets: learned.resets.map(({ at, reason, actorName }) => ({ atMs: at.getTime(), reason, by: actorName })),
    },
  };
}
