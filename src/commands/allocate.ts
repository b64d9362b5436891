import type { FromSchema } from "json-schema-to-ts";
import { ALLOCATE_INPUT, ALLOCATE_OUTPUT } from "@/contracts/commands/schemas";
import { allocate, type Allocation, type PlotWish } from "@/core/apply/allocate";
import { DomainError, requirePositive } from "@/core/errors";
import { checkMeasures } from "@/core/quantity/convert";
import { parseDilution } from "@/core/quantity/ratio";
import { sayWithout } from "@/words/allocation";
import { speechOf } from "@/words/speech";
import { inLitres, litres, type Task } from "./task";

type Input = FromSchema<typeof ALLOCATE_INPUT>;
type Asked = Input["plots"][number];

/** Parts of water of the use that a plot names, or of all; null where nobody says how strong it goes on. */
function strengths({ ratio, uses = [], measures }: Input): (plot: Asked) => number | null {
  const common = ratio === undefined ? null : parseDilution(ratio, measures, "/ratio").partsWater;
  const own = new Map(
    uses.map((use, index) => [use.id, parseDilution(use.ratio, measures, `/uses/${index}/ratio`).partsWater]),
  );
  return ({ use }) => (use === undefined ? common : (own.get(use) ?? common));
}

/** One liquid for all, or one a use; a plot of a use that there is none for is at fault. */
function allocated(input: Input, wishes: readonly PlotWish[]): Allocation {
  const { available, plots, measures } = input;
  if (!Array.isArray(available))
    return allocate(inLitres(available as Parameters<typeof inLitres>[0], measures)!, wishes);
  const liquids = available.map(({ use, quantity }) => ({ use, availableL: inLitres(quantity, measures)! }));
  plots.forEach(({ use }, index) => {
    if (!liquids.some((liquid) => liquid.use === use))
      throw new DomainError(
        "unknown-word",
        { word: use ?? "", known: liquids.map((liquid) => liquid.use) },
        `/plots/${index}/use`,
      );
  });
  const parts = liquids.map(({ use, availableL }) =>
    allocate(
      availableL,
      wishes.filter((_, index) => plots[index]!.use === use),
    ),
  );
  const given = new Map(parts.flatMap((part) => part.plots).map(({ id, concentrateL }) => [id, concentrateL]));
  return {
    plots: plots.map(({ id }) => ({ id, concentrateL: given.get(id) ?? 0 })),
    givenL: parts.reduce((sum, { givenL }) => sum + givenL, 0),
    leftL: parts.reduce((sum, { leftL }) => sum + leftL, 0),
    without: parts.flatMap(({ without }) => without),
  };
}

function run(input: Input) {
  const { measures = [], plots, tool } = input;
  checkMeasures(measures);
  const isWhole = tool !== undefined && input.wholeLoads !== false;
  const toolL = tool ? requirePositive("tool-volume", inLitres(tool.volume, measures)!, "L", "/tool/volume") : null;
  const strengthOf = strengths(input);
  const loadOf = (plot: Asked) => (isWhole ? toolL! / (1 + (strengthOf(plot) ?? 0)) : null);
  const answer = allocated(
    input,
    plots.map((plot) => ({
      id: plot.id,
      priority: plot.priority,
      preferredL: inLitres(plot.preferred, measures)!,
      leastL: inLitres(plot.least, measures) ?? 0,
      loadL: loadOf(plot),
    })),
  );
  const say = speechOf("metric");
  const parts = plots.map((plot, index) => {
    const { concentrateL } = answer.plots[index]!;
    const partsWater = strengthOf(plot);
    const preferredL = inLitres(plot.preferred, measures)!;
    return {
      concentrateL,
      mixL: partsWater === null ? null : concentrateL * (1 + partsWater),
      loads: isWhole ? Math.round(concentrateL / loadOf(plot)!) : null,
      share: preferredL > 0 ? concentrateL / preferredL : 1,
    };
  });
  const amounts = (concentrateL: number, mixL: number | null) => ({
    concentrate: litres(concentrateL),
    ...(mixL === null ? {} : { mix: litres(mixL), water: litres(mixL - concentrateL) }),
  });
  const isMixKnown = parts.every(({ mixL }) => mixL !== null);
  const served = parts.filter(({ concentrateL }) => concentrateL > 0).length;
  return {
    plots: parts.map(({ concentrateL, mixL, loads, share }, index) => ({
      id: plots[index]!.id,
      ...amounts(concentrateL, mixL),
      ...(loads === null ? {} : { loads }),
      share,
    })),
    totals: amounts(answer.givenL, isMixKnown ? parts.reduce((sum, { mixL }) => sum + mixL!, 0) : null),
    left: litres(answer.leftL),
    without: answer.without.map(({ id, reason }) => ({ id, reason: reason.code, text: sayWithout(reason, say) })),
    text: `${served} of ${plots.length} plots get ${say.volume(answer.givenL)}; ${say.volume(answer.leftL)} is left`,
    assumed: [
      "priority 1 goes before 2, and 2 before 3; among equals as many as can be get their least, then who is named first gets its wish",
      ...(plots.some(({ least }) => least === undefined) ? ["a plot without a least takes any amount"] : []),
      ...(isWhole && plots.some((plot) => strengthOf(plot) === null)
        ? ["a load is carried undiluted where no ratio is given"]
        : []),
      ...(tool?.step && isWhole ? ["whole loads are alike, so that the measure's step changes nothing"] : []),
    ],
  };
}

export const allocateTask: Task<Input> = {
  name: "allocate",
  summary:
    "shares one limited concentrate out over plots by priority, in whole loads where wanted, and says who goes without",
  input: ALLOCATE_INPUT,
  output: ALLOCATE_OUTPUT,
  example: {
    available: { value: 38, unit: "L" },
    ratio: "1:4",
    plots: [
      { id: "squash", priority: 1, preferred: { value: 6, unit: "L" }, least: { value: 3, unit: "L" } },
      { id: "kale", priority: 1, preferred: { value: 6, unit: "L" }, least: { value: 3, unit: "L" } },
      { id: "leeks", priority: 2, preferred: { value: 24, unit: "L" }, least: { value: 12, unit: "L" } },
      { id: "beans", priority: 3, preferred: { value: 8, unit: "L" }, least: { value: 4, unit: "L" } },
    ],
  },
  run,
};
