/** What a figure stands for where it is out of bounds. The words are in words/en/figures.ts, one for each. */
export type FigureName =
  | "air-temperature"
  | "acid-strength"
  | "amount"
  | "area"
  | "batch-age"
  | "blend-part"
  | "brew-days"
  | "brew-temperature"
  | "brew-volume"
  | "chlorine-free"
  | "chlorine-total"
  | "concentrate"
  | "coolest"
  | "diameter"
  | "gap-days"
  | "headspace"
  | "heaviest-lift"
  | "injector-parts"
  | "injector-tank"
  | "labour"
  | "land-area"
  | "load"
  | "mix-rate"
  | "mix-volume"
  | "plot-count"
  | "plot-least"
  | "plot-wish"
  | "power"
  | "price-amount"
  | "purity"
  | "rest-days"
  | "shell-mass"
  | "soaking-count"
  | "temperature"
  | "tool-step"
  | "tool-volume"
  | "total"
  | "work-depth"
  | "there-is"
  | "vessel"
  | "vessel-count"
  | "vessel-depth"
  | "vinegar"
  | "volume"
  | "wanted-amount"
  | "warm-up-time"
  | "water"
  | "water-days"
  | "worm-weight"
  | "yield";
/** A figure that belongs to something with a name: an ingredient, a plot, a measure, a line of a bill. */
export type NamedFigure =
  "at-hand" | "cost-line" | "ingredient-amount" | "measure" | "plot-area" | "plot-mix" | "plot-plants";
/** The figure that a refusal is about, with the name of what it belongs to where there are several. */
export type Figure = FigureName | readonly [figure: NamedFigure, of: string];

/** Why a typed figure can't be worked out, with what was read of it. */
export type FigureHint =
  | {
      readonly code:
        | "nothing-typed"
        | "no-number"
        | "not-above-nothing"
        | "too-much"
        | "parts-without-volume"
        | "ratio-without-volume"
        | "vessel-wanted"
        | "both-volumes"
        | "volume-after-in"
        | "ratio-after-at";
    }
  | { readonly code: "no-unit"; readonly measures: readonly string[] }
  | { readonly code: "not-a-unit"; readonly word: string; readonly measures: readonly string[] }
  | { readonly code: "left-over"; readonly rest: string; readonly read: Amount }
  | { readonly code: "differs-in-kind"; readonly read: Amount; readonly per: string }
  | { readonly code: "which-method"; readonly name: string; readonly methods: readonly LookAlike[] }
  | { readonly code: "unknown-name"; readonly name: string; readonly nearest: string | null; readonly read: Amount };
/** Like Quantity, which rests on this file. */
interface Amount {
  readonly value: number;
  readonly unit: string;
}
/** A method that goes by a name that others have too, with what tells it from them in the book's words. */
interface LookAlike {
  readonly name: string;
  readonly sugar: string;
  readonly time: string;
}

/** What makes entries no ledger. */
export type LedgerFault =
  | "id-twice"
  | "no-date"
  | "negative"
  | "finer-than-minor"
  | "rate-missing"
  | "unknown"
  | "ring"
  | "short"
  | "no-amount"
  | "no-yield"
  | "no-area"
  | "no-plot"
  | "not-closed"
  | "before-start"
  | "more-than-made";

/** What makes a trial none, or its placement. */
export type TrialFault =
  | "nothing-read"
  | "no-number"
  | "negative"
  | "share-above-one"
  | "nought-in-ratio"
  | "no-area"
  | "one-order"
  | "no-arm"
  | "no-control"
  | "not-for-crossover"
  | "scores-only-compare"
  | "any-time-only-pairs"
  | "looks-grow"
  | "no-difference"
  | "no-spread"
  | "too-few-strips"
  | "no-seed"
  | "arm-twice"
  | "unit-twice"
  | "block-size"
  | "too-few-units";

/** Every refusal the core can give: a code with the figures that explain it. The words are in words/en/domain.ts, one for each code. */
export interface DomainErrorParams {
  "not-positive": { what: Figure; value: number; unit: string };
  "negative": { what: Figure; value: number; unit: string };
  "out-of-range": { what: Figure; value: number; unit: string; min: number; max: number };
  "season-fault": { fault: "not-monday" | "outside" | "week-without-minutes" | "id-twice" | "unknown"; name: string };
  "ledger-fault": { fault: LedgerFault; name: string };
  "trial-fault": { fault: TrialFault; name: string };
  "season-unreadable": { message: string };
  "unknown-unit": { unit: string };
  "dimension-mismatch": { from: string; to: string };
  "density-unknown": { ingredient: string | null };
  "measure-shadows-unit": { name: string };
  "ratio-unreadable": { text: string };
  "ratio-ambiguous": { text: string; partsWater: readonly number[] };
  "ratio-without-water": { text: string };
  "ratio-too-strong-to-be-a-mix": { text: string };
  "dilution-underdetermined": { given: number };
  "dilution-overdetermined": { given: number };
  "total-below-part": { part: "concentrate" | "water"; partL: number; totalL: number };
  "unknown-method": { id: string };
  "unknown-school": { id: string; method: string; known: readonly string[] };
  "unknown-ingredient": { id: string };
  "unknown-use": { id: string };
  "ingredient-not-in-method": { ingredient: string; method: string };
  "no-substitute": { ingredient: string; substitute: string };
  "amount-unstated": { ask: string };
  "limit-below-fixed": { ingredient: string; amount: number; fixed: number; unit: string };
  "over-brim": { neededL: number; roomL: number };
  "no-room": { vesselL: number; headspaceL: number };
  "injector-too-weak": { wantedPartsWater: number; injectorPartsWater: number };
  "plot-without-size": { plot: string; need: "area" | "plants" };
  "time-order": { at: string };
  "unknown-word": { word: string; known: readonly string[] };
  "one-tool": { given: number };
  "ring-corners": { corners: number; most: number };
  "ring-crosses": object;
  "split-misses": { parts: number };
  "merge-apart": { parts: number };
  "geojson-unreadable": { why: "no-collection" | "no-position" | "outside" | "too-many" };
  "figure-unreadable": { text: string; hint: FigureHint };
}

/** A request that makes no sense to the craft. Programs switch on `code`, people are told by `sayDomain`. */
export class DomainError<C extends keyof DomainErrorParams = keyof DomainErrorParams> extends Error {
  constructor(
    readonly code: C,
    readonly params: DomainErrorParams[C],
    /** JSON pointer to the value at fault within the request, "" for the whole. */
    readonly path: string = "",
  ) {
    super(`${code} ${JSON.stringify(params)}`);
    this.name = "DomainError";
  }
}

/**
 * Passes a number on if it is finite and above zero.
 * @throws {DomainError} `not-positive`
 */
export function requirePositive(what: Figure, value: number, unit: string, path = ""): number {
  if (!(value > 0) || !Number.isFinite(value)) throw new DomainError("not-positive", { what, value, unit }, path);
  return value;
}

/**
 * Passes a number on if it lies within the closed range.
 * @throws {DomainError} `out-of-range`
 */
export function requireWithin(what: Figure, value: number, unit: string, min: number, max: number, path = ""): number {
  if (!(value >= min && value <= max)) throw new DomainError("out-of-range", { what, value, unit, min, max }, path);
  return value;
}
