import "server-only";
import type { Verdict } from "@/core/trial";
import { standingOf, type TrialTerms } from "@/core/trial/farm";
import { groupBy } from "@/core/groupBy";
import type { Farm } from "@/data/farm";
import { findTrial, listReadingsOfTrials, listTrialIds, listTrialRows } from "@/data/trials";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readPlots } from "../field";
import { lookedBlocks, stoppedOf } from "./readTrial";
import { knowersOf, readPutOn, recordsOf, standingDraws, type LookDocument } from "./standing";

/** A trial in the list. */
export interface TrialLine {
  readonly id: number;
  readonly terms: TrialTerms;
  readonly begunOn: string;
  readonly pairs: number;
  readonly readPairs: number;
  readonly applications: number;
  readonly isStopped: boolean;
  /** Readings that were never looked at. */
  readonly isUnlooked: boolean;
  /** The verdict of its last look, by arm; empty before. */
  readonly verdicts: readonly { readonly arm: string; readonly verdict: Verdict }[];
}
export interface TrialsView {
  readonly farm: FarmView;
  readonly today: string;
  readonly trials: readonly TrialLine[];
}

/** All trials of the farm, the newest first. */
export async function readTrials(ctx: Context, farm: Farm): Promise<TrialsView> {
  const db = ctx.pool;
  const today = isoDay(ctx.now(), farm);
  const ids = await listTrialIds(db);
  const [trials, readings] = await Promise.all([listTrialRows(db, ids), listReadingsOfTrials(db, ids)]);
  const putOn = await readPutOn(db, trials, ctx.now());
  const byTrial = groupBy(readings, ({ trialId }) => trialId);
  return {
    ...{ farm: farmView(farm), today },
    trials: trials.map((trial): TrialLine => {
      const records = recordsOf(trial, byTrial.get(trial.id) ?? [], putOn, farm, today);
      // How many pairs are read needs no analysis: the verdict is that of the last look.
      const { blocks, judged, applications } = standingOf({ ...records, looks: [] }, null, false);
      const last = trial.entries.findLast(({ kind }) => kind === "look");
      return {
        ...{ id: trial.id, terms: records.terms, begunOn: isoDay(trial.addedAt, farm) },
        ...{ pairs: blocks.length, readPairs: judged, applications, isStopped: stoppedOf(trial) !== null },
        isUnlooked: judged > lookedBlocks(trial).size,
        verdicts: (last ? (last.document as LookDocument).answer.arms : []).map(({ arm, verdict }) => ({
          arm,
          verdict,
        })),
      };
    }),
  };
}

/** What whoever scores is given: codes in place of what the strips got. */
export interface ScoringView {
  readonly farm: FarmView;
  readonly today: string;
  readonly id: number;
  readonly question: string;
  readonly kind: TrialTerms["kind"];
  readonly scale: TrialTerms["scale"];
  readonly unit: string;
  readonly card: readonly string[];
  readonly units: readonly { readonly code: string; readonly plotName: string; readonly strip: number | null }[];
  readonly isBlind: boolean;
}

/** A trial as whoever scores it may see it; null where there is none, or it was stopped. The key to the codes is not in it. */
export async function readScoring(ctx: Context, farm: Farm, id: number): Promise<ScoringView | null> {
  const trial = await findTrial(ctx.pool, id);
  if (!trial || stoppedOf(trial)) return null;
  const today = isoDay(ctx.now(), farm);
  const plots = new Map((await readPlots(ctx.pool, today)).map((plot) => [plot.id, plot]));
  const putOn = await readPutOn(ctx.pool, [trial], ctx.now());
  const terms = trial.terms.at(-1)!.document;
  const draws = standingDraws(trial);
  return {
    ...{ farm: farmView(farm), today, id, question: terms.question, kind: terms.kind, scale: terms.scale },
    ...{ unit: terms.unit, card: terms.card },
    units: draws.flatMap(({ document: { units, placement } }) =>
      units.flatMap(({ unit, plotId, strip }) => {
        const code = placement.codes[unit];
        return code === undefined ? [] : [{ code, strip, plotName: plots.get(plotId)?.name ?? "" }];
      }),
    ),
    isBlind: draws.every((draw) => !knowersOf(trial, draw, putOn).has(ctx.actor.id)),
  };
}
