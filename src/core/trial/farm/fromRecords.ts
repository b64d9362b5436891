import { analyseTrial } from "../analyse";
import { CONTROL } from "../place";
import { type Confounder, type Trial, type TrialAnswer } from "../terms";
import { confoundersIn } from "./confounding";
import { readBlocks, type ReadBlock } from "./read";
import type { TrialRecords } from "./records";

/** A trial as it stands on the farm. */
export interface StandingTrial {
  readonly blocks: readonly ReadBlock[];
  /** Blocks that are judged. */
  readonly judged: number;
  readonly isEarly: boolean;
  readonly applications: number;
  readonly confounders: readonly Confounder[];
  /** As the analysis is asked; null while no block has all its readings. */
  readonly asked: Trial | null;
  readonly answer: TrialAnswer | null;
}

/** Blocks that were left out by a reason. */
const leftOut = ({ notes }: TrialRecords): ReadonlyMap<string, string> =>
  new Map(notes.flatMap((note) => (note.type === "left-out" ? [[note.block, note.reason] as const] : [])));

/** Applications of the trial's inputs that every treated unit of these blocks has had, each day once. */
function applicationsOf({ applications }: TrialRecords, blocks: readonly ReadBlock[]): number {
  const treated = blocks.flatMap(({ units, decidedOn }) =>
    units.flatMap(({ unit, arm }) => (arm === CONTROL ? [] : [{ unit, arm, decidedOn }])),
  );
  const counts = treated.map(
    ({ unit, arm, decidedOn }) =>
      new Set(
        applications.flatMap((one) =>
          one.unit === unit && one.arm === arm && (decidedOn === null || one.on <= decidedOn) ? [one.on] : [],
        ),
      ).size,
  );
  return counts.length === 0 ? 0 : Math.min(...counts);
}

/** The season of a block: the year in which it was judged. */
const seasonOf = ({ decidedOn }: ReadBlock): string => decidedOn!.slice(0, 4);

function readingsOf(
  { terms }: TrialRecords,
  blocks: readonly ReadBlock[],
  left: ReadonlyMap<string, string>,
): Pick<Trial, "design" | "pairs" | "readings"> {
  const standing = blocks.filter(({ id }) => !left.has(id));
  // What a strip yields goes by its area: an odd bed leaves strips of several sizes.
  const areaOf = ({ round }: ReadBlock, unit: string): number | undefined =>
    terms.kind === "yield" ? round.units.find((one) => one.unit === unit)!.areaM2 : undefined;
  if (terms.isChange)
    return {
      design: "baci",
      readings: standing.flatMap(({ id, units, before, after }) =>
        units.map(({ unit, arm }) => ({ block: id, arm, before: before.get(unit)!, after: after.get(unit)! })),
      ),
    };
  if (terms.inputs.length > 1)
    return {
      design: "blocks",
      readings: standing.flatMap((block) =>
        block.units.map(({ unit, arm }) => ({
          ...{ block: block.id, arm },
          value: block.after.get(unit)! / (areaOf(block, unit) ?? 1),
        })),
      ),
    };
  return {
    design: "pairs",
    pairs: blocks.map((block) => {
      const unitOf = (isControl: boolean): string =>
        block.units.find(({ arm }) => (arm === CONTROL) === isControl)!.unit;
      const [treated, control] = [unitOf(false), unitOf(true)];
      const [areaWith, areaWithout] = [areaOf(block, treated), areaOf(block, control)];
      const reason = left.get(block.id);
      return {
        ...{
          id: block.id,
          with: block.after.get(treated)!,
          without: block.after.get(control)!,
          season: seasonOf(block),
        },
        ...(areaWith === undefined ? {} : { areaWith }),
        ...(areaWithout === undefined ? {} : { areaWithout }),
        ...(reason === undefined ? {} : { leftOut: reason }),
      };
    }),
  };
}

/** Earlier looks as the analysis takes them: growing, and fewer than the blocks there are now. */
const earlierOf = ({ looks }: TrialRecords, judged: number): number[] =>
  [...new Set(looks.map(({ blocks }) => blocks))].filter((one) => one < judged).toSorted((one, other) => one - other);

/**
 * A trial as its records tell it, and its analysis: blocks in the order in which they joined, each by its deciding readings; what the records say stands in
 * the way.
 * @param judgedOn a day in place of those named, to see how it stands before: then no verdict comes of it
 * @param isAnalysed whether the analysis is wanted too, which takes the time
 * @throws {DomainError} `trial-fault` for readings that no analysis can be made of
 */
export function standingOf(records: TrialRecords, judgedOn: string | null = null, isAnalysed = true): StandingTrial {
  const { terms, rounds, today } = records;
  const blocks = readBlocks(records, judgedOn);
  const left = leftOut(records);
  const whole = blocks.filter(
    ({ decidedOn, before, units }) => decidedOn !== null && (!terms.isChange || before.size === units.length),
  );
  const isEarly = judgedOn !== null || rounds.every(({ decidingOn }) => whole.length === 0 && today < decidingOn);
  const confounders = confoundersIn(records, blocks);
  const applications = applicationsOf(records, whole.length > 0 ? whole : blocks);
  const judged = whole.filter(({ id }) => !left.has(id)).length;
  const base = { blocks, judged, isEarly, applications, confounders };
  if (judged === 0 || !isAnalysed) return { ...base, asked: null, answer: null };
  const asked: Trial = {
    ...readingsOf(records, whole, left),
    measure: {
      kind: terms.kind,
      scale: terms.scale,
      ...(terms.smallest === null ? {} : { smallest: terms.smallest }),
    },
    looks: terms.looks === "several" ? { earlier: earlierOf(records, judged) } : terms.looks,
    ...{ applications, asked: terms.asked, confounders, seed: rounds[0]!.placement.seed },
    reading: isEarly ? "early" : "deciding",
  };
  return { ...base, asked, answer: analyseTrial(asked) };
}
