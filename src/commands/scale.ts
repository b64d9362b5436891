import type { FromSchema } from "json-schema-to-ts";
import { SCALE_INPUT, SCALE_OUTPUT } from "@/contracts/commands/schemas";
import { findRecipe } from "@/core/book";
import { CAUTIONS } from "@/core/book/cautions";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { requirePositive } from "@/core/errors";
import { convert } from "@/core/quantity/convert";
import type { LocalMeasure, Quantity } from "@/core/quantity/units";
import { scaleRecipe, type ScaledLine, type ScaleRequest } from "@/core/recipe/scale";
import { sayStock } from "@/formats/amounts";
import { inLitres, litres, type Task } from "./task";

type Input = FromSchema<typeof SCALE_INPUT>;

function stockAmount(id: string, amount: Quantity, measures: readonly LocalMeasure[], path: string): number {
  const item = findIngredient(id, path);
  return convert(amount, item.stockUnit, { measures, ingredient: item.id, densityKgPerL: item.densityKgPerL }).value;
}

function toRequest(input: Input): ScaleRequest {
  const { measures = [] } = input;
  const recipe = findRecipe(input.method, input.school);
  const headspaceL = inLitres(input.vessel.headspace, measures);
  const limits = (input.limits ?? []).map(({ ingredient, amount }, index) => {
    requirePositive("there-is", amount.value, amount.unit, `/limits/${index}/amount/value`);
    return {
      ingredient: findIngredient(ingredient, `/limits/${index}/ingredient`).id,
      amount: stockAmount(ingredient, amount, measures, `/limits/${index}/ingredient`),
    };
  });
  const asId = (id: string, path: string): IngredientId => findIngredient(id, path).id;
  return {
    recipe,
    vesselL: inLitres(input.vessel.volume, measures)!,
    ...(headspaceL === undefined ? {} : { headspaceL }),
    ...(input.vessel.diameter
      ? {
          diameterM: requirePositive(
            "diameter",
            convert(input.vessel.diameter, "m", { measures }).value,
            "m",
            "/vessel/diameter",
          ),
        }
      : {}),
    ...(input.target ? { targetBasis: stockAmount(recipe.basis, input.target, measures, "/target") } : {}),
    limits,
    stated: (input.stated ?? []).map(({ ingredient, amount }, index) => ({
      ingredient: asId(ingredient, `/stated/${index}/ingredient`),
      amount: stockAmount(ingredient, amount, measures, `/stated/${index}/amount`),
    })),
    include: (input.include ?? []).map((id, index) => asId(id, `/include/${index}`)),
    substitutes: (input.substitutes ?? []).map((pair, index) => ({
      instead: asId(pair.instead, `/substitutes/${index}/instead`),
      use: asId(pair.use, `/substitutes/${index}/use`),
    })),
  };
}

const sayLine = (line: ScaledLine) => {
  const most =
    line.high > line.amount * 1.0001 || line.low < line.amount * 0.9999
      ? ` (${sayStock(line.low, line.unit, "metric")} to ${sayStock(line.high, line.unit, "metric")} is usual)`
      : "";
  return `${sayStock(line.amount, line.unit, "metric")} ${findIngredient(line.ingredient).name.toLowerCase()}${line.part === "cap" ? ", as the cap on top" : ""}${most}`;
};

function run(input: Input) {
  const request = toRequest(input);
  const scaled = scaleRecipe(request);
  const { recipe } = request;
  return {
    lines: scaled.lines.map((line) => ({
      ingredient: line.ingredient,
      quantity: { value: line.amount, unit: line.unit },
      text: sayLine(line),
      role: line.role,
      part: line.part,
      follows: line.follows,
      onDay: line.onDay,
      dosePerL: line.dosePerL,
      range: { low: { value: line.low, unit: line.unit }, high: { value: line.high, unit: line.unit } },
    })),
    liquid: litres(scaled.liquidL),
    occupied: litres(scaled.occupiedL),
    fillLevel: scaled.fillShare,
    headspace: litres(scaled.headspaceL),
    limitedBy: scaled.limitedBy,
    bounds: scaled.bounds.map(({ by, basisAmount }) => ({
      by,
      basis: { value: basisAmount, unit: findIngredient(recipe.basis).stockUnit },
    })),
    asks: scaled.asks.map(({ ingredient, ask }) => ({ ingredient, ask })),
    swaps: scaled.swaps,
    cautions: recipe.cautions.map((id) => CAUTIONS[id]),
    steps: recipe.steps.map(({ text, why, waitMin }) => ({ text, why, ...(waitMin ? { waitMinutes: waitMin } : {}) })),
    assumed: [
      ...(input.school ? [] : [`school "${recipe.school.id}", the cautious one`]),
      ...(input.vessel.headspace ? [] : [`filled to ${Math.round(recipe.fillShare.default * 100)} % of the vessel`]),
      ...(input.vessel.diameter || !scaled.lines.some(({ part }) => part === "cap")
        ? []
        : ["an upright vessel 1.4 times as high as wide, for the cap"]),
    ],
  };
}

export const scaleTask: Task<Input> = {
  name: "scale",
  summary: "a recipe for a vessel, a wanted amount, or the ingredient that runs out first",
  input: SCALE_INPUT,
  output: SCALE_OUTPUT,
  example: { method: "cultured-extract", school: "equal-parts", vessel: { volume: { value: 200, unit: "L" } } },
  run,
};
