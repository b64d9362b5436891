import type { DomainErrorParams } from "@/core/errors";
import type { Speech } from "../speech";
import { sayFigureHint } from "./figureHints";
import { sayFigureName } from "./figures";
import { LEDGER_FAULTS } from "./ledger";
import { SEASON_FAULTS } from "./season";
import { TRIAL_FAULTS } from "./trial";
import { listedOr } from "@/formats/grammar";

/** A figure in its own unit, or in the farm's where it has one for it. */
function sayIn(value: number, unit: string, say: Speech): string {
  if (unit === "L") return say.volume(value);
  if (unit === "kg") return say.mass(value);
  if (unit === "°C") return say.temperature(value);
  return unit === "" ? say.number(value, 4) : `${say.number(value, 4)} ${unit}`;
}

/** What makes no sense to the craft. */
export const DOMAIN: {
  readonly [C in keyof DomainErrorParams]: (params: DomainErrorParams[C], say: Speech) => string;
} = {
  "not-positive": ({ what, value, unit }, say) =>
    `${sayFigureName(what)} must be above 0, not ${sayIn(value, unit, say)}.`,
  "negative": ({ what, value, unit }, say) =>
    `${sayFigureName(what)} can't be below 0, not ${sayIn(value, unit, say)}.`,
  "out-of-range": ({ what, value, unit, min, max }, say) =>
    `${sayFigureName(what)} must lie between ${sayIn(min, unit, say)} and ${sayIn(max, unit, say)}, not at ${sayIn(value, unit, say)}.`,
  "season-fault": ({ fault, name }) => SEASON_FAULTS[fault](name),
  "ledger-fault": ({ fault, name }) => LEDGER_FAULTS[fault](name),
  "trial-fault": ({ fault, name }) => TRIAL_FAULTS[fault](name),
  "season-unreadable": ({ message }) => `This part of the season can't be read: ${message}`,
  "unknown-unit": ({ unit }) => `"${unit}" is not a unit Ruchka knows, nor one of the farm's own measures.`,
  "dimension-mismatch": ({ from, to }) => `${from} can't be turned into ${to}: they measure different things.`,
  "density-unknown": ({ ingredient }) =>
    ingredient === null
      ? "Turning a volume into a mass needs an ingredient, for its density."
      : `The density of "${ingredient}" is not known, so a volume can't be turned into a mass.`,
  "measure-shadows-unit": ({ name }) => `"${name}" is already a standard unit; give the farm's measure another name.`,
  "ratio-unreadable": ({ text }) =>
    `"${text}" is not a ratio. Write 1:500, 2 mL/L, 1 US fl oz/US gal, 0.2 % or undiluted.`,
  "ratio-ambiguous": ({ text, partsWater }, say) =>
    `"${text}" may mean ${listedOr(partsWater.map((parts) => `1:${say.number(parts, 4)}`))}. Write the one you mean that way: 1 part to so many of water.`,
  "ratio-without-water": ({ text }) => `"${text}" has no water in it. Write "undiluted" to use it without water.`,
  "ratio-too-strong-to-be-a-mix": ({ text }) =>
    `"${text}" is 100 % or more of the mix. Write "undiluted" to use it without water.`,
  "dilution-underdetermined": () => "Give two of concentrate, water and total; or one of them and a ratio.",
  "dilution-overdetermined": () =>
    "Too much is given: two of concentrate, water and total; or one of them and a ratio.",
  "total-below-part": ({ part, partL, totalL }, say) =>
    `The total (${say.volumeLeft(totalL)}) is less than the ${part} in it (${say.volumeLeft(partL)}).`,
  "unknown-method": ({ id }) => `Unknown method: "${id}".`,
  "unknown-school": ({ id, method, known }) => `"${method}" has no recipe "${id}"; it has ${known.join(", ")}.`,
  "unknown-ingredient": ({ id }) => `Unknown ingredient: "${id}".`,
  "unknown-use": ({ id }) => `Unknown use: "${id}".`,
  "ingredient-not-in-method": ({ ingredient, method }) => `"${ingredient}" is no part of "${method}".`,
  "no-substitute": ({ ingredient, substitute }) => `"${substitute}" can't stand in for "${ingredient}".`,
  "amount-unstated": ({ ask }) => ask,
  "limit-below-fixed": ({ ingredient, amount, fixed, unit }, say) =>
    `${sayIn(amount, unit, say)} of ${ingredient} is not even what goes in however small the batch (${sayIn(fixed, unit, say)}).`,
  "over-brim": ({ neededL, roomL }, say) =>
    `That needs ${say.volumeLeft(neededL)} of room with what the solids push up; the vessel takes ${say.volumeLeft(roomL)} up to its fill line.`,
  "no-room": ({ vesselL, headspaceL }, say) =>
    `A headspace of ${say.volumeLeft(headspaceL)} leaves no room in ${say.volumeLeft(vesselL)}.`,
  "injector-too-weak": ({ wantedPartsWater, injectorPartsWater }, say) =>
    `1:${say.number(wantedPartsWater, 4)} is stronger than this injector can give: undiluted, at 1:${say.number(injectorPartsWater, 4)}, is its strongest. ` +
    "Use a stronger setting, a can or a knapsack.",
  "plot-without-size": ({ plot, need }) =>
    `Plot "${plot}" has no ${need === "area" ? "area" : "number of plants"}, which this rate needs.`,
  "time-order": ({ at }) => `${at} lies before the start of the batch.`,
  "unknown-word": ({ word, known }) => `"${word}" is not one of the words for this: ${known.join(", ")}.`,
  "ring-corners": ({ corners, most }) =>
    corners < 3 ? "A plot needs three corners at least." : `A plot has ${most} corners at most, not ${corners}.`,
  "ring-crosses": () => "The outline crosses itself. Move a corner, so that it goes round once.",
  "split-misses": ({ parts }) =>
    parts < 2
      ? "This line does not part the plot in two. Draw it across."
      : `This line makes ${parts} pieces. Draw it so that it makes two.`,
  "merge-apart": () => "These plots do not lie beside each other without a gap. Move them together first.",
  "geojson-unreadable": ({ why }) =>
    ({
      "no-collection": "This is no GeoJSON with plots in it. A FeatureCollection with polygons is needed.",
      "no-position": "A place in this file has no two numbers.",
      "outside": "A place in this file lies outside the globe. GeoJSON has degrees, the longitude first.",
      "too-many": "This file has more than 2000 features. Part it.",
    })[why],
  "figure-unreadable": ({ text, hint }) => (text === "" ? sayFigureHint(hint) : `"${text}": ${sayFigureHint(hint)}`),
  "one-tool": ({ given }) => `Give one tool or one injector, got ${given}.`,
};
