import type { FromSchema } from "json-schema-to-ts";
import { FIGURE_INPUT, FIGURE_OUTPUT } from "@/contracts/commands/schemas";
import { checkMeasures } from "@/core/quantity/convert";
import { FIGURE_EXAMPLES, workOutFigure } from "@/formats/figure/workOut";
import type { Task } from "./task";

type Input = FromSchema<typeof FIGURE_INPUT>;

function run({ text, units = "metric", measures = [] }: Input) {
  checkMeasures(measures);
  return workOutFigure(text, { units, measures });
}

export const figureTask: Task<Input> = {
  name: "figure",
  summary: "a figure as a person types it, with the working in one line",
  input: FIGURE_INPUT,
  output: FIGURE_OUTPUT,
  example: { text: FIGURE_EXAMPLES[0], units: "metric" },
  run,
};
