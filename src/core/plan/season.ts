/**
 * A season as the planner takes it: what there is, what is wanted, and the rules between. Days are whole numbers from `firstDay` (day 0, a Monday), week w is days
 * 7w … 7w+6, every span includes both its ends. Volumes L, work minutes, areas m², money of one currency, an ingredient in its stock unit.
 */
export type Priority = 1 | 2 | 3;
export type VesselUse = "food-safe" | "manure";
export type Air = "none" | "line" | "own";

export interface SeasonVessel {
  readonly id: string;
  readonly volumeL: number;
  readonly holds: readonly VesselUse[];
  readonly air: Air;
  readonly cleanD: number;
  readonly fromDay: number;
  readonly toDay: number;
}
/** Living: good for so many days after it is ready, drawn on only from its vessel. Else shelved; `holdD` is how long it may stay in its vessel. */
export type Keeping =
  | { readonly living: true; readonly useD: number }
  | { readonly living: false; readonly shelfD: number; readonly holdD: number };

export interface SeasonInput {
  readonly id: string;
  readonly name: string;
  readonly method: string;
  readonly school: string;
  readonly vesselUse: VesselUse;
  readonly aerated: boolean;
  /** Only these vessels; any where left out. */
  readonly vessels?: readonly string[];
  readonly fillShare: { readonly low: number; readonly high: number };
  readonly yieldLPerL: number;
  readonly keeping: Keeping;
  readonly work: { readonly fillMin: number; readonly dayMin: number; readonly closeMin: number };
  readonly ingredients: readonly { readonly ingredient: string; readonly perL: number }[];
  readonly feeds: readonly { readonly input: string; readonly perL: number }[];
  readonly wasteCostPerL: number;
  readonly weakCostPerL: number;
}
export interface DurationRow {
  readonly input: string;
  readonly vessels?: readonly string[];
  /** Days until ready by start day; null: can't start that day. */
  readonly daysByStart: readonly (number | null)[];
}
export interface ForageSpell {
  readonly fromDay: number;
  readonly toDay: number;
  readonly perWeek: number;
  readonly minPerUnit: number;
  readonly costPerUnit: number;
  readonly keepsD: number;
}
export interface SeasonIngredient {
  readonly id: string;
  readonly unit: "kg" | "L";
  readonly lots: readonly {
    readonly id: string;
    readonly amount: number;
    readonly fromDay: number;
    readonly expiresDay: number;
  }[];
  readonly forage: readonly ForageSpell[];
  readonly pack: {
    readonly amount: number;
    readonly cost: number;
    readonly leadD: number;
    readonly keepsD: number;
  } | null;
}
export interface Planting {
  readonly id: string;
  readonly plot: string;
  readonly crop: string;
  readonly areaM2: number;
  readonly plants: number;
  readonly plantDay: number;
  readonly harvest: { readonly fromDay: number; readonly toDay: number } | null;
  readonly stages: readonly { readonly stage: string; readonly fromDay: number }[];
}
export type Timing = { readonly tolD: number } & (
  | { readonly kind: "series-before"; readonly count: number; readonly everyD: number; readonly endBeforeD: number }
  | { readonly kind: "once"; readonly atD: number }
  | { readonly kind: "calendar"; readonly fromDay: number; readonly everyD: number }
  | {
      readonly kind: "every";
      readonly from: number | string;
      readonly until: number | string;
      readonly everyD: number;
    }
);
export interface Programme {
  readonly id: string;
  readonly input: string;
  readonly use: string;
  readonly crops: readonly string[];
  readonly mixRate: { readonly amountL: number; readonly per: "m2" | "plant" | "time" };
  /** Parts of water to one of the input: 1:N. */
  readonly partsWater: { readonly default: number; readonly weakest: number };
  readonly timing: Timing;
  readonly minGapD: number;
  readonly beforeHarvestD: number;
  readonly priority: Priority;
  readonly work: { readonly fixedMin: number; readonly per100Min: number };
}
export interface Side {
  readonly input: string;
  readonly use?: string;
}
export interface Separation {
  readonly a: Side;
  readonly b: Side;
  readonly apartD: number;
}
/** One application that is wanted: its days, and its dose of concentrate from least to preferred, L. */
export interface Need {
  readonly id: string;
  readonly planting: string;
  readonly programme: string;
  readonly seq: number;
  readonly part: number;
  readonly earliestDay: number;
  readonly latestDay: number;
  readonly preferredDay: number;
  readonly preferredL: number;
  readonly leastL: number;
  readonly priority: Priority;
  readonly workMin: number;
}
export interface SeasonStore {
  readonly id: string;
  readonly input: string;
  readonly onHandL: number;
  readonly fromDay: number;
  readonly expiresDay: number;
}
export interface RunningBatch {
  readonly id: string;
  readonly input: string;
  readonly vessel: string;
  readonly startDay: number;
  readonly readyDay: number;
  readonly fillL: number;
  readonly drawnL?: number;
  readonly emptyDay?: number;
}
export interface Applied {
  readonly id: string;
  readonly planting: string;
  readonly programme: string;
  readonly seq: number;
  readonly day: number;
}
export interface Weights {
  readonly unmet: Readonly<Record<"1" | "2" | "3", number>>;
  readonly perUnmet: number;
  readonly perStart: number;
  readonly perLateDay: number;
  readonly nearD: number;
  readonly farD: number;
  readonly changeNear: number;
  readonly changeFar: number;
}
export const WEIGHTS: Weights = {
  unmet: { 1: 9, 2: 3, 3: 1 },
  perUnmet: 1000,
  perStart: 0.5,
  perLateDay: 0.02,
  nearD: 7,
  farD: 21,
  changeNear: 30,
  changeFar: 6,
};
export interface Season {
  readonly format: "ruchka-season";
  readonly formatVersion: 1;
  readonly name: string;
  readonly firstDay: string;
  readonly days: number;
  readonly nowDay: number;
  readonly labour: { readonly weekMin: readonly number[]; readonly costPerHour: number };
  readonly airLines: number;
  readonly cans: { readonly volumeL: number; readonly count: number };
  readonly vessels: readonly SeasonVessel[];
  readonly inputs: readonly SeasonInput[];
  readonly durations: readonly DurationRow[];
  readonly ingredients: readonly SeasonIngredient[];
  readonly plantings: readonly Planting[];
  readonly programmes: readonly Programme[];
  readonly separations: readonly Separation[];
  readonly needs: readonly Need[];
  readonly stores: readonly SeasonStore[];
  readonly running: readonly RunningBatch[];
  readonly applied: readonly Applied[];
  readonly previous: {
    readonly batches: readonly PlanBatch[];
    readonly applications: readonly Application[];
  } | null;
  readonly weights: Weights;
  /** Weekdays, Monday 0, on which nothing is begun and nothing applied; what stands is tended all the same. */
  readonly closedWeekdays?: readonly number[];
  readonly forbidden?: readonly Forbidden[];
}
/** What a grower will not have begun: an input in a vessel, or anywhere, on these days. */
export interface Forbidden {
  readonly input: string;
  readonly vessel?: string;
  readonly fromDay: number;
  readonly toDay: number;
}

