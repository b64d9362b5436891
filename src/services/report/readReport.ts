import "server-only";
import { isOnPlan } from "@/core/apply/elsewhere";
import { addDays } from "@/core/calendar";
import { groupBy } from "@/core/groupBy";
import { plantingOn } from "@/core/land/planting";
import { insteadOf } from "@/core/money/ledger";
import {
  seasonReport,
  type InputLine,
  type ReportBatch,
  type ReportUse,
  type SeasonReport,
} from "@/core/report/seasonReport";
import { costDrivers, type CostDriver, type DrawnCost } from "@/core/report/drivers";
import type { Confounder, Verdict } from "@/core/trial";
import { listBatchesOfSpan, type Batch } from "@/data/batch";
import type { Farm } from "@/data/farm";
import { listApplicationsOfBatches, listPlantings, listPlots, type PlotApplication } from "@/data/field";
import {
  findBudget,
  listBoughtInstead,
  listLastPrices,
  sumBought,
  type BoughtInstead,
  type Budget,
} from "@/data/report";
import { listDrawsOfBatches } from "@/data/shed";
import { listStoreWaste } from "@/data/stores";
import { listTrialIds, listTrialRows } from "@/data/trials";
import { isoDay, noonOf } from "@/formats/times";
import { costOfBatch } from "../batch";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readRecordOf } from "../ferment";
import { lastVerdicts, stoppedOf } from "../trials";

export interface ReportSpan {
  readonly from: string;
  readonly to: string;
}
/** What would else have been bought for the work of one input, by the area that its label covers. */
export interface InsteadLine {
  readonly methodId: string;
  readonly inputName: string;
  readonly name: string;
  readonly wouldBuy: boolean;
  /** Null where some of what was treated has no area. */
  readonly answer: {
    readonly packs: number;
    readonly wholePacks: number;
    readonly costMinor: number;
    readonly savingMinor: number;
  } | null;
}
export interface OverrideLine {
  readonly on: string;
  readonly what: "application" | "batch";
  readonly label: string;
  readonly reason: string;
}
export interface ReportTrial {
  readonly id: number;
  readonly question: string;
  readonly begunOn: string;
  readonly isStopped: boolean;
  readonly verdicts: readonly {
    readonly input: string;
    readonly verdict: Verdict;
    readonly confounders: readonly Confounder[];
  }[];
}
export interface ReportView {
  readonly farm: FarmView;
  readonly today: string;
  readonly span: ReportSpan;
  readonly report: SeasonReport;
  /** As long a span before. */
  readonly before: Pick<SeasonReport, "money" | "hours">;
  readonly plotNames: Readonly<Record<string, string>>;
  readonly boughtMinor: number;
  /** What makes each input dear, and what would stand in for it. */
  readonly drivers: readonly CostDriver[];
  readonly instead: readonly InsteadLine[];
  readonly kept: readonly BoughtInstead[];
  readonly budget: Budget | null;
  readonly forecasts: {
    readonly hits: number;
    readonly judged: number;
    readonly offD: number | null;
    readonly ruleOffD: number | null;
  };
  readonly overrides: readonly OverrideLine[];
  readonly trials: readonly ReportTrial[];
}

const YEAR_D = 365;

/** The span that is asked for; twelve months up to today where none is. */
export function spanOf(
  asked: { readonly from?: string | undefined; readonly to?: string | undefined },
  today: string,
): ReportSpan {
  const to = asked.to ?? today;
  const from = asked.from ?? addDays(to, 1 - YEAR_D);
  return from <= to ? { from, to } : { from: to, to: from };
}

const outcomeOf = (batch: Batch): ReportBatch["outcome"] =>
  !batch.close ? "running" : batch.close.yieldL > 0 ? "strained" : "discarded";

/** Moments that hold all of a span, whatever the clock of the farm: what lies outside by its day is left out later. */
const momentsOf = ({ from, to }: ReportSpan, farm: Farm): readonly [Date, Date] => [
  noonOf(addDays(from, -1), farm),
  noonOf(addDays(to, 1), farm),
];

