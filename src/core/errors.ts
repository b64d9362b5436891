/** Every refusal the core can give: a code with the figures that explain it. The words are in words/en/domain.ts, one for each code. */
export interface DomainErrorParams {
  "not-positive": { what: string; value: number; unit: string };
  "negative": { what: string; value: number; unit: string };
  "out-of-range": { what: string; value: number; unit: string; min: number; max: number };
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
  "total-below-part": { part: string; partL: number; totalL: number };
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
  "plot-without-size": { plot: string; need: string };
  "time-order": { earlier: string; later: string };
  "unknown-word": { word: string; known: readonly string[] };
  "one-tool": { given: number };
  "ring-corners": { corners: number; most: number };
  "ring-crosses": object;
  "split-misses": { parts: number };
  "merge-apart": { parts: number };
  "geojson-unreadable": { why: "no-collection" | "no-position" | "outside" | "too-many" };
  "figure-unreadable": { text: string; hint: string };
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
export function requirePositive(what: string, value: number, unit: string, path = ""): number {
  if (!(value > 0) || !Number.isFinite(value)) throw new DomainError("not-positive", { what, value, unit }, path);
  return value;
}

/**
 * Passes a number on if it lies within the closed range.
 * @throws {DomainError} `out-of-range`
 */
export function requireWithin(what: string, value: number, unit: string, min: number, max: number, path = ""): number {
  if (!(value >= min && value <= max)) throw new DomainError("out-of-range", { what, value, unit, min, max }, path);
  return value;
}
