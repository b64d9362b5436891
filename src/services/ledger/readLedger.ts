import "server-only";
import { isOnPlan } from "@/core/apply/elsewhere";
import type { BatchCost } from "@/core/money/batchCost";
import { spreadCosts, type Spread, type SpreadBatch, type SpreadUse } from "@/core/money/spread";
import { listPlotApplications, type PlotApplication, listPlots } from "@/data/field";
import { listBatches, type Batch, type CloseKind } from "@/data/batch";
import type { Farm } from "@/data/farm";
import { listAllDraws, type LotDraw } from "@/data/shed";
import { listStoreWaste } from "@/data/stores";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { costOfBatch } from "../batch";
import { farmView, type FarmView } from "../farm";

export interface LedgerBatch {
  readonly id: number;
  readonly name: string;
  readonly vesselName: string;
  readonly startedMs: number;
  readonly outcome: "running" | CloseKind;
  readonly yieldL: number | null;
  readonly cost: BatchCost;
}

export interface LedgerApplication {
  readonly applicationId: number;
  readonly atMs: number;
  readonly storeLabel: string;
  readonly useId: string;
  readonly partsWater: number;
  readonly concentrateL: number;
  readonly mixL: number;
  readonly costMinor: number;
}

export interface LedgerPlot {
  readonly id: number;
  readonly name: string;
  readonly crop: string;
  /** Null where it lies nowhere on the plan. */
  readonly areaM2: number | null;
  readonly costMinor: number;
  readonly applications: readonly LedgerApplication[];
}

export type LedgerWhere = Pick<
  Spread,
  "batchesMinor" | "labourMinor" | "onPlotsMinor" | "lostMinor" | "onHandMinor" | "runningMinor"
>;
export interface LedgerLoss {
  readonly batchId: number;
  readonly name: string;
  readonly cause: string;
  readonly costMinor: number;
}
export interface LedgerView {
  readonly farm: FarmView;
  /** What an hour of work and a kilowatt-hour are counted at. */
  readonly labourMinorPerH: number;
  readonly powerMinorPerKWh: number;
  readonly nowMs: number;
  /** Where all is that went into batches and their applying. */
  readonly where: LedgerWhere;
  /** The dearest losses, each with its cause: "failed", or what was said as it was poured away. */
  readonly losses: readonly LedgerLoss[];
  readonly batches: readonly LedgerBatch[];
  /** How many batches there are in all; the list shows the newest. */
  readonly batchCount: number;
  readonly plots: readonly LedgerPlot[];
}

const MOST_BATCHES = 100_000;
/** Rows a page shows; older ones stay in the ledger and in its sums. */
const SHOWN_BATCHES = 60;
const SHOWN_APPLICATIONS = 12;
const SHOWN_LOSSES = 20;

/** Applications with all their plots, the oldest first, each with its hands' time rounded once. */
function usesOf(made: readonly PlotApplication[], farm: Farm): SpreadUse[] {
  const found = new Map<number, { atMs: number; use: SpreadUse & { plots: SpreadUse["plots"][number][] } }>();
  for (const { applicationId: id, batchId, at, labourMin, plotId, concentrateL, mixL } of made) {
    const labourMinor = Math.round((labourMin / 60) * farm.labourMinorPerH);
    const known = found.get(id) ?? { atMs: at.getTime(), use: { id, batchId, labourMinor, plots: [] } };
    found.set(id, known);
    known.use.plots.push({ plotId, concentrateL, mixL });
  }
  return [...found.values()]
    .toSorted((one, other) => one.atMs - other.atMs || one.use.id - other.use.id)
    .map(({ use }) => use);
}
const whereOf = ({
  batchesMinor,
  labourMinor,
  onPlotsMinor,
  lostMinor,
  onHandMinor,
  runningMinor,
}: Spread): LedgerWhere => ({ batchesMinor, labourMinor, onPlotsMinor, lostMinor, onHandMinor, runningMinor });
/** A batch as its cost is spread; a start that was undone gave back what it had drawn, and is none. */
const spreadable = ({ batch, cost }: { readonly batch: Batch; readonly cost: BatchCost }): SpreadBatch[] =>
  batch.close?.kind === "taken-back"
    ? []
    : [
        {
          id: batch.id,
          costMinor: cost.totalMinor,
          outcome: outcomeOf(batch),
          yieldL: batch.close?.yieldL ?? 0,
        },
      ];
