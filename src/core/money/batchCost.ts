import { DomainError, requireWithin } from "../errors";

export interface LotUse {
  readonly label: string;
  /** Used, in the lot's own unit. */
  readonly amount: number;
  /** What one unit of this very lot cost, in minor money (cents). */
  readonly unitCostMinor: number;
}

export interface BatchCostRequest {
  readonly lots: readonly LotUse[];
  readonly labourMin: number;
  readonly labourMinorPerH: number;
  readonly powerKWh: number;
  readonly powerMinorPerKWh: number;
  readonly consumables: readonly { readonly label: string; readonly costMinor: number }[];
  /** Strained off, L; null while the batch still runs. */
  readonly yieldL: number | null;
}

export interface CostLine {
  readonly kind: "ingredient" | "labour" | "power" | "consumable";
  readonly label: string;
  readonly costMinor: number;
}

export interface BatchCost {
  /** Whole minor units; the lines add up to the total exactly. */
  readonly totalMinor: number;
  readonly perLMinor: number | null;
  readonly breakdown: readonly CostLine[];
}

/**
 * What a batch cost: lots at their own price, labour, power and consumables; and what a litre of it cost.
 * Each line is rounded to a whole minor unit, so that what is shown adds up.
 * @throws {DomainError} `negative`, `not-positive` (a yield of nothing has no price per litre), `out-of-range`
 */
export function batchCost(request: BatchCostRequest): BatchCost {
  requireWithin("labour", request.labourMin, "min", 0, 60_000, "/labour");
  requireWithin("power", request.powerKWh, "kWh", 0, 100_000, "/power");
  const breakdown: CostLine[] = [
    ...request.lots.map((use, index) =>
      line("ingredient", use.label, use.amount * use.unitCostMinor, `/lots/${index}`),
    ),
    line("labour", "Work", (request.labourMin / 60) * request.labourMinorPerH, "/labour"),
    line("power", "Power", request.powerKWh * request.powerMinorPerKWh, "/power"),
    ...request.consumables.map((item, index) =>
      line("consumable", item.label, item.costMinor, `/consumables/${index}`),
    ),
  ];
  const totalMinor = breakdown.reduce((sum, item) => sum + item.costMinor, 0);
  if (request.yieldL === null) return { totalMinor, perLMinor: null, breakdown };
  if (!(request.yieldL > 0))
    throw new DomainError("not-positive", { what: "yield", value: request.yieldL, unit: "L" }, "/yield");
  return { totalMinor, perLMinor: totalMinor / request.yieldL, breakdown };
}

function line(kind: CostLine["kind"], label: string, costMinor: number, path: string): CostLine {
  if (!(costMinor >= 0))
    throw new DomainError("negative", { what: ["cost-line", label], value: costMinor, unit: "" }, path);
  return { kind, label, costMinor: Math.round(costMinor) };
}