/** What a plan says. */
export interface Draw {
  readonly from: string;
  readonly amountL: number;
}
export interface PlanBatch {
  readonly id: string;
  readonly input: string;
  readonly vessel: string;
  readonly startDay: number;
  readonly readyDay: number;
  readonly emptyDay: number;
  readonly fillL: number;
  readonly discardL?: number;
  readonly feeds?: readonly Draw[];
  readonly running?: true;
  readonly pinned?: true;
}
export interface Application {
  readonly need: string;
  readonly day: number;
  readonly draws: readonly Draw[];
  readonly pinned?: true;
}
export const REASONS = [
  "past",
  "too-slow",
  "cold",
  "ingredient",
  "vessel",
  "air",
  "cans",
  "labour",
  "spacing",
  "shelf",
  "combined",
  "more-time",
] as const;
export type Reason = (typeof REASONS)[number];

export interface Unmet {
  readonly need: string;
  /** Absolute: no plan meets it. Competition: this plan gave what it wants to others. */
  readonly level: "absolute" | "competition";
  /** Any of the reasons lifted alone would let it be met, or only all together. */
  readonly mode: "any" | "all";
  readonly reasons: readonly Reason[];
}
export interface Score {
  readonly unmet: number;
  readonly cost: number;
  readonly fuss: number;
  readonly floorUnmet: number;
}
/** What a plan does. */
export interface PlanBody {
  readonly batches: readonly PlanBatch[];
  readonly applications: readonly Application[];
  readonly purchases: readonly { readonly ingredient: string; readonly orderDay: number; readonly packs: number }[];
  readonly forage: readonly { readonly ingredient: string; readonly day: number; readonly amount: number }[];
  readonly discards: readonly { readonly store: string; readonly amountL: number }[];
}
export interface SeasonPlan extends PlanBody {
  readonly format: "ruchka-season-plan";
  readonly formatVersion: 1;
  readonly season: string;
  readonly unmet: readonly Unmet[];
  readonly brokenPins?: readonly (
    { readonly batch: string; readonly code: string } | { readonly need: string; readonly code: string }
  )[];
  readonly score: Score;
  readonly search: {
    readonly iterations: number;
    readonly ms: number;
    readonly seed: number;
    readonly stopped: "time" | "patience" | "asked";
  };
}
export const weeksOf = (days: number): number => Math.ceil(days / 7);
export const weekOf = (day: number): number => Math.floor(day / 7);
