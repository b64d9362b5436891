import "server-only";
import type { BroughtAmounts } from "@/core/apply/brought";
import { isOnPlan } from "@/core/apply/elsewhere";
import type { HourCase } from "@/core/apply/hourCautions";
import type { FitBand } from "@/core/apply/fitHours";
import type { Piece } from "@/core/land/edit";
import type { Origin } from "@/core/land/geojson";
import type { BatchContent } from "@/core/recipe/composition";
import { recipeFrom } from "@/core/recipe/document";
import { listLastPh } from "@/data/batch";
import {
  listBrought,
  listClearDays,
  listLastByMethod,
  listLatestByPlot,
  listPatchTests,
  type PatchTestRow,
  type PlotApplication,
  findOrigin,
  listHarvestRules,
  listMarks,
  type LandMark,
  type FarmRule,
  listPlots,
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
import { treatableOf } from "./treatable";
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
  readonly last: (Omit<PlotApplication, "at"> & { readonly atMs: number }) | null;
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
  marks: readonly LandMark[],
): Pick<PlotView, "treatableM2" | "nearWater" | "treatablePieces"> {
  const { areaM2, near, pieces } = treatableOf(plot.ring, marks);
  return { treatableM2: areaM2, nearWater: near, treatablePieces: near.length > 0 ? pieces : null };
}

const BANDS_AHEAD_H = 36;

/** The field as it stands: plots with what each got last, stores to put on them, tools to carry it. */
export async function readField(ctx: Context, farm: Farm): Promise<FieldView> {
  const db = ctx.pool;
  const now = ctx.now();
  const [air, plots, latest, stores, tools, waters, rules, clear, made, marks, origin, brought] = await Promise.all([
    airSince(db, now, now),
    listPlots(db, isoDay(now, farm), false, null, true),
    listLatestByPlot(db),
    listStoresOnHand(db),
    listTools(db),
    readWaters(ctx),
    listHarvestRules(db),
    listClearDays(db, isoDay(now, farm)),
    listLastByMethod(db, sinceWhen(now)),
    listMarks(db),
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
  const madeOf = new Map<number, (typeof made)[number][]>();
  for (const one of made) madeOf.set(one.plotId, [...(madeOf.get(one.plotId) ?? []), one]);
  const byPlot = new Map(latest.map((made) => [made.plotId, made]));
  const lastOf = (id: number): PlotView["last"] => {
    const made = byPlot.get(id);
    if (!made) return null;
    const { at, ...rest } = made;
    return { ...rest, atMs: at.getTime() };
  };
  const viewOf = (plot: Plot): PlotView => ({
    ...plot,
    ...toTreat(plot, isOnPlan(plot) ? marks : []),
    last: lastOf(plot.id),
    clearOn: clear.get(plot.id) ?? null,
    lastByMethod: Object.fromEntries(
      (madeOf.get(plot.id) ?? []).map(({ methodId, at }) => [methodId, daysSince(at, now)]),
    ),
    broughtG: brought.get(plot.id) ?? null,
  });
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    marks,
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