function usesOf(
  made: readonly PlotApplication[],
  farm: Farm,
  cropOn: (plotId: number, day: string) => string,
  areaOf: (plotId: number) => number | null,
): ReportUse[] {
  return [...groupBy(made, ({ applicationId }) => applicationId)]
    .map(([id, parts]) => {
      const { at, batchId, labourMin } = parts[0]!;
      const on = isoDay(at, farm);
      return {
        at,
        use: {
          ...{ id, batchId, on, labourMin, labourMinor: Math.round((labourMin / 60) * farm.labourMinorPerH) },
          plots: parts.map(({ plotId, concentrateL, mixL }) => ({
            ...{ plotId, concentrateL, mixL, crop: cropOn(plotId, on), areaM2: areaOf(plotId) },
          })),
        },
      };
    })
    .toSorted((one, other) => one.at.getTime() - other.at.getTime() || one.use.id - other.use.id)
    .map(({ use }) => use);
}

async function readSpan(ctx: Context, farm: Farm, span: ReportSpan) {
  const db = ctx.pool;
  const batches = await listBatchesOfSpan(db, ...momentsOf(span, farm));
  const ids = batches.map(({ id }) => id);
  const [draws, made, waste] = await Promise.all([
    listDrawsOfBatches(db, ids),
    listApplicationsOfBatches(db, ids),
    listStoreWaste(db, ids),
  ]);
  const plotIds = [...new Set(made.map(({ plotId }) => plotId))];
  const [plantings, plots] = await Promise.all([
    plotIds.length === 0 ? [] : listPlantings(db, plotIds),
    listPlots(db, isoDay(ctx.now(), farm), true, plotIds),
  ]);
  const plantingsOf = groupBy(plantings, ({ plotId }) => plotId);
  const plotOf = new Map(plots.map((plot) => [plot.id, plot]));
  const drawsOf = groupBy(draws, ({ batchId }) => batchId);
  const areaOf = (plotId: number): number | null => {
    const plot = plotOf.get(plotId);
    return plot && isOnPlan(plot) ? plot.areaM2 : null;
  };
  const cropOn = (plotId: number, day: string): string => plantingOn(plantingsOf.get(plotId) ?? [], day)?.crop ?? "";
  const report = seasonReport({
    ...span,
    batches: batches.map((batch): ReportBatch => {
      const cost = costOfBatch(batch, drawsOf.get(batch.id) ?? [], farm, ctx.now());
      const of = (kind: string): number =>
        cost.breakdown.filter((line) => line.kind === kind).reduce((total, { costMinor }) => total + costMinor, 0);
      return {
        ...{ id: batch.id, costMinor: cost.totalMinor, outcome: outcomeOf(batch), yieldL: batch.close?.yieldL ?? 0 },
        ...{ methodId: batch.methodId, name: batch.recipe.shortName, startedOn: isoDay(batch.startedAt, farm) },
        endedOn: batch.close ? isoDay(batch.close.at, farm) : null,
        ...{ ingredientsMinor: of("ingredient"), labourMinor: of("labour"), powerMinor: of("power") },
        labourMin: batch.labourMin + (batch.close?.labourMin ?? 0),
      };
    }),
    uses: usesOf(made, farm, cropOn, areaOf),
    waste: waste.map(({ at, ...one }) => ({ ...one, on: isoDay(at, farm) })),
  });
  const methodOf = new Map(
    batches.map(({ id, methodId, startedAt }) => [id, { methodId, on: isoDay(startedAt, farm) }]),
  );
  const drawn = draws.flatMap(({ batchId, ingredientId, amount, unitCostMinor }): DrawnCost[] => {
    const { methodId, on } = methodOf.get(batchId)!;
    if (on < span.from || on > span.to) return [];
    return [{ methodId, ingredientId, amount, costMinor: Math.round(amount * unitCostMinor) }];
  });
  return { report, batches, made, plots, drawn };
}

