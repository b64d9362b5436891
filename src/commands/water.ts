import type { FromSchema } from "json-schema-to-ts";
import { WATER_INPUT, WATER_OUTPUT } from "@/contracts/commands/schemas";
import { convert } from "@/core/quantity/convert";
import { treatWater } from "@/core/water/chlorine";
import { sayWaterReason } from "@/words/said";
import { inLitres, type Task } from "./task";

type Input = FromSchema<typeof WATER_INPUT>;
const USUAL_C = 20;

function run(input: Input) {
  const { measures = [] } = input;
  const answer = treatWater({
    source: input.source,
    freeMgPerL: input.free ?? null,
    totalMgPerL: input.total ?? null,
    volumeL: inLitres(input.volume, measures)!,
    treatment: input.treatment,
    temperatureC: input.temperature ? convert(input.temperature, "°C").value : USUAL_C,
    ...(input.covered === undefined ? {} : { covered: input.covered }),
  });
  return {
    safe: answer.safe,
    hours: answer.hours,
    dose: answer.ascorbicG === null ? null : { value: answer.ascorbicG, unit: "g" },
    reasons: answer.reasons.map((reason) => ({ code: reason.code, text: sayWaterReason(reason) })),
    assumed: [
      ...(input.temperature ? [] : [`water at ${USUAL_C} °C`]),
      ...(input.treatment === "stand" && input.covered === undefined ? ["an open vessel"] : []),
    ],
  };
}

export const waterTask: Task<Input> = {
  name: "water",
  summary: "hours to stand or bubble, or a dose, until water is safe for a living brew",
  input: WATER_INPUT,
  output: WATER_OUTPUT,
  example: {
    source: "mains",
    free: 1,
    total: 1,
    volume: { value: 180, unit: "L" },
    treatment: "bubble",
    temperature: { value: 18, unit: "°C" },
  },
  run,
};
