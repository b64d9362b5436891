import type { EdiblePart } from "../book/crops";
import type { Recipe } from "../book/recipe";
import type { UseRate } from "../book/types";
import type { UseId } from "../book/uses";
import type { Carried, HarvestRule } from "../safety/carried";
import type { Recheck } from "../stock/storeChecks";
import type { BroughtAmounts, CeilingCaution } from "./brought";
import type { NotTogether } from "./care";
import type { HourCase, HourCaution } from "./hourCautions";
import type { PatchTest, StrengthCaution } from "./strengthCautions";

/**
 * What speaks against an application: `reason` wants one from the person, `blocked` a full one that says who answers for it, `never` can't be
 * overridden.
 */
export type ApplyCaution =
  | { readonly code: "expired"; readonly weight: "reason"; readonly hoursPast: number }
  | {
      readonly code: "long-dead";
      readonly weight: "never";
      readonly hours: number;
      readonly limitH: number;
      readonly aired: boolean;
    }
  | {
      readonly code: "late-for-leaves";
      readonly weight: "reason";
      readonly hours: number;
      readonly limitH: number;
      readonly aired: boolean;
    }
  | { readonly code: "smelt-off"; readonly weight: "never" }
  | { readonly code: "smelt-doubtful"; readonly weight: "reason" }
  | { readonly code: "smell-first"; readonly weight: "never"; readonly because: Recheck["because"] }
  | StrengthCaution
  | HourCaution
  | CeilingCaution
  | NotTogether
  /** Dung or urine where people live and sleep. */
  | { readonly code: "hazard-indoors"; readonly weight: "blocked"; readonly hazard: Carried }
  | { readonly code: "hazard-on-leaves"; readonly weight: "blocked"; readonly hazard: Carried; readonly plot: string }
  | {
      readonly code: "hazard-before-harvest";
      readonly weight: "blocked" | "reason";
      readonly hazard: Carried;
      readonly plot: string;
      /** Null where nobody has said when it is harvested. */
      readonly daysToHarvest: number | null;
      readonly ruleD: number;
      readonly touchesSoil: boolean;
      readonly ownRule: boolean;
    }
  | {
      readonly code: "urine-too-young";
      readonly weight: "blocked";
      readonly plot: string;
      readonly storedD: number | null;
    }
  | {
      readonly code: "again-so-soon";
      readonly weight: "reason";
      readonly plot: string;
      readonly daysAgo: number;
      readonly everyD: number | null;
    }
  | {
      readonly code: "near-water";
      readonly weight: "blocked";
      readonly plot: string;
      readonly waters: readonly string[];
    }
  | {
      readonly code: "more-than-soaks-in";
      readonly weight: "reason";
      readonly plot: string;
      readonly lPerM2: number;
      readonly mostLPerM2: number;
    }
  | { readonly code: "river-on-leaves"; readonly weight: "reason"; readonly plot: string }
  | {
      readonly code: "leaf-eaten-soon";
      readonly weight: "reason";
      readonly plot: string;
      readonly daysToHarvest: number | null;
    };

export interface ApplyCase {
  readonly recipe: Recipe;
  readonly rate: UseRate | null;
  readonly use: { readonly id: UseId; readonly target: "leaves" | "soil" | "other" };
  readonly partsWater: number;
  readonly hoursPastExpiry: number;
  readonly hoursSinceShelf: number;
  /** As last smelt, and whether it must be smelt again first. */
  readonly smelt: "good" | "off" | "doubtful";
  readonly recheck: Recheck | null;
  readonly plots: readonly {
    readonly name: string;
    readonly crop: string;
    readonly leafEaten: boolean;
    readonly harvestOn: string | null;
    /** What is eaten, by somebody's own word; the crop's where it is not told. */
    readonly part?: EdiblePart | null;
    /** Days since it last got of the same method; null where it never did. */
    readonly lastSameD: number | null;
    /** What of it lies far enough from water, m², and the waters that bar the rest; not told where nothing is drawn. */
    readonly treatableM2?: number;
    readonly nearWater?: readonly string[];
    /** Mix that it would get, L; not told where nothing is worked out yet. */
    readonly mixL?: number;
    /** Its whole ground, m², and what the last twelve months brought to it, g; not told where nothing adds up. */
    readonly areaM2?: number;
    readonly broughtG?: BroughtAmounts | null;
  }[];
  /** What a litre of the liquid brings, g; not told where nobody worked it out. */
  readonly brings?: BroughtAmounts;
  /** What is in the same can. */
  readonly with?: Pick<Recipe, "ingredients" | "family">;
  /** What the liquid carries, through every batch that it was made from. */
  readonly carries: readonly Carried[];
  /** Days that the youngest urine in it was stored before it went in; null where nobody wrote it down. */
  readonly urineStoredD: number | null;
  /** Whether unheated river or stream water is in it, or thins it. */
  readonly riverWater: boolean;
  /** The farm's own rules; where it has none the cautious default stands. */
  readonly rules: readonly HarvestRule[];
  /** The farm's calendar day. */
  readonly today: string;
  /** The hour at which it goes on; not told where it is asked what could go on at any. */
  readonly hour?: HourCase;
  /** Patch tests of this very liquid. */
  readonly patchTests?: readonly PatchTest[];
}
