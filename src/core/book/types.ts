import type { IngredientId } from "./ingredients";
import type { Act, SignKind } from "./words";
import type { Range, StockUnit } from "./range";
import type { CautionId } from "./cautions";
import type { UseId } from "./uses";

/**
 * How an ingredient's amount follows the size of the batch.
 * `per-basis`: so much to each litre of water (or kilogram of plant). `per-surface`: a layer on top, so much per area.
 * Only `per-basis` grows with the batch; a layer grows with the vessel's width.
 */
export type IngredientAmount =
  | { readonly type: "per-basis"; readonly perBasis: Range; readonly unit: StockUnit }
  | { readonly type: "per-surface"; readonly thicknessM: Range; readonly unit: "kg" };

export interface MethodIngredient {
  readonly ingredient: IngredientId;
  readonly amount: IngredientAmount;
  /** What it is there for, in a few words. */
  readonly role: string;
  /** Left out unless the grower asks for it. */
  readonly optional?: boolean;
}

export interface Step {
  readonly id: string;
  readonly text: string;
  readonly why: string;
  /** Ingredients that go in at this step, in order. */
  readonly adds: readonly IngredientId[];
  /** How long to wait before the next step, minutes. */
  readonly waitMin?: number;
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

/** Cardinal temperatures of a rate, °C (Rosso et al. 1993); `referenceC` is where the rate is 1. */
export interface RateTemperatures {
  readonly referenceC: number;
  readonly minC: number;
  readonly optimumC: number;
  readonly maxC: number;
}

/** Thermal time to each mark, and how far batches stray from it (sd of the log rate). */
interface Pace {
  readonly temperatures: RateTemperatures;
  readonly logRateSd: number;
}

export interface BloomReadiness extends Pace {
  readonly type: "bloom";
  /** Hours at the reference temperature until it may be used, is best, and has faded. */
  readonly startH: number;
  readonly peakH: number;
  readonly endH: number;
  /** Hours after the air stops that it may still go on leaves, on soil, and anywhere at all. */
  readonly afterAirOffH: { readonly leaves: number; readonly soil: number; readonly hardEnd: number };
}

export interface AcidReadiness extends Pace {
  readonly type: "acid";
  readonly startPh: number;
  readonly floorPh: number;
  readonly targetPh: number;
  readonly bestPh: number;
  /** Days at the reference temperature to the steepest fall, and the width of the fall. */
  readonly midpointD: number;
  readonly widthD: number;
  /** How long it stays good in the vessel after it is ready, thermal days. */
  readonly keepsD: number;
  /** Younger than this it is not called ready, whatever the meter says. */
  readonly minimumAgeD: number;
  /** sd of the pH it settles at, and the chance, mean and sd of one that sticks higher. */
  readonly floorSd: number;
  readonly stuck: { readonly chance: number; readonly meanShift: number; readonly sd: number };
}

export interface DaysReadiness extends Pace {
  readonly type: "days";
  readonly lagD: number;
  readonly startD: number;
  readonly peakD: number;
  readonly endD: number;
}

export type Readiness = BloomReadiness | AcidReadiness | DaysReadiness;

export interface TendingTask {
  readonly act: Act | "look" | "read-ph";
  readonly text: string;
  readonly everyH: number;
  /** From and until which hour of the batch; open-ended if `untilH` is missing. */
  readonly fromH: number;
  readonly untilH?: number;
  /** What a miss means, and the way back. */
  readonly ifMissed: string;
}

/** How strong an input may go on, in parts of water to one of concentrate: `strongest` ≤ `default` ≤ `weakest`. */
export interface UseRate {
  readonly use: UseId;
  readonly partsWater: { readonly strongest: number; readonly default: number; readonly weakest: number };
  readonly everyD: number;
  readonly note: string;
}

export interface Keeping {
  /** The event that starts the shelf clock. */
  readonly from: "air-off" | "strained";
  readonly shelfH: number;
  readonly container: string;
  readonly place: string;
}

export interface School {
  readonly id: string;
  readonly name: string;
  readonly stance: string;
  readonly ingredients: readonly MethodIngredient[];
  readonly readiness: Readiness;
  readonly uses: readonly UseRate[];
}

export interface Method {
  readonly id: string;
  readonly name: string;
  /** For labels and narrow places. */
  readonly shortName: string;
  readonly purpose: string;
  /** What the amounts are counted against. */
  readonly basis: "water" | "plant";
  readonly lid: "open" | "breathable" | "airlock";
  readonly aerated: boolean;
  readonly vesselNote: string;
  /** Share of the vessel to fill; the rest is headspace. */
  readonly fillShare: Range;
  readonly schools: readonly School[];
  readonly cautiousSchool: string;
  readonly steps: readonly Step[];
  readonly cues: readonly Cue[];
  readonly tending: readonly TendingTask[];
  /** Liquid strained off per litre of liquid filled, or per kg of plant where the plant is the basis. */
  readonly yieldPerBasis: Range;
  readonly keeping: Keeping;
  readonly residues: readonly string[];
  readonly cautions: readonly CautionId[];
  /** Where the batch likes to stand, °C. */
  readonly comfortC: { readonly low: number; readonly high: number };
  readonly sureness: string;
}
