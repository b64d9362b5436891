import "server-only";
import type { FitBand } from "@/core/apply/fitHours";
import { listLatestByPlot, type PlotApplication } from "@/data/applications";
import type { Farm } from "@/data/farm";
import { listPlots, listTools, type Plot, type Tool } from "@/data/plots";
import { listStoresOnHand } from "@/data/stores";
import type { Context } from "./context";
import { farmView, type FarmView } from "./farmView";
import { readWaters, type WatersView } from "./readWaters";
import { storeViews, type StoreView } from "./shed/storeStates";
import { airAhead, airSince, fitBands } from "./weather";

export interface PlotView extends Plot {
  readonly last: (Omit<PlotApplication, "at"> & { readonly atMs: number }) | null;
}

export interface FieldView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly plots: readonly PlotView[];
  readonly stores: readonly StoreView[];
  readonly tools: readonly Tool[];
  /** Fit hours of the next day and a half. */
  readonly bands: readonly FitBand[];
  readonly waters: WatersView;
}

const BANDS_AHEAD_H = 36;

/** The field as it stands: plots with what each got last, stores to put on them, tools to carry it. */
export async function readField(ctx: Context, farm: Farm): Promise<FieldView> {
  const db = ctx.pool;
  const now = ctx.now();
  const [air, plots, latest, stores, tools, waters] = await Promise.all([
    airSince(db, now, now),
    listPlots(db),
    listLatestByPlot(db),
    listStoresOnHand(db),
    listTools(db),
    readWaters(ctx),
  ]);
  const byPlot = new Map(latest.map((made) => [made.plotId, made]));
  const lastOf = (id: number): PlotView["last"] => {
    const made = byPlot.get(id);
    if (!made) return null;
    const { at, ...rest } = made;
    return { ...rest, atMs: at.getTime() };
  };
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    plots: plots.map((plot) => ({ ...plot, last: lastOf(plot.id) })),
    stores: await storeViews(db, farm, stores, now),
    tools,
    waters,
    bands: fitBands(farm, airAhead(farm, air, now), now, BANDS_AHEAD_H),
  };
}