/** What would else have been bought: each application of the input counted by its area, honestly also where the shop's is cheaper. */
function insteadLine(kept: BoughtInstead, input: InputLine | undefined): InsteadLine {
  const base = { methodId: kept.methodId, inputName: input?.name ?? "", name: kept.name, wouldBuy: kept.wouldBuy };
  if (!input || input.treatedM2 === null || input.treatedM2 === 0) return { ...base, answer: null };
  const { instead } = insteadOf(
    {
      ...{ currency: { code: "", minor: 2 }, rates: {}, lots: [], batches: [] },
      uses: [{ id: "all", on: "", batch: "", amount: { value: 0, unit: "L" }, plots: [{ id: "all" }] }],
      plots: [{ id: "all", area: { value: input.treatedM2, unit: "m2" } }],
      instead: { name: kept.name, price: kept.priceMinor / 100, covers: { value: kept.coversM2, unit: "m2" } },
    },
    input.onPlotsMinor,
  );
  const [area] = instead;
  return {
    ...base,
    answer: area
      ? {
          ...{ packs: area.packs, wholePacks: area.wholePacks },
          ...{ costMinor: Math.round(area.cost), savingMinor: Math.round(area.saving) },
        }
      : null,
  };
}

function overridesOf(
  batches: readonly Batch[],
  made: readonly PlotApplication[],
  farm: Farm,
  { from, to }: ReportSpan,
): OverrideLine[] {
  const applied = [...groupBy(made, ({ applicationId }) => applicationId).values()].flatMap(([one]): OverrideLine[] =>
    one!.overrideReason === null
      ? []
      : [{ on: isoDay(one!.at, farm), what: "application", label: one!.storeLabel, reason: one!.overrideReason }],
  );
  const ended = batches.flatMap(({ close, recipe }): OverrideLine[] =>
    close?.overrideReason
      ? [{ on: isoDay(close.at, farm), what: "batch", label: recipe.shortName, reason: close.overrideReason }]
      : [],
  );
  return [...applied, ...ended]
    .filter(({ on }) => on >= from && on <= to)
    .toSorted((one, other) => (one.on < other.on ? -1 : 1));
}

async function trialsOf(ctx: Context, farm: Farm, { from, to }: ReportSpan): Promise<ReportTrial[]> {
  const rows = await listTrialRows(ctx.pool, await listTrialIds(ctx.pool));
  return rows.flatMap((trial): ReportTrial[] => {
    const begunOn = isoDay(trial.addedAt, farm);
    const lastOn = trial.entries.at(-1)?.on ?? begunOn;
    if (begunOn > to || lastOn < from) return [];
    return [
      {
        ...{ id: trial.id, question: trial.terms.at(-1)!.document.question, begunOn },
        ...{ isStopped: stoppedOf(trial) !== null, verdicts: lastVerdicts(trial) },
      },
    ];
  });
}

/** A season told, beside the one before: what was made, used, lost and learned. */
export async function readReport(
  ctx: Context,
  farm: Farm,
  asked: { readonly from?: string | undefined; readonly to?: string | undefined },
): Promise<ReportView> {
  const db = ctx.pool;
  const today = isoDay(ctx.now(), farm);
  const span = spanOf(asked, today);
  const lengthD = Math.max(1, Math.round((Date.parse(span.to) - Date.parse(span.from)) / 86_400_000) + 1);
  const earlier = { from: addDays(span.from, -lengthD), to: addDays(span.from, -1) };
  const [own, before, boughtMinor, kept, budget, trials, prices] = await Promise.all([
    readSpan(ctx, farm, span),
    readSpan(ctx, farm, earlier),
    sumBought(db, span.from, span.to),
    listBoughtInstead(db),
    findBudget(db, Number(span.to.slice(0, 4))),
    trialsOf(ctx, farm, span),
    listLastPrices(db),
  ]);
  const { report, batches, made, plots, drawn } = own;
  const begun = batches.filter(({ startedAt }) => isoDay(startedAt, farm) >= span.from);
  return {
    ...{ farm: farmView(farm), today, span, report, boughtMinor, kept, budget, trials },
    drivers: costDrivers(drawn, prices),
    before: { money: before.report.money, hours: before.report.hours },
    plotNames: Object.fromEntries(plots.map(({ id, name }) => [String(id), name])),
    instead: kept.map((one) =>
      insteadLine(
        one,
        report.inputs.find(({ methodId }) => methodId === one.methodId),
      ),
    ),
    forecasts: await readRecordOf(db, begun),
    overrides: overridesOf(batches, made, farm, span),
  };
}
