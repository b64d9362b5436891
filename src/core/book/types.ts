import type { FermentModel } from "../ferment/models/types";
import type { IngredientId } from "./ingredients";
import type { GoalId } from "./goals";
import type { Act, SignKind } from "./words";
import type { Range, StockUnit } from "./range";
import type { CautionId } from "./cautions";
import type { UseId } from "./uses";

/**
 * How an ingredient's amount follows the size of the batch.
 * `per-basis`: so much to each litre (or kilogram) of what the recipe is counted against. `per-surface`: a layer on top, so much
 * per area. `fixed`: the same however large the batch. `unknown`: nobody states it, so the grower is asked and nothing is made up.
 * Only `per-basis` grows with the batch; a layer grows with the vessel's width.
 */
export type IngredientAmount =
  | { readonly type: "per-basis"; readonly perBasis: Range; readonly unit: StockUnit }
  | { readonly type: "per-surface"; readonly thicknessM: Range; readonly unit: "kg" }
  | { readonly type: "fixed"; readonly amount: Range; readonly unit: StockUnit }
  | { readonly type: "unknown"; readonly unit: StockUnit; readonly ask: string };

export interface MethodIngredient {
  readonly ingredient: IngredientId;
  readonly amount: IngredientAmount;
  /** What it is there for, in a few words. */
  readonly role: string;
  /** Left out unless the grower asks for it. */
  readonly optional?: boolean;
  /** Day of the batch on which it goes in, where that is not the first; counted on the first volume. */
  readonly onDay?: number;
  /** Least share of the liquid that still starts the brew in good time. */
  readonly leastShare?: number;
  /** Room it takes in this vessel, L a unit, where it does not lie loose in liquid (packed, coated, heaped). */
  readonly roomLPerUnit?: number;
  /** Goes into a sack or bag, which pushes liquid up as well. */
  readonly bagged?: boolean;
}

/** What may be found at a step; what does not fit holds it, and `then` says what to do. */
export interface StepAnswer {
  readonly word: string;
  readonly fits: boolean;
  readonly then: string;
}

/** What goes on while a step is waited for. */
export const WAIT_KINDS = ["standing", "mixing", "soaking", "bubbling", "boiling", "roasting", "cooling"] as const;
export type WaitKind = (typeof WAIT_KINDS)[number];

export interface Step {
  readonly id: string;
  readonly text: string;
  readonly why: string;
  /** Ingredients that go in at this step, in order. */
  readonly adds: readonly IngredientId[];
  /** How long to wait before the next step, minutes. */
  readonly waitMin?: number;
  /** What goes on meanwhile; standing where nothing is said. */
  readonly waitFor?: WaitKind;
  /** Day of the batch on which it is done, where that is not the first: no step of the mixing, but a task of its day. */
  readonly onDay?: number;
  /** Ticked one by one before it counts as done. */
  readonly checks?: readonly string[];
  readonly answers?: readonly StepAnswer[];
  /** Looked at again after so many minutes, until an answer fits. */
  readonly everyMin?: number;
  /** What it makes ready: the step is left out where something else takes its place, or it does not go in. */
  readonly prepares?: IngredientId;
}

export type CueMeaning = "not-yet" | "ready" | "past" | "failed";

/** One word seen or smelt, and what it says of this method's batch. */
export interface Cue {
  readonly kind: SignKind;
  readonly word: string;
  readonly says: CueMeaning;
  /** What the word means here, ending a sentence. */
  readonly because: string;
}

/** Ripens by a model of the ferment. */
export interface Ripening {
  readonly type: "ripens";
  readonly model: FermentModel;
  /** Younger than this it is not called ready, whatever meter and nose say. */
  readonly minimumAgeD?: number;
}

/** Made and used: nothing ripens. Hours until its steps are done, and until it is no longer fresh. */
export interface FreshReadiness {
  readonly type: "fresh";
  readonly readyH: number;
  readonly freshH: number;
}

export type Readiness = Ripening | FreshReadiness;

/** A stretch of the making with its own lid and its own way of being looked after. */
export interface Stage {
  readonly id: string;
  readonly name: string;
  readonly fromD: number;
  readonly untilD: number | null;
  readonly lid: Lid;
  readonly note: string;
  /** What shows that it has begun, whatever the day: a sign seen, or an act done. */
  readonly begins?: {
    readonly signs?: readonly (readonly [kind: SignKind, words: readonly string[]])[];
    readonly act?: Act;
  };
}

