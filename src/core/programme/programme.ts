import { findRecipe } from "../book";
import { findUseRate } from "../book/useRate";
import { cropFacts } from "../book/crops";
import type { IngredientId } from "../book/ingredients";
import type { UseId } from "../book/uses";
import { addDays, daysBetween } from "../calendar";
import { GROWTH_STAGES, stageOn, type GrowthStage, type Planting } from "../land/planting";
import { carriedBy, mattersOn, ruleDays, ruleFor, type HarvestRule } from "../safety/carried";

/** One thing that a crop is given again and again, from one stage to another. */
export interface ProgrammeStep {
  readonly methodId: string;
  readonly use: UseId;
  /** Null: the book's usual for this use. */
  readonly partsWater: number | null;
  /** Mix on a square metre, L; null: the use's usual. */
  readonly mixLPerM2: number | null;
  readonly everyD: number;
  readonly from: GrowthStage;
  readonly to: GrowthStage;
}

/** What crops of a kind are given over a season. */
export interface Programme {
  readonly id: number;
  readonly name: string;
  /** Crops by name; none: all of them. */
  readonly crops: readonly string[];
  readonly steps: readonly ProgrammeStep[];
}

/** A plot as a programme sees it. */
export interface ProgrammePlot {
  readonly id: number;
  /** What stands there, or what is to be planted next where it is bare; null where nothing is. */
  readonly planting: Planting | null;
  /** Days since it last got of each method. */
  readonly lastByMethod: Readonly<Record<string, number>>;
}

/** An application that a programme asks for. */
export interface Due {
  readonly plotId: number;
  readonly programmeId: number;
  readonly step: number;
  readonly methodId: string;
  readonly use: UseId;
  /** ISO date; before today where it is late. */
  readonly day: string;
  readonly stage: GrowthStage;
}

const order = (stage: GrowthStage): number => GROWTH_STAGES.indexOf(stage);
/** Whether a stage lies within a step's span, which may be written either way round. */
export const isInSpan = ({ from, to }: Pick<ProgrammeStep, "from" | "to">, stage: GrowthStage): boolean => {
  const [first, last] = [Math.min(order(from), order(to)), Math.max(order(from), order(to))];
  return order(stage) >= first && order(stage) <= last;
};

const plain = (crop: string): string => crop.trim().toLowerCase();

/** Whether a programme is for a crop: by its name, or a name within it ("kale" for "black kale"). */
export const isFor = ({ crops }: Pick<Programme, "crops">, crop: string): boolean =>
  crops.length === 0 ||
  crops.some(
    (one) => (plain(one) !== "" && ` ${plain(crop)} `.includes(` ${plain(one)} `)) || plain(one) === plain(crop),
  );

/** How far ahead a season's calendar goes. */
const MOST_DAYS = 400;

/** The stage of a planting on a day, with the ground bare before it goes in. */
function stageAt(planting: Planting, day: string): GrowthStage | null {
  if (planting.endedOn !== null && planting.endedOn <= day) return null;
  return stageOn(planting, day);
}

/**
 * The days on which a programme asks for something on a plot, from today to a last day. What is late already is due today with the day on which it
 * was due; after that each follows on the last by its own interval.
 * @param today ISO date @param untilDay ISO date
 */
export function daysDue(plot: ProgrammePlot, programmes: readonly Programme[], today: string, untilDay: string): Due[] {
  const { planting } = plot;
  if (!planting) return [];
  const days = Math.min(MOST_DAYS, daysBetween(today, untilDay));
  return programmes
    .filter((programme) => isFor(programme, planting.crop))
    .flatMap(({ id: programmeId, steps }) =>
      steps.flatMap((step, index) => {
        const found: Due[] = [];
        const since = plot.lastByMethod[step.methodId];
        // Never given, it is due as soon as the stage is there.
        let nextOn = since === undefined ? today : addDays(today, step.everyD - since);
        for (let ahead = 0; ahead <= days; ahead += 1) {
          const day = addDays(today, ahead);
          const stage = stageAt(planting, day);
          if (day < nextOn || stage === null || !isInSpan(step, stage)) continue;
          found.push({
            plotId: plot.id,
            programmeId,
            step: index,
            methodId: step.methodId,
            use: step.use,
            day: ahead === 0 && nextOn < today ? nextOn : day,
            stage,
          });
          nextOn = addDays(day, step.everyD);
        }
        return found;
      }),
    )
    .toSorted((a, b) => a.day.localeCompare(b.day) || a.step - b.step);
}

