import { DomainError, requirePositive, requireWithin } from "../errors";
import type { Dilution } from "../quantity/ratio";

/** Litres of mix to a square metre or to a plant. */
export interface MixRate {
  readonly amountL: number;
  readonly per: "m2" | "plant";
}

export interface PlotToTreat {
  readonly id: string;
  readonly areaM2?: number | null;
  readonly plants?: number | null;
}

/** A can or knapsack, filled by hand. */
export interface HandTool {
  readonly type: "hand";
  readonly volumeL: number;
  /** The smallest dose its user can measure; doses are rounded to it. */
  readonly stepL?: number;
}

/** An injector draws 1 part from its tank to `partsWater` parts of passing water. */
export interface Injector {
  readonly type: "injector";
  readonly partsWater: number;
  readonly tankL: number;
}

export interface LoadsRequest {
  readonly dilution: Dilution;
  readonly mixRate: MixRate;
  readonly plots: readonly PlotToTreat[];
  readonly tool: HandTool | Injector;
  readonly availableL?: number;
}

export interface Amounts {
  readonly mixL: number;
  readonly concentrateL: number;
  readonly waterL: number;
}

export interface Load extends Amounts {
  readonly count: number;
}

export interface LoadsPlan {
  readonly totals: Amounts;
  readonly plots: readonly (Amounts & { readonly id: string })[];
  readonly loads: readonly Load[];
  /** Concentrate over, and lacking, against what is available; null where nobody said what there is. */
  readonly leftL: number | null;
  readonly shortL: number | null;
  /** Concentrate measured out less what the ratio asks for, L. */
  readonly roundingErrorL: number;
}

const MAX_MIX_L = 5_000_000;
const NO_LOAD_BELOW_L = 1e-6;

const split = (mixL: number, { partsWater }: Dilution): Amounts => {
  const concentrateL = mixL / (1 + partsWater);
  return { mixL, concentrateL, waterL: mixL - concentrateL };
};

function plotMixL(plot: PlotToTreat, rate: MixRate, index: number): number {
  const size = rate.per === "m2" ? plot.areaM2 : plot.plants;
  const need = rate.per === "m2" ? "area" : "number of plants";
  const key = rate.per === "m2" ? "area" : "plants";
  if (size === undefined || size === null)
    throw new DomainError("plot-without-size", { plot: plot.id, need }, `/plots/${index}/${key}`);
  requirePositive(
    `The ${need} of plot "${plot.id}"`,
    size,
    rate.per === "m2" ? "m²" : "plants",
    `/plots/${index}/${key}`,
  );
  return size * rate.amountL;
}

const roundToStep = (valueL: number, stepL: number | undefined) =>
  stepL ? Math.round(valueL / stepL) * stepL : valueL;

function handLoads(mixL: number, dilution: Dilution, tool: HandTool): Load[] {
  requireWithin("The tool", tool.volumeL, "L", 0.05, 2000, "/tool/volume");
  if (tool.stepL !== undefined) requirePositive("The step", tool.stepL, "L", "/tool/step");
  const full = Math.floor(mixL / tool.volumeL + 1e-9);
  const lastL = mixL - full * tool.volumeL;
  const sizes = [
    { count: full, mixL: tool.volumeL },
    { count: lastL > NO_LOAD_BELOW_L ? 1 : 0, mixL: lastL },
  ].filter(({ count }) => count > 0);
  return sizes.map(({ count, mixL: each }) => {
    // Never round a dose down to nothing, nor up past the tool's own brim.
    const exactL = split(each, dilution).concentrateL;
    const concentrateL = Math.min(each, roundToStep(exactL, tool.stepL) || exactL);
    return { count, mixL: each, concentrateL, waterL: each - concentrateL };
  });
}

/**
 * Fills of an injector's tank. The wanted 1:N goes in through 1:M as a stock that is itself pre-diluted:
 * stock = mix / (M + 1), concentrate = mix / (N + 1), and the rest of the stock is water.
 */
function injectorLoads(mixL: number, dilution: Dilution, injector: Injector): Load[] {
  requireWithin("The injector's parts of water", injector.partsWater, "", 1, 5000, "/injector/ratio");
  requireWithin("The injector's tank", injector.tankL, "L", 0.1, 20_000, "/injector/tank");
  if (dilution.partsWater < injector.partsWater) {
    throw new DomainError(
      "injector-too-weak",
      { wantedPartsWater: dilution.partsWater, injectorPartsWater: injector.partsWater },
      "/injector/ratio",
    );
  }
  const stockL = mixL / (injector.partsWater + 1);
  const share = (injector.partsWater + 1) / (dilution.partsWater + 1);
  const full = Math.floor(stockL / injector.tankL + 1e-9);
  const lastL = stockL - full * injector.tankL;
  return [
    { count: full, fillL: injector.tankL },
    { count: lastL > NO_LOAD_BELOW_L ? 1 : 0, fillL: lastL },
  ]
    .filter(({ count }) => count > 0)
    .map(({ count, fillL }) => ({ count, mixL: fillL, concentrateL: fillL * share, waterL: fillL * (1 - share) }));
}

/**
 * Mix, concentrate and water for plots, and the fills of the tool that carry them there.
 * For an injector a load is one fill of its tank with pre-diluted stock.
 * @throws {DomainError} `not-positive`, `out-of-range`, `plot-without-size`, `injector-too-weak`, `negative`
 */
export function planLoads(request: LoadsRequest): LoadsPlan {
  requireWithin("The mix rate", request.mixRate.amountL, `L/${request.mixRate.per}`, 1e-4, 1000, "/mixRate/value");
  if (request.availableL !== undefined && request.availableL < 0) {
    throw new DomainError(
      "negative",
      { what: "What is available", value: request.availableL, unit: "L" },
      "/available",
    );
  }
  const plots = request.plots.map((plot, index) => ({
    id: plot.id,
    ...split(plotMixL(plot, request.mixRate, index), request.dilution),
  }));
  const mixL = plots.reduce((sum, plot) => sum + plot.mixL, 0);
  requireWithin("The whole mix", mixL, "L", 0, MAX_MIX_L, "/plots");
  const totals = split(mixL, request.dilution);
  const loads =
    request.tool.type === "hand"
      ? handLoads(mixL, request.dilution, request.tool)
      : injectorLoads(mixL, request.dilution, request.tool);
  const measuredL = loads.reduce((sum, load) => sum + load.count * load.concentrateL, 0);
  const availableL = request.availableL;
  return {
    totals,
    plots,
    loads,
    leftL: availableL === undefined ? null : Math.max(0, availableL - totals.concentrateL),
    shortL: availableL === undefined ? null : Math.max(0, totals.concentrateL - availableL),
    roundingErrorL: measuredL - totals.concentrateL,
  };
}
