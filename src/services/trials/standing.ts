import "server-only";
import { findUse } from "@/core/book/uses";
import { CONTROL, type Trial, type TrialAnswer } from "@/core/trial";
import {
  firstPutOn,
  isDrawFrozen,
  unitIdOf,
  type TrialNote,
  type TrialRecords,
  type TrialRound,
  type UnitApplication,
} from "@/core/trial/farm";
import type { Queryable } from "@/data/db";
import { findFarm, type Farm } from "@/data/farm";
import { listApplicationsOn } from "@/data/field";
import { listReadingsOfTrials, type Reading, type TrialRow } from "@/data/trials";
import { isoDay } from "@/formats/times";
import { airFrom, airSince, type FarmAir } from "../weather";

type Draw = TrialRow["draws"][number];

/** The draw that stands of each round, in the order in which they joined. */
export function standingDraws({ draws }: TrialRow): readonly Draw[] {
  return [...new Map(draws.map((draw) => [draw.roundNo, draw])).values()].toSorted((a, b) => a.roundNo - b.roundNo);
}

/** Rain so soon after, and so much of it, washes off what was put on leaves. Judged, in the range that growers name. */
const WASHES_OFF = { withinH: 6, mm: 2 } as const;
const HOUR_MS = 3_600_000;

function isRainedOn(air: FarmAir, at: Date): boolean {
  const untilMs = at.getTime() + WASHES_OFF.withinH * HOUR_MS;
  const after = airFrom(air.hours, at).filter((hour) => hour.source === "measured" && hour.at.getTime() <= untilMs);
  return after.reduce((sum, { rainMm }) => sum + (rainMm ?? 0), 0) >= WASHES_OFF.mm;
}

type Applied = Awaited<ReturnType<typeof listApplicationsOn>>[number];
export interface PutOn {
  readonly applied: readonly Applied[];
  readonly air: FarmAir;
}
/** What went on the beds of these trials since lots were drawn for them, with the air meanwhile. */
export async function readPutOn(db: Queryable, trials: readonly TrialRow[], now: Date): Promise<PutOn> {
  const plotIds = [
    ...new Set(trials.flatMap((trial) => standingDraws(trial).flatMap(({ document }) => document.joining.plotIds))),
  ];
  const since = trials.reduce((first, { addedAt }) => (addedAt < first ? addedAt : first), now);
  const applied = await listApplicationsOn(db, plotIds, since);
  const leaves = applied.filter(({ useId }) => findUse(useId).target === "leaves");
  return { applied, air: leaves[0] ? await airSince(db, leaves[0].at, now) : { hours: [], version: "" } };
}

interface AppliedByHand {
  readonly arm: string;
}
const isAppliedByHand = (entry: TrialRow["entries"][number]): boolean => entry.kind === "applied";

/** What units got since lots were drawn for them: from the farm's applications, and from what was noted by hand. */
function unitApplications(trial: TrialRow, { applied, air }: PutOn, farm: Pick<Farm, "timeZone">): UnitApplication[] {
  const { inputs } = trial.terms.at(-1)!.document;
  return standingDraws(trial).flatMap(({ document, addedAt }) => {
    const { units, placement } = document;
    const armOf = new Map(
      placement.blocks.flatMap((block) => block.units.map(({ unit, arm }) => [unit, arm] as const)),
    );
    const drawnOn = isoDay(addedAt, farm);
    const byFarm = applied
      .filter(({ at }) => at >= addedAt)
      .flatMap((one) => {
        const input = inputs.find(({ methodId }) => methodId === one.methodId);
        return units
          .filter(({ plotId, unit, strip }) => {
            if (plotId !== one.plotId || !armOf.has(unit)) return false;
            // A bed of several strips was put on where its lots say so; whole beds as they were.
            return !input || strip === null || armOf.get(unit) === input.arm;
          })
          .map(({ unit }): UnitApplication => ({
            ...{ unit, on: isoDay(one.at, farm), arm: input?.arm ?? null, batchId: one.batchId },
            isWeak: one.overrideReason !== null,
            isRainedOn: input !== undefined && findUse(one.useId).target === "leaves" && isRainedOn(air, one.at),
          }));
      });
    const byHand = trial.entries
      .filter((entry) => isAppliedByHand(entry) && entry.on >= drawnOn)
      .flatMap((entry) => {
        const { arm } = entry.document as AppliedByHand;
        return [...armOf].flatMap(([unit, of]): UnitApplication[] =>
          of === arm ? [{ unit, on: entry.on, arm, batchId: null, isWeak: false, isRainedOn: false }] : [],
        );
      });
    return [...byFarm, ...byHand];
  });
}

