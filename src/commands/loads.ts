import type { FromSchema } from "json-schema-to-ts";
import { LOADS_INPUT, LOADS_OUTPUT } from "@/contracts/commands/schemas";
import { haulOf } from "@/core/apply/haul";
import { workOutLoads, type Amounts, type HandTool, type Injector } from "@/core/apply/loads";
import { findUse } from "@/core/book/uses";
import { DomainError } from "@/core/errors";
import { checkMeasures, convert } from "@/core/quantity/convert";
import { parseDilution } from "@/core/quantity/ratio";
import { sayHaul, sayLoad, sayLoads } from "@/words/said";
import { inLitres, litres, type Task } from "./task";

type Input = FromSchema<typeof LOADS_INPUT>;

function toTool({ tool, injector, measures }: Input): HandTool | Injector {
  if (injector && !tool)
    return {
      type: "injector",
      partsWater: parseDilution(injector.ratio, measures, "/injector/ratio").partsWater,
      tankL: inLitres(injector.tank, measures)!,
    };
  if (tool && !injector) {
    const stepL = inLitres(tool.step, measures);
    return { type: "hand", volumeL: inLitres(tool.volume, measures)!, ...(stepL === undefined ? {} : { stepL }) };
  }
  throw new DomainError("one-tool", { given: tool ? 2 : 0 }, "/tool");
}

const amounts = ({ mixL, concentrateL, waterL }: Amounts) => ({
  mix: litres(mixL),
  concentrate: litres(concentrateL),
  water: litres(waterL),
});

function run(input: Input) {
  const { measures = [] } = input;
  checkMeasures(measures);
  const use = findUse(input.use);
  const tool = toTool(input);
  const availableL = inLitres(input.available, measures);
  const plan = workOutLoads({
    dilution: parseDilution(input.ratio, measures),
    mixRate: { amountL: input.mixRate.value, per: input.mixRate.unit === "L/m2" ? "m2" : "plant" },
    plots: input.plots.map(({ id, area, plants }) => ({
      id,
      areaM2: area ? convert(area, "m2", { measures }).value : null,
      plants: plants ?? null,
    })),
    tool,
    ...(availableL === undefined ? {} : { availableL }),
  });
  const haul = tool.type === "hand" ? sayHaul(haulOf(plan.loads), "load", "metric") : null;
  const noun = tool.type === "injector" ? "tank" : use.id === "foliar" ? "knapsack" : "can";
  return {
    totals: amounts(plan.totals),
    plots: plan.plots.map((plot) => ({ id: plot.id, ...amounts(plot) })),
    loads: plan.loads.map((load, index) => ({
      count: load.count,
      ...amounts(load),
      text: sayLoad(load, noun, index > 0, "metric", plan.preMix),
    })),
    left: plan.leftL === null ? null : litres(plan.leftL),
    short: plan.shortL === null ? null : litres(plan.shortL),
    roundingError: litres(plan.roundingErrorL),
    text: sayLoads(plan.loads, noun, "metric", plan.preMix),
    assumed: [
      "1:N is 1 part concentrate to N parts water",
      ...(tool.type === "injector"
        ? ["a load is one tank of pre-diluted stock; the injector adds the rest of the water"]
        : []),
      ...(plan.preMix ? ["the tool's step is too coarse for the dose, so it is thinned first"] : []),
      ...(haul ? [haul] : []),
    ],
  };
}

export const loadsTask: Task<Input> = {
  name: "loads",
  summary: "mix, concentrate and water by plot, and in whole cans, knapsacks or injector tanks",
  input: LOADS_INPUT,
  output: LOADS_OUTPUT,
  example: {
    use: "drench-growing",
    ratio: "1:20",
    mixRate: { value: 2, unit: "L/m2" },
    plots: [
      { id: "bed 1", area: { value: 9, unit: "m2" } },
      { id: "bed 2", area: { value: 9, unit: "m2" } },
    ],
    tool: { volume: { value: 10, unit: "L" }, step: { value: 10, unit: "mL" } },
    available: { value: 5, unit: "L" },
  },
  run,
};
