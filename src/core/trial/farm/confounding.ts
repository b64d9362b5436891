import type { Confounder } from "../terms";
import type { ReadBlock } from "./read";
import type { TrialRecords, UnitApplication } from "./records";
import { groupBy } from "../../groupBy";
import { guessedRight } from "./scoring";

/** From this draw on somebody may have waited for one that pleased. */
const DRAWS_TOO_MANY = 3;
const LOST_TOO_MANY = 0.2;

/** What went onto units and is none of the trial's inputs: on one side of a block, or on all its units. */
function otherInputs(blocks: readonly ReadBlock[], applications: readonly UnitApplication[]): Confounder[] {
  const others = groupBy(
    applications.filter(({ arm }) => arm === null),
    ({ unit }) => unit,
  );
  const found = new Set<Confounder>();
  for (const { units } of blocks) {
    const counts = units.map(({ unit }) => others.get(unit)?.length ?? 0);
    if (counts.every((count) => count === 0)) continue;
    found.add(counts.every((count) => count === counts[0]) ? "other-input-both" : "other-input-one-side");
  }
  return [...found];
}
/** An input of the trial that went onto strips that were to go without it, or got another: no comparison any more. */
const isMixedUp = (blocks: readonly ReadBlock[], applications: readonly UnitApplication[]): boolean => {
  const armOf = new Map(blocks.flatMap(({ units }) => units.map(({ unit, arm }) => [unit, arm] as const)));
  return applications.some(({ unit, arm }) => arm !== null && armOf.has(unit) && armOf.get(unit) !== arm);
};

function lost(records: TrialRecords, placed: number): boolean {
  const left = records.notes.filter((note) => note.type === "left-out");
  const side = (which: string): number => left.filter((note) => note.side === which).length;
  return left.length > LOST_TOO_MANY * placed || Math.abs(side("with") - side("without")) > 1;
}

/**
 * What stands in the way of a verdict as the farm's own records tell it: draws, changes, lost blocks, other inputs, weak or different batches, rain, who
 * scored; and what was noted by hand.
 */
export function confoundersIn(records: TrialRecords, blocks: readonly ReadBlock[]): Confounder[] {
  const { rounds, terms, applications, notes, isSwitched } = records;
  const decided = blocks.filter(({ decidedOn }) => decidedOn !== null);
  const units = new Set(decided.flatMap((block) => block.units.map(({ unit }) => unit)));
  const lastOn = decided.reduce((last, { decidedOn }) => (decidedOn! > last ? decidedOn! : last), "");
  const counted = applications.filter(({ unit, on }) => units.has(unit) && on <= lastOn);
  const own = counted.filter(({ arm }) => arm !== null);
  const isBlind = isBlindReading(records, decided);
  const guesses = notes.filter((note) => note.type === "guesses");
  const right = guesses.reduce((sum, one) => sum + one.right, 0);
  const wrong = guesses.reduce((sum, one) => sum + one.wrong, 0);
  const batches = new Set(own.flatMap(({ batchId }) => batchId ?? []));
  const isScore = terms.scale === "ordinal";
  const told: readonly (readonly [Confounder, boolean])[] = [
    ["placement-chosen", rounds.some(({ draws }) => draws >= DRAWS_TOO_MANY)],
    ["measure-switched", isSwitched],
    ["strips-lost", lost(records, blocks.length)],
    ["other-input-one-side", isMixedUp(decided, counted)],
    ["weak-batch", own.some((one) => one.isWeak)],
    ["batches-differ", batches.size > 1],
    ["rain-washed-off", own.some((one) => one.isRainedOn)],
    ["unblinded-score", isScore && !isBlind],
    ["unblinded-measure", !isScore && !isBlind],
    ["scorer-guessed-right", guessedRight(right, wrong)],
  ];
  const byHand = notes.flatMap((note) => (note.type === "confounder" ? [note.code] : []));
  return [
    ...new Set([...told.flatMap(([code, is]) => (is ? [code] : [])), ...otherInputs(decided, counted), ...byHand]),
  ];
}

/** Whether all that decides was read by the code alone. */
function isBlindReading({ readings }: TrialRecords, decided: readonly ReadBlock[]): boolean {
  return decided.every(({ units, decidedOn }) =>
    units.every(({ unit }) => {
      const last = readings
        .filter((one) => one.unit === unit && one.on === decidedOn && !one.isAgain)
        .toSorted((one, other) => other.id - one.id)[0];
      return last?.isBlind ?? true;
    }),
  );
}
