import "server-only";
import { isOnPlan } from "@/core/apply/elsewhere";
import type { Ring } from "@/core/land/ring";
import { CONFOUNDERS, type Confounder, type Trial, type TrialAnswer, type Verdict } from "@/core/trial";
import {
  armsByDay,
  DECIDING_SLACK_D,
  isDrawFrozen,
  standingOf,
  unitRing,
  type ReadBlock,
  type StandingTrial,
  type TrialRecords,
  type TrialTerms,
} from "@/core/trial/farm";
import type { Farm } from "@/data/farm";
import { addDays } from "@/core/calendar";
import { findTrial, listReadingsOfTrials, type TrialRow } from "@/data/trials";
import type { Plot } from "@/data/field";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readPlots } from "../field";
import { knowersOf, readPutOn, recordsOf, standingDraws, type LookDocument, type PutOn } from "./standing";

export interface TrialUnitView {
  readonly unit: string;
  readonly plotId: number;
  readonly plotName: string;
  readonly strip: number | null;
  readonly code: string;
  /** Outline on the plan; null for what lies nowhere on it. */
  readonly ring: Ring | null;
  /** What it gets; null while whoever asks is not to know. */
  readonly arm: string | null;
  readonly block: string;
  /** Read on or about the day that decides. */
  readonly isRead: boolean;
}
export interface TrialRoundView {
  readonly roundNo: number;
  readonly decidingOn: string;
  readonly drawnOn: string;
  /** Draws before the one that stands, with the reason why they were drawn again. */
  readonly redraws: readonly { readonly reason: string; readonly on: string; readonly by: string }[];
  readonly isFrozen: boolean;
  readonly isShown: boolean;
  readonly guardM: number;
  readonly units: readonly TrialUnitView[];
  /** How many strips make no whole block, and stay out. */
  readonly spare: number;
}
export interface TrialBlockView {
  readonly id: string;
  readonly units: readonly string[];
  readonly isRead: boolean;
  readonly isApart: boolean;
  readonly isLooked: boolean;
  readonly leftOut: string | null;
}
/** A verdict as it was written down. */
export interface TrialLookView {
  readonly entryId: number;
  readonly on: string;
  readonly by: string;
  readonly answer: TrialAnswer;
  readonly asked: Trial;
}
export interface TrialView {
  readonly farm: FarmView;
  readonly today: string;
  readonly id: number;
  readonly terms: TrialTerms;
  readonly begunOn: string;
  readonly by: string;
  /** Why it was stopped; null while it runs. */
  readonly stopped: { readonly reason: string; readonly on: string } | null;
  readonly rounds: readonly TrialRoundView[];
  readonly blocks: readonly TrialBlockView[];
  /** Whether whoever asks knows which strip gets what. */
  readonly knows: boolean;
  /** Days on which something of it went on. */
  readonly putOn: readonly {
    readonly on: string;
    readonly arm: string;
    readonly units: number;
    readonly entryId: number | null;
  }[];
  readonly applications: number;
  readonly judged: number;
  /** Whether a look would show something that none has shown. */
  readonly mayLook: boolean;
  readonly confounders: readonly Confounder[];
  readonly notedByHand: readonly { readonly entryId: number; readonly code: Confounder }[];
  readonly looks: readonly TrialLookView[];
  /** Means of the arms by day, up to the day that decides until somebody looked. */
  readonly curve: ReturnType<typeof armsByDay>;
}

const looksOf = (trial: TrialRow): TrialLookView[] =>
  trial.entries.flatMap(({ id, kind, on, actorName, document }) => {
    if (kind !== "look") return [];
    const { answer, asked } = document as LookDocument;
    return [{ entryId: id, on, by: actorName, answer, asked }];
  });
export const lookedBlocks = (trial: TrialRow): ReadonlySet<string> =>
  new Set(trial.entries.flatMap(({ kind, document }) => (kind === "look" ? (document as LookDocument).blockIds : [])));

/** How it ended; null while it runs. */
export function stoppedOf({ entries }: TrialRow): { readonly reason: string; readonly on: string } | null {
  const last = entries.findLast(({ kind }) => kind === "stopped" || kind === "resumed");
  return last?.kind === "stopped" ? { reason: (last.document as { reason: string }).reason, on: last.on } : null;
}

interface Read {
  readonly trial: TrialRow;
  readonly records: TrialRecords;
  readonly standing: StandingTrial;
  readonly plots: ReadonlyMap<number, Plot>;
  readonly putOn: PutOn;
  readonly actorId: number;
  readonly farm: Farm;
}

function unitsOf(
  draw: TrialRow["draws"][number],
  blocks: readonly ReadBlock[],
  isShown: boolean,
  plots: Read["plots"],
) {
  const { placement, units, joining } = draw.document;
  const blockOf = new Map(
    blocks.flatMap((block) => block.units.map((one) => [one.unit, { block, arm: one.arm }] as const)),
  );
  return units.flatMap(({ unit, plotId, strip }): TrialUnitView[] => {
    const of = blockOf.get(unit);
    if (!of) return [];
    const plot = plots.get(plotId);
    return [
      {
        ...{ unit, plotId, strip, plotName: plot?.name ?? "", code: placement.codes[unit]! },
        ring: unitRing(plot && isOnPlan(plot) ? plot.ring : null, strip, joining.strips),
        arm: isShown ? of.arm : null,
        ...{ block: of.block.id, isRead: of.block.read.has(unit) },
      },
    ];
  });
}