/** Who knows which strip gets what of a round: whoever looked at its lots, or put something of it on. */
export function knowersOf(trial: TrialRow, { roundNo }: Pick<TrialRound, "roundNo">, { applied }: PutOn): Set<number> {
  const draw = standingDraws(trial).find((one) => one.roundNo === roundNo)!;
  const { inputs } = trial.terms.at(-1)!.document;
  const plots = new Set(draw.document.joining.plotIds);
  const putOn = applied.filter(
    ({ at, plotId, methodId }) =>
      at >= draw.addedAt && plots.has(plotId) && inputs.some((input) => input.methodId === methodId),
  );
  const opened = trial.entries.filter(
    ({ kind, addedAt }) => (kind === "opened" || kind === "applied") && addedAt >= draw.addedAt,
  );
  return new Set([...putOn.map(({ actorId }) => actorId), ...opened.map(({ actorId }) => actorId)]);
}

const noteOf = (entry: TrialRow["entries"][number]): TrialNote[] =>
  entry.kind === "left-out" || entry.kind === "confounder" || entry.kind === "guesses"
    ? [{ type: entry.kind, ...(entry.document as object) } as TrialNote]
    : [];

/** What was changed of a trial after its first application that settles its verdict. */
function isSwitched(trial: TrialRow, firstDay: string | null, farm: Pick<Farm, "timeZone">): boolean {
  if (firstDay === null) return false;
  const settled = (one: TrialRow["terms"][number]): string => {
    const { kind, scale, smallest, decidingOn, isChange, looks } = one.document;
    return JSON.stringify([kind, scale, smallest, decidingOn, isChange, looks]);
  };
  const then = trial.terms.findLast(({ addedAt }) => isoDay(addedAt, farm) <= firstDay) ?? trial.terms[0]!;
  return settled(then) !== settled(trial.terms.at(-1)!);
}

/** A look as it was written down. */
export interface LookDocument {
  readonly blockIds: readonly string[];
  readonly asked: Trial;
  readonly answer: TrialAnswer;
}

/** A trial's rows as the core reads them. */
export function recordsOf(
  trial: TrialRow,
  readings: readonly Reading[],
  putOn: PutOn,
  farm: Pick<Farm, "timeZone">,
  today: string,
): TrialRecords {
  const draws = standingDraws(trial);
  const terms = trial.terms.at(-1)!.document;
  const applications = unitApplications(trial, putOn, farm);
  const units = draws.flatMap(({ document }) => document.units.map(({ unit }) => unit));
  return {
    terms,
    isSwitched: isSwitched(trial, firstPutOn(applications, units), farm),
    rounds: draws.map(({ roundNo, document, decidingOn, addedAt }) => ({
      ...{ roundNo, units: document.units, placement: document.placement },
      draws: trial.draws.filter((one) => one.roundNo === roundNo).length,
      drawnOn: isoDay(addedAt, farm),
      // The day of the trial's first strips is the trial's own.
      decidingOn: roundNo === 1 ? terms.decidingOn : decidingOn,
    })),
    readings: readings
      .filter(({ kind }) => kind === terms.kind)
      .map(({ id, plotId, strip, on, value, isBlind, isAgain }) => ({
        ...{ id, on, value, isBlind, isAgain },
        unit: unitIdOf(plotId, strip),
      })),
    applications,
    notes: trial.entries.flatMap(noteOf),
    looks: trial.entries.flatMap(({ kind, on, document }) =>
      kind === "look" ? [{ on, blocks: (document as LookDocument).blockIds.length }] : [],
    ),
    today,
  };
}

/** Arms of a block's units, the control last. */
export const armsOf = (trial: TrialRow): readonly string[] => [
  ...trial.terms.at(-1)!.document.inputs.map(({ arm }) => arm),
  CONTROL,
];

/** The draw of a round as it stands, and whether nothing can change it any more; null where there is none. */
export async function findDraw(
  db: Queryable,
  trial: TrialRow,
  roundNo: number,
  now: Date,
): Promise<{ readonly draw: Draw; readonly isFrozen: boolean } | null> {
  const nth = standingDraws(trial).findIndex((one) => one.roundNo === roundNo);
  if (nth < 0) return null;
  const farm = (await findFarm(db))!;
  const [putOn, readings] = await Promise.all([readPutOn(db, [trial], now), listReadingsOfTrials(db, [trial.id])]);
  const records = recordsOf(trial, readings, putOn, farm, isoDay(now, farm));
  return { draw: standingDraws(trial)[nth]!, isFrozen: isDrawFrozen(records, records.rounds[nth]!) };
}