export interface TendingTask {
  readonly act: Act | "look" | "read-ph";
  readonly text: string;
  readonly everyH: number;
  /** From and until which hour of the batch; open-ended if `untilH` is missing. */
  readonly fromH: number;
  readonly untilH?: number;
  /** Done once, at `fromH`; `everyH` then says how late is late. */
  readonly once?: boolean;
  /** What a miss means, and the way back. */
  readonly ifMissed: string;
}

/** How strong an input may go on, in parts of water to one of concentrate: `strongest` ≤ `default` ≤ `weakest`. */
export interface UseRate {
  readonly use: UseId;
  readonly partsWater: { readonly strongest: number; readonly default: number; readonly weakest: number };
  /** Days between applications; null where nobody states it. */
  readonly everyD: number | null;
  readonly note: string;
}

/** What starts the shelf clock. */
export type KeepingEvent = "air-off" | "ready" | "strained" | "closed" | "made";

export interface Keeping {
  readonly from: KeepingEvent;
  /** It is alive and fading: used within hours, never shelved. */
  readonly living: boolean;
  readonly shelfH: number;
  /** Hours from that event that it may still go on leaves, on soil, and anywhere at all; null where the shelf life alone counts. */
  readonly afterH: { readonly leaves: number; readonly soil: number; readonly hardEnd: number } | null;
  readonly container: string;
  readonly place: string;
}

export type Lid = "open" | "breathable" | "airlock" | "sealed";

/** The four things that tell look-alike inputs apart. */
export interface LookAlike {
  readonly sugar: string;
  readonly water: string;
  readonly air: string;
  readonly time: string;
}

/** How an input is made, judged and kept: all that a school may do its own way. */
export interface Process {
  /** What the amounts are counted against. */
  readonly basis: IngredientId;
  readonly lid: Lid;
  readonly aerated: boolean;
  /** What the vessel may have held: food-safe ones never hold manure. */
  readonly vesselUse: "food-safe" | "manure";
  readonly vesselNote: string;
  /** Share of the vessel to fill; the rest is headspace. */
  readonly fillShare: Range;
  readonly headspaceFor: string;
  readonly steps: readonly Step[];
  readonly stages: readonly Stage[];
  readonly cues: readonly Cue[];
  readonly tending: readonly TendingTask[];
  /** Came off per litre filled, or per unit of the basis where that is weighed: L, or kg of a solid. */
  readonly yieldPerBasis: Range;
  readonly yieldUnit: StockUnit;
  readonly keeping: Keeping;
  readonly residues: readonly string[];
  /** Where the batch likes to stand, °C. */
  readonly comfortC: { readonly low: number; readonly high: number };
  readonly lookAlike: LookAlike;
}

export interface School extends Partial<Process> {
  readonly id: string;
  readonly name: string;
  readonly stance: string;
  readonly ingredients: readonly MethodIngredient[];
  readonly readiness: Readiness;
  readonly uses: readonly UseRate[];
}

export interface Goal {
  readonly goal: GoalId;
  /** 3: what growers make it for; 1: it helps. */
  readonly weight: 1 | 2 | 3;
  readonly why: string;
}

/** Family of what goes on in the drum; brews of one family may follow each other in a vessel, others want it scrubbed. */
export type Family = "bloom" | "acid" | "sugar" | "mineral" | "soak" | "char" | "solid" | "fresh" | "preparation";

export interface Method extends Process {
  readonly id: string;
  readonly name: string;
  /** For labels and narrow places. */
  readonly shortName: string;
  readonly family: Family;
  readonly purpose: string;
  readonly goals: readonly Goal[];
  readonly schools: readonly School[];
  readonly cautiousSchool: string;
  readonly cautions: readonly CautionId[];
  readonly sureness: string;
  /** Hands' time for a drum: filling, a day of tending, closing; minutes, judged. */
  readonly work: { readonly fillMin: number; readonly dayMin: number; readonly closeMin: number };
  readonly risk: { readonly level: "low" | "some" | "high"; readonly why: string };
  /** Share of the minerals in the solids that such a process draws out, and of the sugar put in that is left. Judged, wide. */
  readonly drawsOut: { readonly minerals: Range; readonly sugarLeft: Range };
  /** Ingredient of other recipes that this makes. */
  readonly makes?: IngredientId;
}