function roundsOf({ trial, records, standing, plots, putOn, actorId, farm }: Read): TrialRoundView[] {
  const looked = lookedBlocks(trial);
  return standingDraws(trial).map((draw, nth): TrialRoundView => {
    const { roundNo, document } = draw;
    const { placement } = document;
    const round = records.rounds[nth]!;
    const blocks = standing.blocks.filter((one) => one.round === round);
    // What was compared is open to all; before, to who puts it on.
    const isShown =
      knowersOf(trial, draw, putOn).has(actorId) || (blocks.length > 0 && blocks.every(({ id }) => looked.has(id)));
    return {
      ...{ roundNo, decidingOn: round.decidingOn, drawnOn: round.drawnOn, isShown },
      redraws: trial.draws
        .filter((one) => one.roundNo === roundNo && one.reason !== "")
        .map((one) => ({ reason: one.reason, on: isoDay(one.addedAt, farm), by: one.actorName })),
      isFrozen: isDrawFrozen(records, round),
      ...{ guardM: placement.guardM, spare: placement.spare.length },
      units: unitsOf(draw, blocks, isShown, plots),
    };
  });
}

/** Days on which something of the trial went on, by arm; those noted by hand with the entry that says so. */
function putOnDays({ trial, records }: Pick<Read, "trial" | "records">): TrialView["putOn"] {
  const days = new Map<string, { on: string; arm: string; units: Set<string> }>();
  for (const { on, arm, unit } of records.applications) {
    if (arm === null) continue;
    const known = days.get(`${on}/${arm}`) ?? { on, arm, units: new Set<string>() };
    known.units.add(unit);
    days.set(`${on}/${arm}`, known);
  }
  const byHand = trial.entries.filter(({ kind }) => kind === "applied");
  return [...days.values()]
    .toSorted((one, other) => (one.on < other.on ? -1 : 1))
    .map(({ on, arm, units }) => ({
      ...{ on, arm, units: units.size },
      entryId: byHand.find((entry) => entry.on === on && (entry.document as { arm: string }).arm === arm)?.id ?? null,
    }));
}

function blocksOf({ trial, records, standing }: Pick<Read, "trial" | "records" | "standing">): TrialBlockView[] {
  const looked = lookedBlocks(trial);
  const left = new Map(
    records.notes.flatMap((note) => (note.type === "left-out" ? [[note.block, note.reason] as const] : [])),
  );
  return standing.blocks.map(({ id, units, decidedOn, isApart }) => ({
    ...{ id, isApart, units: units.map(({ unit }) => unit) },
    ...{ isRead: decidedOn !== null, isLooked: looked.has(id), leftOut: left.get(id) ?? null },
  }));
}

/** A trial with all its rows, as the core reads them. It is analysed where somebody looks, and not at each opening of its page. */
export async function readRecords(ctx: Context, farm: Farm, trial: TrialRow) {
  const today = isoDay(ctx.now(), farm);
  const [putOn, readings, plots] = await Promise.all([
    readPutOn(ctx.pool, [trial], ctx.now()),
    listReadingsOfTrials(ctx.pool, [trial.id]),
    readPlots(ctx.pool, today),
  ]);
  const records = recordsOf(trial, readings, putOn, farm, today);
  return { today, putOn, readings, plots, records, standing: standingOf(records, null, false) };
}

/** A trial as it stands; null where there is none. What its strips get is told to who knows it, or once it was compared. */
export async function readTrial(ctx: Context, farm: Farm, id: number): Promise<TrialView | null> {
  const trial = await findTrial(ctx.pool, id);
  if (!trial) return null;
  const { today, putOn, plots, records, standing } = await readRecords(ctx, farm, trial);
  const byId = new Map(plots.map((plot) => [plot.id, plot]));
  const read: Read = { trial, records, standing, plots: byId, putOn, actorId: ctx.actor.id, farm };
  const rounds = roundsOf(read);
  const looks = looksOf(trial);
  const last = looks.at(-1);
  const { terms } = records;
  const isDone = terms.looks === "one" && last !== undefined;
  // What decides is seen by looking, which is written down, and not in passing.
  const shownTo = last ? "9999-12-31" : addDays(terms.decidingOn, -DECIDING_SLACK_D - 1);
  return {
    ...{ farm: farmView(farm), today, id, terms, by: trial.actorName, begunOn: isoDay(trial.addedAt, farm) },
    ...{ stopped: stoppedOf(trial), rounds, blocks: blocksOf(read), looks },
    knows: rounds.every(({ isShown }) => isShown),
    putOn: putOnDays(read),
    ...{ applications: standing.applications, judged: standing.judged, confounders: standing.confounders },
    mayLook: standing.judged > 0 && !isDone && (last === undefined || standing.judged > lookedBlocks(trial).size),
    notedByHand: trial.entries.flatMap(({ id: entryId, kind, document }) =>
      kind === "confounder" ? [{ entryId, code: (document as { code: Confounder }).code }] : [],
    ),
    curve: armsByDay(records).filter(({ on }) => on <= shownTo),
  };
}

/** What was said at the last look, input by input; nothing before any. */
export function lastVerdicts(
  trial: TrialRow,
): readonly { readonly input: string; readonly verdict: Verdict; readonly confounders: readonly Confounder[] }[] {
  const last = looksOf(trial).at(-1);
  const { inputs } = trial.terms.at(-1)!.document;
  return (last?.answer.arms ?? []).map(({ arm, verdict, reasons }) => ({
    ...{ input: inputs.find((one) => one.arm === arm)?.name ?? "", verdict },
    confounders: reasons.filter((reason): reason is Confounder => Object.hasOwn(CONFOUNDERS, reason)),
  }));
}
