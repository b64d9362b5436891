/**
 * Every refusal the core can give: a code, the figures that explain it, and one sentence.
 * Screens and tests switch on `code`; the sentence is written here once, so that a code without words does not compile.
 */
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
  "figure-unreadable": { text: string; hint: string };
}

const tidy = (value: number) => Number(value.toPrecision(4)).toString();

const MESSAGES: { [C in keyof DomainErrorParams]: (params: DomainErrorParams[C]) => string } = {
  "not-positive": ({ what, value, unit }) => `${what} must be above 0 ${unit}, got ${value}.`,
  "negative": ({ what, value, unit }) => `${what} can't be below 0 ${unit}, got ${value}.`,
  "out-of-range": ({ what, value, unit, min, max }) =>
    `${what} must lie between ${min} and ${max} ${unit}, got ${value}.`,
  "unknown-unit": ({ unit }) => `"${unit}" is not a unit Ruchka knows, nor one of the farm's own measures.`,
  "dimension-mismatch": ({ from, to }) => `${from} can't be turned into ${to}: they measure different things.`,
  "density-unknown": ({ ingredient }) =>
    ingredient === null
      ? "Turning a volume into a mass needs an ingredient, for its density."
      : `The density of "${ingredient}" is not known, so a volume can't be turned into a mass.`,
  "measure-shadows-unit": ({ name }) => `"${name}" is already a standard unit; give the farm's measure another name.`,
  "ratio-unreadable": ({ text }) => `"${text}" is not a ratio. Write 1:500, 2 mL/L, 1 US fl oz/US gal, 0.2 % or neat.`,
  "ratio-ambiguous": ({ text, partsWater }) =>
    `"${text}" may mean ${partsWater.map((parts) => `1:${tidy(parts)}`).join(" or ")}. Write the one you mean that way: 1 part to so many of water.`,
  "ratio-without-water": ({ text }) => `"${text}" has no water in it. Write "neat" to use it undiluted.`,
  "ratio-too-strong-to-be-a-mix": ({ text }) =>
    `"${text}" is 100 % or more of the mix. Write "neat" to use it undiluted.`,
  "dilution-underdetermined": () => "Give two of concentrate, water and total; or one of them and a ratio.",
  "dilution-overdetermined": () =>
    "Too much is given: two of concentrate, water and total; or one of them and a ratio.",
  "total-below-part": ({ part, partL, totalL }) =>
    `The total (${tidy(totalL)} L) is less than the ${part} in it (${tidy(partL)} L).`,
  "unknown-method": ({ id }) => `There is no method "${id}" in the book.`,
  "unknown-school": ({ id, method, known }) => `"${method}" has no school "${id}"; it has ${known.join(", ")}.`,
  "unknown-ingredient": ({ id }) => `There is no ingredient "${id}" in the book.`,
  "unknown-use": ({ id }) => `There is no use "${id}" in the book.`,
  "ingredient-not-in-method": ({ ingredient, method }) => `"${ingredient}" is no part of "${method}".`,
  "no-substitute": ({ ingredient, substitute }) => `"${substitute}" can't stand in for "${ingredient}".`,
  "amount-unstated": ({ ask }) => ask,
  "limit-below-fixed": ({ ingredient, amount, fixed, unit }) =>
    `${tidy(amount)} ${unit} of ${ingredient} is not even what goes in however small the batch (${tidy(fixed)} ${unit}).`,
  "over-brim": ({ neededL, roomL }) =>
    `That needs ${tidy(neededL)} L of room with what the solids push up; the vessel takes ${tidy(roomL)} L up to its fill line.`,
  "no-room": ({ vesselL, headspaceL }) => `A headspace of ${tidy(headspaceL)} L leaves no room in ${tidy(vesselL)} L.`,
  "injector-too-weak": ({ wantedPartsWater, injectorPartsWater }) =>
    `1:${tidy(wantedPartsWater)} is stronger than this injector can give: neat, at 1:${tidy(injectorPartsWater)}, is its strongest. ` +
    "Use a stronger setting, a can or a knapsack.",
  "plot-without-size": ({ plot, need }) => `Plot "${plot}" has no ${need}, which this rate needs.`,
  "time-order": ({ earlier, later }) => `${later} lies before ${earlier}.`,
  "unknown-word": ({ word, known }) => `"${word}" is not one of the words for this: ${known.join(", ")}.`,
  "figure-unreadable": ({ text, hint }) => (text === "" ? hint : `"${text}": ${hint}`),
  "one-tool": ({ given }) => `Give one tool or one injector, got ${given}.`,
};

/** A request that makes no sense to the craft. Screens show `message` at the field, scripts switch on `code`. */
export class DomainError<C extends keyof DomainErrorParams = keyof DomainErrorParams> extends Error {
  constructor(
    readonly code: C,
    readonly params: DomainErrorParams[C],
    /** JSON pointer to the value at fault within the request, "" for the whole. */
    readonly path: string = "",
  ) {
    super(MESSAGES[code](params));
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
