import { addDays, daysBetween } from "../../calendar";
import { groupBy } from "../../groupBy";
import type { TrialRecords, TrialRound, UnitApplication, UnitReading } from "./records";

/** A reading so near its day counts as of that day. */
export const DECIDING_SLACK_D = 3;

/** A block as it was placed, with what was read of it. */
export interface ReadBlock {
  readonly id: string;
  readonly round: TrialRound;
  readonly units: readonly { readonly unit: string; readonly arm: string }[];
  /** Day on which all its units were read to decide; null while it waits. */
  readonly decidedOn: string | null;
  /** Whether its units were read to decide, though never on one day. */
  readonly isApart: boolean;
  /** Units that were read on or after the day that decides. */
  readonly read: ReadonlySet<string>;
  /** By unit: what decides, and what was read before the first application. */
  readonly after: ReadonlyMap<string, number>;
  readonly before: ReadonlyMap<string, number>;
}

/** The last that was written of each unit and day; what came up twice in one scoring counts as it was seen first. */
function byUnitAndDay(readings: readonly UnitReading[]): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const known = new Map<string, Map<string, number>>();
  for (const { unit, on, value, isAgain } of readings.toSorted((one, other) => one.id - other.id)) {
    if (isAgain) continue;
    const days = known.get(unit) ?? new Map<string, number>();
    known.set(unit, days);
    days.set(on, value);
  }
  return known;
}

/** Days on which every one of these units was read, earliest first. */
function commonDays(units: readonly string[], read: ReturnType<typeof byUnitAndDay>): string[] {
  const [first, ...rest] = units.map((unit) => [...(read.get(unit)?.keys() ?? [])]);
  return (first ?? []).filter((day) => rest.every((days) => days.includes(day))).toSorted();
}

/** Day on which something of the trial first went on one of these units; null before. */
export const firstPutOn = (applications: readonly UnitApplication[], units: readonly string[]): string | null =>
  applications
    .filter(({ arm, unit }) => arm !== null && units.includes(unit))
    .reduce<string | null>((least, { on }) => (least === null || on < least ? on : least), null);

export const blockIdOf = (roundNo: number, block: number): string => `${roundNo}.${block}`;

/**
 * Blocks of a trial with the readings that decide: of each the first day, from three before the one that was named, on which all its units were read. Units
 * of one block that were read on different days only make no comparison.
 * @param judgedOn the day in place of the one that was named, to see how it stands before
 */
export function readBlocks(
  { rounds, readings, applications }: Pick<TrialRecords, "rounds" | "readings" | "applications">,
  judgedOn: string | null = null,
): ReadBlock[] {
  const read = byUnitAndDay(readings);
  return rounds.flatMap((round) =>
    round.placement.blocks.map(({ block, units }): ReadBlock => {
      const names = units.map(({ unit }) => unit);
      const from = judgedOn ?? addDays(round.decidingOn, -DECIDING_SLACK_D);
      const days = commonDays(names, read);
      const decidedOn = days.find((day) => day >= from) ?? null;
      const isLate = (unit: string): boolean => [...(read.get(unit)?.keys() ?? [])].some((day) => day >= from);
      const begunOn = firstPutOn(applications, names);
      const beforeOn = days.findLast((day) => (begunOn === null ? day < from : day <= begunOn)) ?? null;
      const at = (day: string | null): ReadonlyMap<string, number> =>
        new Map(day === null ? [] : names.map((unit) => [unit, read.get(unit)!.get(day)!]));
      return {
        id: blockIdOf(round.roundNo, block),
        ...{ round, units, decidedOn },
        isApart: decidedOn === null && names.every(isLate),
        read: new Set(names.filter(isLate)),
        after: at(decidedOn),
        before: at(beforeOn === decidedOn ? null : beforeOn),
      };
    }),
  );
}

/** Whether the draw of a round stands for good: something of the trial went on its strips, or they were read to decide. */
export const isDrawFrozen = (
  records: Pick<TrialRecords, "rounds" | "readings" | "applications">,
  round: TrialRound,
): boolean =>
  firstPutOn(
    records.applications,
    round.units.map(({ unit }) => unit),
  ) !== null || readBlocks({ ...records, rounds: [round] }).some(({ read }) => read.size > 0);

/** Means of each arm by day since lots were drawn, for the curve: days on which at least half of the arm's units were read. */
export function armsByDay({ rounds, readings }: Pick<TrialRecords, "rounds" | "readings">): {
  readonly on: string;
  readonly afterD: number;
  readonly means: Readonly<Record<string, number>>;
}[] {
  const read = byUnitAndDay(readings);
  const [first] = rounds;
  if (!first) return [];
  const arms = groupBy(
    rounds.flatMap(({ placement }) => placement.blocks.flatMap(({ units }) => units)),
    ({ arm }) => arm,
  );
  const days = [...new Set(readings.map(({ on }) => on))].toSorted();
  return days.flatMap((on) => {
    const means = [...arms].flatMap(([arm, units]) => {
      const values = units.flatMap(({ unit }) => read.get(unit)?.get(on) ?? []);
      return values.length * 2 >= units.length
        ? [[arm, values.reduce((sum, one) => sum + one, 0) / values.length] as const]
        : [];
    });
    return means.length === 0 ? [] : [{ on, afterD: daysBetween(first.drawnOn, on), means: Object.fromEntries(means) }];
  });
}
