import type { FromSchema } from "json-schema-to-ts";
import { CONVERT_INPUT, CONVERT_OUTPUT } from "@/contracts/commands/schemas";
import { findIngredient } from "@/core/book/ingredients";
import { DomainError, requireWithin } from "@/core/errors";
import { convert } from "@/core/quantity/convert";
import { toBase } from "@/core/quantity/units";
import { sayQuantity } from "@/formats/amounts";
import type { Task } from "./task";

type Input = FromSchema<typeof CONVERT_INPUT>;
/** Past this, in base units, a slip of the key is likelier than a farm. */
const GREATEST = 1e9;

function run({ quantity, to, ingredient, measures = [] }: Input) {
  const amount = toBase(quantity, measures, "/quantity");
  if (amount.dimension === "temperature")
    requireWithin("temperature", amount.value, "°C", -273.15, 1500, "/quantity/value");
  else if (amount.value < 0)
    throw new DomainError(
      "negative",
      { what: "amount", value: quantity.value, unit: quantity.unit },
      "/quantity/value",
    );
  else requireWithin("amount", amount.value, amount.dimension, 0, GREATEST, "/quantity/value");
  const item = ingredient === undefined ? undefined : findIngredient(ingredient);
  const answer = convert(quantity, to, {
    measures,
    ...(item ? { ingredient: item.id, densityKgPerL: item.densityKgPerL } : {}),
  });
  const target = toBase({ value: 1, unit: to }, measures, "/to").dimension;
  const assumed = item && target !== amount.dimension ? [`${item.name} at ${item.densityKgPerL} kg/L`] : [];
  return { quantity: answer, text: sayQuantity(answer), assumed };
}

export const convertTask: Task<Input> = {
  name: "convert",
  summary: "one quantity in another unit; volume to mass by an ingredient's density",
  input: CONVERT_INPUT,
  output: CONVERT_OUTPUT,
  example: { quantity: { value: 12, unit: "US gal" }, to: "L" },
  run,
};
