import type { FromSchema } from "json-schema-to-ts";
import { COST_INPUT, COST_OUTPUT } from "@/contracts/commands/schemas";
import { findIngredient } from "@/core/book/ingredients";
import { requirePositive } from "@/core/errors";
import { batchCost } from "@/core/money/batchCost";
import { convert, litresIn } from "@/core/quantity/convert";
import type { Task } from "./task";

type Input = FromSchema<typeof COST_INPUT>;
const MINOR = 100;

function run({ lots, labour, power, consumables = [], yield: yielded, measures = [] }: Input) {
  const cost = batchCost({
    lots: lots.map(({ ingredient, used, price }, index) => {
      const item = findIngredient(ingredient, `/lots/${index}/ingredient`);
      const options = { measures, ingredient: item.id, densityKgPerL: item.densityKgPerL };
      const per = requirePositive(
        "price-amount",
        convert(price.per, item.stockUnit, options).value,
        item.stockUnit,
        `/lots/${index}/price/per/value`,
      );
      return {
        label: item.name,
        amount: convert(used, item.stockUnit, options).value,
        unitCostMinor: (price.amount * MINOR) / per,
      };
    }),
    labourMin: labour ? convert(labour.time, "min").value : 0,
    labourMinorPerH: (labour?.perHour ?? 0) * MINOR,
    powerKWh: power?.kWh ?? 0,
    powerMinorPerKWh: (power?.perKWh ?? 0) * MINOR,
    consumables: consumables.map(({ name, amount }) => ({ label: name, costMinor: amount * MINOR })),
    yieldL: litresIn(yielded, { measures }),
  });
  return {
    total: cost.totalMinor / MINOR,
    perL: cost.perLMinor === null ? null : cost.perLMinor / MINOR,
    breakdown: cost.breakdown.map(({ kind, label, costMinor }) => ({ kind, label, amount: costMinor / MINOR })),
    assumed: ["money in the unit given, each line rounded to a hundredth"],
  };
}

export const costTask: Task<Input> = {
  name: "cost",
  summary: "what a batch and a litre of it cost: lots at their own price, labour, power, consumables",
  input: COST_INPUT,
  output: COST_OUTPUT,
  example: {
    lots: [
      { ingredient: "molasses", used: { value: 1.7, unit: "L" }, price: { amount: 18, per: { value: 5, unit: "L" } } },
    ],
    labour: { time: { value: 45, unit: "min" }, perHour: 15 },
    power: { kWh: 1.2, perKWh: 0.3 },
    yield: { value: 160, unit: "L" },
  },
  run,
};