/** Two things of a calendar that should not be, or one that should not be there. */
export type Clash =
  | {
      readonly code: "same-leaves-day";
      readonly plotId: number;
      readonly day: string;
      readonly methods: readonly [string, string];
    }
  | {
      readonly code: "acid-and-ash";
      readonly plotId: number;
      readonly day: string;
      readonly methods: readonly [string, string];
    }
  | {
      readonly code: "too-often";
      readonly plotId: number;
      readonly day: string;
      readonly methodId: string;
      readonly everyD: number;
    }
  | {
      readonly code: "before-harvest";
      readonly plotId: number;
      readonly day: string;
      readonly methodId: string;
      readonly ruleD: number;
      readonly daysToHarvest: number;
    };

const pairs = <T>(items: readonly T[]): (readonly [T, T])[] =>
  items.flatMap((one, index) => items.slice(index + 1).map((other) => [one, other] as const));

/** Acid and ash undo each other, and both are wasted. */
const ACID: readonly IngredientId[] = ["vinegar"];
const ALKALINE: readonly IngredientId[] = ["ash"];
const holds = (methodId: string, kinds: readonly IngredientId[]): boolean =>
  findRecipe(methodId).ingredients.some(({ ingredient }) => kinds.includes(ingredient));

function sameDayClashes(day: string, plotId: number, dues: readonly Due[]): Clash[] {
  return pairs(dues).flatMap(([a, b]): Clash[] => {
    const methods = [a.methodId, b.methodId] as const;
    if (a.methodId === b.methodId) return [];
    if (methods.some((id) => holds(id, ACID)) && methods.some((id) => holds(id, ALKALINE)))
      return [{ code: "acid-and-ash", plotId, day, methods }];
    return a.use === "foliar" && b.use === "foliar" ? [{ code: "same-leaves-day", plotId, day, methods }] : [];
  });
}

/** The same from two programmes, closer than the book gives it. */
function oftenClashes(plotId: number, dues: readonly Due[]): Clash[] {
  return pairs(dues).flatMap(([a, b]): Clash[] => {
    if (a.methodId !== b.methodId || (a.programmeId === b.programmeId && a.step === b.step)) return [];
    const everyD = findUseRate(findRecipe(a.methodId), b.use)?.everyD ?? null;
    return everyD !== null && daysBetween(a.day, b.day) < everyD / 2
      ? [{ code: "too-often", plotId, day: b.day, methodId: b.methodId, everyD }]
      : [];
  });
}

function harvestClashes(plot: ProgrammePlot, dues: readonly Due[], rules: readonly HarvestRule[]): Clash[] {
  const { planting } = plot;
  if (!planting || planting.harvestFrom === null) return [];
  const crop = cropFacts(planting.crop, planting.part === "leaf", planting.part);
  if (!crop || crop.part === "none") return [];
  return dues.flatMap((due): Clash[] => {
    const carries = carriedBy(findRecipe(due.methodId).ingredients.map(({ ingredient }) => ingredient));
    const ruleD = Math.max(
      0,
      ...carries
        .filter((hazard) => mattersOn(hazard, due.use === "foliar"))
        .map((hazard) => ruleDays(ruleFor(hazard, rules), crop)),
    );
    const daysToHarvest = Math.max(0, daysBetween(due.day, planting.harvestFrom!));
    const isOver = planting.harvestTo !== null && due.day > planting.harvestTo;
    return !isOver && ruleD > daysToHarvest
      ? [{ code: "before-harvest", plotId: plot.id, day: due.day, methodId: due.methodId, ruleD, daysToHarvest }]
      : [];
  });
}

/** What of a plot's calendar can't stay as it is. */
export function clashesOf(plot: ProgrammePlot, dues: readonly Due[], rules: readonly HarvestRule[]): Clash[] {
  const days = [...new Set(dues.map(({ day }) => day))];
  return [
    ...days.flatMap((day) =>
      sameDayClashes(
        day,
        plot.id,
        dues.filter((due) => due.day === day),
      ),
    ),
    ...oftenClashes(plot.id, dues),
    ...harvestClashes(plot, dues, rules),
  ].toSorted((a, b) => a.day.localeCompare(b.day));
}
