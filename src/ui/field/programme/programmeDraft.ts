import { findRecipe, METHODS } from "@/core/book";
import { usualRate } from "@/core/book/useRate";
import type { UseId } from "@/core/book/uses";
import type { GrowthStage } from "@/core/land/planting";
import type { Programme } from "@/core/programme/programme";
import { suggestionsFor } from "@/core/programme/wants";
import { sayDilution, type UnitSystem } from "@/formats/amounts";
import { inMixUnit, litresOfMix } from "@/formats/fieldUnits";
import { parseNumber } from "@/formats/numbers";

/** A line of a programme as it is typed. */
export interface StepDraft {
  readonly methodId: string;
  readonly use: UseId;
  /** "1:250", or empty for the book's usual. */
  readonly strength: string;
  /** Litres of mix in the farm's own rate, or empty for the use's usual. */
  readonly rate: string;
  readonly everyD: string;
  readonly from: GrowthStage;
  readonly to: GrowthStage;
}

export interface ProgrammeDraft {
  readonly name: string;
  /** With commas between. */
  readonly crops: string;
  readonly steps: readonly StepDraft[];
}

const plainStrength = (partsWater: number | null): string =>
  partsWater === null ? "" : sayDilution(partsWater).replaceAll("\u202f", "");

export const draftOf = ({ name, crops, steps }: Omit<Programme, "id">, units: UnitSystem): ProgrammeDraft => ({
  name,
  crops: crops.join(", "),
  steps: steps.map(({ methodId, use, partsWater, mixLPerM2, everyD, from, to }) => ({
    methodId,
    use,
    strength: plainStrength(partsWater),
    rate: mixLPerM2 === null ? "" : String(inMixUnit(mixLPerM2, "m2", units)),
    everyD: String(everyD),
    from,
    to,
  })),
});

/** Days between two where the book states none. */
const USUAL_EVERY_D = 14;

/** A line for an input, by its usual use and interval. */
export function lineFor(methodId: string, from: GrowthStage, to: GrowthStage, use?: UseId): StepDraft {
  const recipe = findRecipe(methodId);
  const rate = recipe.uses.find((one) => one.use === use) ?? usualRate(recipe)!;
  return { methodId, use: rate.use, strength: "", rate: "", everyD: String(rate.everyD ?? USUAL_EVERY_D), from, to };
}

const SEASON = ["settling", "growing", "flowering", "fruiting"] as const;

/** What growers give over a season, a line a stage: a start to be changed. */
export const seasonDraft = (): ProgrammeDraft => ({
  name: "",
  crops: "",
  steps: SEASON.flatMap((stage) =>
    suggestionsFor({ stage, perennial: false, isToBePlanted: false, lastByMethod: {} })
      .slice(0, 1)
      .map(({ methodId, use }) => lineFor(methodId, stage, stage, use)),
  ),
});

/** Methods that go on anything at all. */
export const INPUTS = METHODS.filter(({ id }) => findRecipe(id).uses.length > 0).map(({ id, name }) => ({ id, name }));

/** Parts of water of a strength as it is typed; null for the usual, NaN where it can't be read. */
function partsOf(strength: string): number | null {
  const text = strength.trim();
  if (text === "") return null;
  const parts = /^(?:1\s*:\s*)?([\d.,]+)$/.exec(text)?.[1];
  return parts === undefined ? NaN : (parseNumber(parts) ?? NaN);
}

/** Litres to the square metre of a rate as it is typed; null for the usual, NaN where it can't be read. */
function rateOf(rate: string, units: UnitSystem): number | null {
  if (rate.trim() === "") return null;
  const typed = parseNumber(rate);
  return typed === null ? NaN : litresOfMix(typed, "m2", units);
}

/** As it is sent. */
export const requestOf = ({ name, crops, steps }: ProgrammeDraft, units: UnitSystem) => ({
  name,
  crops: crops
    .split(",")
    .map((crop) => crop.trim())
    .filter(Boolean),
  steps: steps.map(({ methodId, use, strength, rate, everyD, from, to }) => ({
    methodId,
    use,
    partsWater: partsOf(strength),
    mixLPerM2: rateOf(rate, units),
    everyD: parseNumber(everyD) ?? NaN,
    from,
    to,
  })),
});
