import "server-only";
import type { BroughtAmounts } from "@/core/apply/brought";
import { groupBy } from "@/core/groupBy";
import { isOnPlan } from "@/core/apply/elsewhere";
import type { HourCase } from "@/core/apply/hourCautions";
import type { FitBand } from "@/core/apply/fitHours";
import type { Piece } from "@/core/land/edit";
import type { Treatable } from "@/core/land/marks";
import type { Origin } from "@/core/land/geojson";
import type { BatchContent } from "@/core/recipe/composition";
import { recipeFrom } from "@/core/recipe/document";
import { listLastPh } from "@/data/batch";
import {
  listBrought,
  listClearDays,
  listLastByMethod,
  type LatestOnPlot,
  listPatchTests,
  type PatchTestRow,
  findOrigin,
  listHarvestRules,
  listMarks,
  listPutAway,
  type PutAway,
  type LandMark,
  type FarmRule,
  listTools,
  type Plot,
  type Tool,
} from "@/data/field";
import type { Farm } from "@/data/farm";
import { listStoresOnHand } from "@/data/stores";
import { contentsOfBatches } from "../content";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readWaters, type WatersView } from "../water";
import { carriedOfBatches, type CarriedOf } from "../hazards";
import { broughtSince, daysSince, sinceWhen } from "./lastSame";
import { readPlots } from "./readPlots";
import { treatableBeside } from "./treatable";
import { storeViews, type StoreView } from "../stores";
import { isoDay } from "@/formats/times";
import { airAhead, airSince, fitBands, hourAt } from "../weather";

export interface PlotView extends Plot {
  /** The day from which it may be harvested again, where what it got carried something; null where nothing did. */
  readonly clearOn: string | null;
  /** What of it may be treated, with the distance kept from water, m²; and which waters bar the rest. */
  readonly treatableM2: number;
  readonly nearWater: readonly string[];
  /** The pieces of it that may be treated; null where it is all of it. */
  readonly treatablePieces: readonly Piece[] | null;
  /** Days since it last got of each method. */
  readonly lastByMethod: Readonly<Record<string, number>>;
  /** What the last twelve months brought to it, g; null where nothing did. */
  readonly broughtG: BroughtAmounts | null;
  /** What it got last, of whatever; null where it never got anything. */
  readonly last: { readonly storeLabel: string; readonly atMs: number } | null;
}

/** A store with what its liquid carries. */
export type FieldStore = StoreView &
  CarriedOf & {
    readonly methodId: string;
    readonly patchTests: readonly PatchTestView[];
    /** What is in a litre of it, and its pH as last read; null where nobody did. */
    readonly content: BatchContent;
    readonly ph: number | null;
  };

/** A patch test as screens show it. */
export type PatchTestView = Omit<PatchTestRow, "at"> & { readonly atMs: number };

export interface FieldView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly plots: readonly PlotView[];
  /** What is treated and lies nowhere on the plan. */
  readonly elsewhere: readonly PlotView[];
  readonly marks: readonly LandMark[];
  /** Beds, and what lies off the plan, that were put away and can be brought back. */
  readonly putAway: readonly PutAway[];
  /** Where the plan's corner lies on the globe; null while nobody has said. */
  readonly origin: Origin | null;
  readonly stores: readonly FieldStore[];
  /** The farm's own days before harvest. */
  readonly rules: readonly FarmRule[];
  readonly tools: readonly Tool[];
  /** Fit hours of the next day and a half. */
  readonly bands: readonly FitBand[];
  readonly waters: WatersView;
  /** The hours about now, and the sun of the day: what speaks against applying now. */
  readonly hour: Omit<HourCase, "atMs">;
}

function toTreat(
  plot: Plot,
  treatableOf: (ring: Plot["ring"]) => Treatable,
): Pick<PlotView, "treatableM2" | "nearWater" | "treatablePieces"> {
  const { areaM2, near, pieces } = treatableOf(plot.ring);
  return { treatableM2: areaM2, nearWater: near, treatablePieces: near.length > 0 ? pieces : null };
}

/** The last of all that a plot got. */
function lastOf(made: readonly LatestOnPlot[]): PlotView["last"] {
  const last = made.toSorted((a, b) => b.at.getTime() - a.at.getTime())[0];
  return last ? { storeLabel: last.storeLabel, atMs: last.at.getTime() } : null;
}

const BANDS_AHEAD_H = 36;

/** The field as it stands: plots with what each got last, stores to put on them, tools to carry it. */
export async function readField(ctx: Context, farm: Farm): Promise<FieldView> {
  const db = ctx.pool;
  const now = ctx.now();
  const [air, plots, stores, tools, waters, rules, clear, made, marks, putAway, origin, brought] = await Promise.all([
    airSince(db, now, now),
    readPlots(db, isoDay(now, farm)),
    listStoresOnHand(db),
    listTools(db),
    readWaters(ctx),
    listHarvestRules(db),
    listClearDays(db, isoDay(now, farm)),
    listLastByMethod(db, new Date(0)),
    listMarks(db),
    listPutAway(db),
    findOrigin(db),
    listBrought(db, broughtSince(isoDay(now, farm))),
  ]);
  const batchIds = [...new Set(stores.map(({ batchId }) => batchId))];
  const [carried, contents, phs, tests, hour] = await Promise.all([
    carriedOfBatches(db, batchIds),
    contentsOfBatches(db, batchIds),
    listLastPh(db, batchIds),
    listPatchTests(db, batchIds),
    hourAt(db, farm, now, now),
  ]);
  const madeOf = groupBy(made, ({ plotId }) => plotId);
  const since = sinceWhen(now);
  const [onPlan, elsewhere] = [treatableBeside(marks), treatableBeside([])];
  const viewOf = (plot: Plot): PlotView => ({
    ...plot,
    ...toTreat(plot, isOnPlan(plot) ? onPlan : elsewhere),
    last: lastOf(madeOf.get(plot.id) ?? []),
    clearOn: clear.get(plot.id) ?? null,
    lastByMethod: Object.fromEntries(
      (madeOf.get(plot.id) ?? [])
        .filter(({ at }) => at >= since)
        .map(({ methodId, at }) => [methodId, daysSince(at, now)]),
    ),
    broughtG: brought.get(plot.id) ?? null,
  });
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    marks,
    putAway,
    origin,
    plots: plots.filter(isOnPlan).map(viewOf),
    elsewhere: plots.filter((plot) => !isOnPlan(plot)).map(viewOf),
    stores: (await storeViews(db, farm, stores, now)).map((store) => ({
      ...store,
      ...carried.get(store.batchId)!,
      methodId: recipeFrom(store.recipe).id,
      content: contents.get(store.batchId)!,
      ph: phs.get(store.batchId) ?? null,
      patchTests: tests
        .filter(({ batchId }) => batchId === store.batchId)
        .map(({ at, ...test }) => ({ ...test, atMs: at.getTime() })),
    })),
    rules,
    tools,
    waters,
    hour,
    bands: fitBands(farm, airAhead(farm, air, now), now, BANDS_AHEAD_H),
  };
}
