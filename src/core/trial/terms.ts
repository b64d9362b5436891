/**
 * A trial as it is judged, and what may be said of it. A unit is what was drawn lots for: a strip, a bed, a pot. A block is units alike before the trial, a pair a
 * block of two; an arm is what a unit gets, one of them the control.
 */
export const MEASURES = {
  "yield": { better: "more", scale: "ratio", isSigned: false },
  "weight": { better: "more", scale: "ratio", isSigned: false },
  "height": { better: "more", scale: "difference", isSigned: false },
  "count": { better: "more", scale: "difference", isSigned: false },
  "brix": { better: "more", scale: "difference", isSigned: false },
  "number": { better: "more", scale: "difference", isSigned: true },
  "pests": { better: "less", scale: "difference", isSigned: false },
  "disease-share": { better: "less", scale: "difference", isSigned: false },
  "infiltration": { better: "less", scale: "ratio", isSigned: false },
  "colour": { better: "more", scale: "ordinal", isSigned: false },
  "crumb": { better: "more", scale: "ordinal", isSigned: false },
  "disease": { better: "less", scale: "ordinal", isSigned: false },
} as const satisfies Record<string, { better: Better; scale: Scale; isSigned: boolean }>;
export type MeasureKind = keyof typeof MEASURES;
export const READING_KINDS = Object.keys(MEASURES) as readonly MeasureKind[];
export type Scale = "ratio" | "difference" | "ordinal";
export type Better = "more" | "less";
export const DESIGNS = ["pairs", "blocks", "baci", "crossover"] as const;
export type Design = (typeof DESIGNS)[number];
/** What pots that change over can be judged by: what comes back to where it was. */
export const CROSSOVER_KINDS: readonly MeasureKind[] = ["brix", "height", "pests", "number"];

/** What stands in a claim's way: takes it back, or is only said. */
export const CONFOUNDERS = {
  "placement-chosen": { claim: "blur", none: "blur" },
  "other-input-one-side": { claim: "blur", none: "blur" },
  "edge-one-side": { claim: "blur", none: "blur" },
  "strips-lost": { claim: "blur", none: "blur" },
  "measure-switched": { claim: "blur", none: "blur" },
  "carry-over": { claim: "blur", none: "blur" },
  "placement-alternate": { claim: "blur", none: "note" },
  "unblinded-score": { claim: "blur", none: "note" },
  "scorer-guessed-right": { claim: "blur", none: "note" },
  "control-got-no-water": { claim: "blur", none: "note" },
  "rain-washed-off": { claim: "note", none: "blur" },
  "drift-to-neighbour": { claim: "note", none: "blur" },
  "weak-batch": { claim: "note", none: "blur" },
  "fewer-repeats-than-asked": { claim: "note", none: "blur" },
  "unblinded-measure": { claim: "note", none: "note" },
  "other-input-both": { claim: "note", none: "note" },
  "edge-both": { claim: "note", none: "note" },
  "batches-differ": { claim: "note", none: "note" },
} as const satisfies Record<string, { claim: "blur" | "note"; none: "blur" | "note" }>;
export type Confounder = keyof typeof CONFOUNDERS;

export interface TrialPair {
  readonly id?: string | number;
  readonly with: number | readonly number[] | null;
  readonly without: number | readonly number[] | null;
  readonly areaWith?: number;
  readonly areaWithout?: number;
  readonly season?: string;
  readonly leftOut?: string;
}
export interface TrialReading {
  readonly block?: string | number;
  readonly arm?: string;
  readonly value?: number | readonly number[] | null;
  readonly before?: number;
  readonly after?: number;
  readonly order?: "with-first" | "without-first";
  readonly first?: number;
  readonly second?: number;
}
export type Looks = "one" | "any" | { readonly earlier: readonly number[] };
export interface Trial {
  readonly design?: Design;
  readonly measure: {
    readonly kind: MeasureKind;
    readonly scale?: Scale;
    readonly better?: Better;
    readonly smallest?: number;
  };
  readonly control?: string;
  readonly alpha?: number;
  readonly pairs?: readonly TrialPair[];
  readonly readings?: readonly TrialReading[];
  readonly looks?: Looks;
  readonly applications?: number;
  readonly asked?: number;
  readonly reading?: "deciding" | "early";
  readonly confounders?: readonly Confounder[];
  readonly seed?: number;
}

export type Seen = "more" | "less" | "no-large" | "unclear";
export type Verdict = "likely-helped" | "likely-harmed" | "likely-no-large-difference" | "cannot-tell" | "withheld";
export type TrialReason =
  "single-application" | "before-deciding-reading" | "too-few-to-tell-at-all" | "small-but-there" | Confounder;
export interface SeasonsTogether {
  readonly k: number;
  readonly estimate: number;
  readonly low: number | null;
  readonly high: number | null;
  readonly tau: number;
  readonly predictLow: number | null;
  readonly predictHigh: number | null;
  readonly parts: readonly { readonly season: string; readonly pairs: number; readonly estimate: number }[];
}
export interface ArmAnswer {
  readonly arm: string;
  readonly blocks: number;
  readonly units: { readonly with: number; readonly without: number };
  readonly estimate: number;
  readonly low: number | null;
  readonly high: number | null;
  /** Share of draws in which the interval holds the true difference; null without one. */
  readonly level: number | null;
  readonly p: number;
  readonly pLow: number;
  readonly pHigh: number;
  readonly adjustedP: number;
  /** What a single test would have had to reach at this look. */
  readonly levelNow: number;
  readonly method: "exact" | "drawn" | "bets";
  readonly arrangements: number;
  /** Fewest pairs that could ever tell. */
  readonly least: number;
  /** Of the differences between the units of a pair; null where there are none. */
  readonly spread: number | null;
  readonly eValue: number | null;
  readonly rank: null | {
    readonly estimate: number;
    readonly low: number;
    readonly high: number;
    readonly level: number;
  };
  readonly seasons: SeasonsTogether | null;
  readonly seen: Seen;
  readonly verdict: Verdict;
  readonly reasons: readonly TrialReason[];
  readonly more: null | { readonly pairs: number | null; readonly strips: number | null; readonly fresh: boolean };
}
export type TrialAssumed = "applications-not-said" | "looks-several" | "smallest-not-said";
export interface TrialAnswer {
  readonly scale: Scale;
  readonly better: Better;
  readonly look: number;
  readonly level: number;
  readonly left: readonly { readonly id: string; readonly reason: string }[];
  readonly assumed: readonly TrialAssumed[];
  readonly arms: readonly ArmAnswer[];
}