const outcomeOf = (batch: Batch): SpreadBatch["outcome"] =>
  !batch.close ? "running" : batch.close.yieldL > 0 ? "strained" : "discarded";

function groupDraws(draws: readonly LotDraw[]): Map<number, LotDraw[]> {
  const groups = new Map<number, LotDraw[]>();
  for (const draw of draws) {
    const own = groups.get(draw.batchId);
    if (own) own.push(draw);
    else groups.set(draw.batchId, [draw]);
  }
  return groups;
}

/** Where the money went: batches by what went in, plots by what they got. */
export async function readLedger(ctx: Context, farm: Farm): Promise<LedgerView> {
  const db = ctx.pool;
  const now = ctx.now();
  const [batches, draws, made, plots, waste] = await Promise.all([
    listBatches(db, MOST_BATCHES),
    listAllDraws(db),
    listPlotApplications(db),
    listPlots(db, isoDay(now, farm), true),
    listStoreWaste(db),
  ]);
  const drawsOf = groupDraws(draws);
  const costed = batches.map((batch) => ({ batch, cost: costOfBatch(batch, drawsOf.get(batch.id) ?? [], farm, now) }));
  const spread = spreadCosts(costed.flatMap(spreadable), usesOf(made, farm), waste);
  const nameOf = new Map(batches.map((batch) => [batch.id, batch.recipe.shortName]));
  const byPlot = new Map<number, LedgerApplication[]>();
  for (const part of made) {
    const line = {
      applicationId: part.applicationId,
      atMs: part.at.getTime(),
      storeLabel: part.storeLabel,
      useId: part.useId,
      partsWater: part.partsWater,
      concentrateL: part.concentrateL,
      mixL: part.mixL,
      costMinor: spread.plots.get(part.applicationId)!.get(part.plotId)!,
    };
    const own = byPlot.get(part.plotId);
    if (own) own.push(line);
    else byPlot.set(part.plotId, [line]);
  }
  return {
    farm: farmView(farm),
    labourMinorPerH: farm.labourMinorPerH,
    powerMinorPerKWh: farm.powerMinorPerKWh,
    nowMs: now.getTime(),
    batchCount: costed.length,
    where: whereOf(spread),
    losses: spread.losses
      .map(({ batchId, cause, costMinor }) => ({ batchId, name: nameOf.get(batchId) ?? "", cause, costMinor }))
      .toSorted((one, other) => other.costMinor - one.costMinor || other.batchId - one.batchId)
      .slice(0, SHOWN_LOSSES),
    batches: costed.slice(0, SHOWN_BATCHES).map(({ batch, cost }) => ({
      id: batch.id,
      name: batch.recipe.shortName,
      vesselName: batch.vesselName,
      startedMs: batch.startedAt.getTime(),
      outcome: batch.close?.kind ?? "running",
      yieldL: batch.close?.kind === "strained" ? batch.close.yieldL : null,
      cost,
    })),
    plots: plots
      // What lies nowhere on the plan is told of once it cost something.
      .filter((plot) => isOnPlan(plot) || byPlot.has(plot.id))
      .map((plot) => {
        const own = byPlot.get(plot.id) ?? [];
        return {
          id: plot.id,
          name: plot.name,
          crop: plot.crop,
          areaM2: isOnPlan(plot) ? plot.areaM2 : null,
          costMinor: own.reduce((sum, line) => sum + line.costMinor, 0),
          applications: own.slice(0, SHOWN_APPLICATIONS),
        };
      })
      .toSorted((a, b) => b.costMinor - a.costMinor || a.id - b.id),
  };
}
