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
  /** What it gets, L, where that is not the rate on its size. */
  readonly mixL?: number | null;
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

/** Concentrate that is thinned first, so that its user's measure can tell the dose: `factor` times as much liquid as concentrate. */
export interface PreMix {
  readonly factor: number;
  /** Concentrate and water of the pre-mix for all loads, L. */
  readonly concentrateL: number;
  readonly waterL: number;
}

export interface WorkedLoads {
  readonly totals: Amounts;
  readonly plots: readonly (Amounts & { readonly id: string })[];
  readonly loads: readonly Load[];
  /** Set where the tool's step is too coarse for the dose as it is: each load then gets `factor` times its concentrate of the pre-mix. */
  readonly preMix: PreMix | null;
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
  if (plot.mixL !== undefined && plot.mixL !== null)
    return requirePositive(["plot-mix", plot.id], plot.mixL, "L", `/plots/${index}/mix`);
  const size = rate.per === "m2" ? plot.areaM2 : plot.plants;
  const need = rate.per === "m2" ? "area" : "plants";
  if (size === undefined || size === null)
    throw new DomainError("plot-without-size", { plot: plot.id, need }, `/plots/${index}/${need}`);
  requirePositive(
    [need === "area" ? "plot-area" : "plot-plants", plot.id],
    size,
    rate.per === "m2" ? "m²" : "plants",
    `/plots/${index}/${need}`,
  );
  return size * rate.amountL;
}

/** A dose may be off by no more than this share once it is rounded to what its user can measure. */
const MEASURED_WITHIN = 0.05;
/** How often a concentrate is thinned first where its dose is too small to measure. */
const PRE_MIXES = [1, 10, 100] as const;

const roundToStep = (valueL: number, stepL: number | undefined) =>
  stepL ? Math.round(valueL / stepL) * stepL : valueL;
const measuredWithin = (valueL: number, stepL: number | undefined) =>
  Math.abs(roundToStep(valueL, stepL) - valueL) <= MEASURED_WITHIN * valueL + 1e-12;

function handLoads(mixL: number, dilution: Dilution, tool: HandTool): { loads: Load[]; factor: number } {
  requireWithin("tool-volume", tool.volumeL, "L", 0.05, 2000, "/tool/volume");
  if (tool.stepL !== undefined) requirePositive("tool-step", tool.stepL, "L", "/tool/step");
  const full = Math.floor(mixL / tool.volumeL + 1e-9);
  const lastL = mixL - full * tool.volumeL;
  const sizes = [
    { count: full, mixL: tool.volumeL },
    { count: lastL > NO_LOAD_BELOW_L ? 1 : 0, mixL: lastL },
  ].filter(({ count }) => count > 0);
  const doses = sizes.map(({ mixL: each }) => split(each, dilution).concentrateL);
  // What is undiluted is poured to the tool's own mark, whatever its step.
  const neat = dilution.partsWater === 0;
  const factor = neat
    ? 1
    : (PRE_MIXES.find((times) => doses.every((dose) => measuredWithin(dose * times, tool.stepL))) ?? PRE_MIXES.at(-1)!);
  const loads = sizes.map(({ count, mixL: each }, index) => {
    // Never round a dose down to nothing, nor up past the tool's own brim.
    const exactL = doses[index]!;
    const concentrateL = neat ? each : Math.min(each, roundToStep(exactL * factor, tool.stepL) / factor || exactL);
    return { count, mixL: each, concentrateL, waterL: each - concentrateL };
  });
  return { loads, factor };
}

/**
 * Fills of an injector's tank. The wanted 1:N goes in through 1:M as a stock that is itself pre-diluted:
 * stock = mix / (M + 1), concentrate = mix / (N + 1), and the rest of the stock is water.
 */
function injectorLoads(mixL: number, dilution: Dilution, injector: Injector): Load[] {
  requireWithin("injector-parts", injector.partsWater, "", 1, 5000, "/injector/ratio");
  requireWithin("injector-tank", injector.tankL, "L", 0.1, 20_000, "/injector/tank");
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
export function workOutLoads(request: LoadsRequest): WorkedLoads {
  requireWithin("mix-rate", request.mixRate.amountL, `L/${request.mixRate.per}`, 1e-4, 1000, "/mixRate/value");
  if (request.availableL !== undefined && request.availableL < 0) {
    throw new DomainError("negative", { what: "there-is", value: request.availableL, unit: "L" }, "/available");
  }
  const plots = request.plots.map((plot, index) => ({
    id: plot.id,
    ...split(plotMixL(plot, request.mixRate, index), request.dilution),
  }));
  const mixL = plots.reduce((sum, plot) => sum + plot.mixL, 0);
  requireWithin("mix-volume", mixL, "L", 0, MAX_MIX_L, "/plots");
  const totals = split(mixL, request.dilution);
  const { loads, factor } =
    request.tool.type === "hand"
      ? handLoads(mixL, request.dilution, request.tool)
      : { loads: injectorLoads(mixL, request.dilution, request.tool), factor: 1 };
  const measuredL = loads.reduce((sum, load) => sum + load.count * load.concentrateL, 0);
  const availableL = request.availableL;
  return {
    totals,
    plots,
    loads,
    preMix: factor === 1 ? null : { factor, concentrateL: measuredL, waterL: measuredL * (factor - 1) },
    leftL: availableL === undefined ? null : Math.max(0, availableL - totals.concentrateL),
    shortL: availableL === undefined ? null : Math.max(0, totals.concentrateL - availableL),
    roundingErrorL: measuredL - totals.concentrateL,
  };
}
