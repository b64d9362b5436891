import "server-only";
import { listApplicationsOfPlot, listMarks, listPlantings, listPlots, type PlantingRow, type Plot } from "@/data/field";
import { treatable } from "@/core/land/marks";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import type { PlotView } from "./readField";

/** One plot with its past: what grew and what it got. */
export interface PlotPage {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly plot: Plot;
  readonly treatableM2: number;
  readonly nearWater: readonly string[];
  /** All that grew, grows or is meant to, the latest first. */
  readonly plantings: readonly PlantingRow[];
  /** All that it got, the latest first. */
  readonly doses: readonly NonNullable<PlotView["last"]>[];
}

/** A plot as it stands; null where there is none, or it is put away. */
export async function readPlot(ctx: Context, farm: Farm, id: number): Promise<PlotPage | null> {
  const db = ctx.pool;
  const now = ctx.now();
  const today = isoDay(now, farm);
  const [plots, plantings, doses, marks] = await Promise.all([
    listPlots(db, today),
    listPlantings(db),
    listApplicationsOfPlot(db, id),
    listMarks(db),
  ]);
  const plot = plots.find((one) => one.id === id);
  if (!plot) return null;
  const { areaM2, near } = treatable(plot.ring, marks);
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    today,
    plot,
    treatableM2: areaM2,
    nearWater: near,
    plantings: plantings.filter(({ plotId }) => plotId === id).toReversed(),
    doses: doses.map(({ at, ...dose }) => ({ ...dose, atMs: at.getTime() })),
  };
}
