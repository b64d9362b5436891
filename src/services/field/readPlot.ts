import "server-only";
import { filledBy, NOTHING_BROUGHT, type Filled } from "@/core/apply/brought";
import { isOnPlan } from "@/core/apply/elsewhere";
import {
  listApplicationsOfPlot,
  listBrought,
  type PlotApplication,
  listLaidOn,
  type LaidOn,
  listLooks,
  listMarks,
  listPlantings,
  listPlots,
  listProgrammes,
  type PlantingRow,
  type PlotLook,
  type Plot,
} from "@/data/field";
import { findRecipe, METHODS } from "@/core/book";
import { addDays } from "@/core/calendar";
import { nextPlanting, plantingOn, stageOn, type GrowthStage } from "@/core/land/planting";
import { daysDue, type Due } from "@/core/programme/programme";
import { looksDue, type LookDue } from "@/core/apply/looks";
import { leadTime } from "@/core/choose/leadTime";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import { listReadingsOfPlot, type Reading } from "@/data/trials";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { meanAirByDay } from "../weather";
import { broughtSince } from "./lastSame";
import { treatableBeside } from "./treatable";

/** A look as screens show it. */
export type LookView = Omit<PlotLook, "at"> & { readonly atMs: number };

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
  /** What bare ground may be soaked with, and how many days it brews in the air that is coming. */
  readonly soakers: readonly { readonly methodId: string; readonly name: string; readonly brewD: number }[];
  /** How far what stands there is; bare where nothing does. */
  readonly growth: GrowthStage;
  readonly isPerennial: boolean;
  readonly lastByMethod: Readonly<Record<string, number>>;
  /** What the farm's programmes ask for on it in the weeks ahead. */
  readonly due: readonly Due[];
  /** How it looked, the latest first. */
  readonly looks: readonly LookView[];
  /** What was measured of it outside of trials, the latest first. */
  readonly readings: readonly Reading[];
  /** The look that it waits for; null where nothing waits. */
  readonly lookDue: LookDue | null;
  /** How full it is with what adds up over twelve months, the fullest first; nothing where it lies nowhere on the plan. */
  readonly filled: readonly Filled[];
  /** What was laid on it by hand, and water, the latest first. */
  readonly laid: readonly (LaidOn & { readonly jobName: string; readonly atMs: number; readonly actorName: string })[];
  /** All that it got, the latest first. */
  readonly doses: readonly (Omit<PlotApplication, "at"> & { readonly atMs: number })[];
}

/** The air of so many days tells how long a brew takes. */
const AIR_DAYS = 14;

/** Methods that growers soak bare ground with, quickest first; those that get nowhere in this air are left out. */
const soakersAt = (airC: number): PlotPage["soakers"] =>
  METHODS.flatMap(({ id, name }) => {
    const recipe = findRecipe(id);
    if (!recipe.uses.some(({ use }) => use === "drench-bare")) return [];
    const { likelyH } = leadTime(recipe, airC);
    return likelyH === null ? [] : [{ methodId: id, name, brewD: likelyH / 24 }];
  }).toSorted((a, b) => a.brewD - b.brewD);

/** So far ahead a plot's page tells what is due, d. */
const DUE_AHEAD_D = 28;
const DAY_MS = 86_400_000;

/** Days since the plot last got of each method; the doses come with the latest first. */
const lastOf = (doses: readonly { readonly methodId: string; readonly at: Date }[], now: Date) =>
  Object.fromEntries(
    doses.toReversed().map(({ methodId, at }) => [methodId, Math.floor((now.getTime() - at.getTime()) / DAY_MS)]),
  );

/** A plot as it stands; null where there is none, or it is put away. */
export async function readPlot(ctx: Context, farm: Farm, id: number): Promise<PlotPage | null> {
  const db = ctx.pool;
  const now = ctx.now();
  const today = isoDay(now, farm);
  const [plots, plantings, doses, marks, airC, programmes, looks, brought, laid, readings] = await Promise.all([
    listPlots(db, today, false, [id]),
    listPlantings(db, [id]),
    listApplicationsOfPlot(db, id),
    listMarks(db),
    meanAirByDay(db, farm, now, AIR_DAYS),
    listProgrammes(db),
    listLooks(db, id),
    listBrought(db, broughtSince(today), [id]),
    listLaidOn(db, id),
    listReadingsOfPlot(db, id),
  ]);
  const plot = plots.find((one) => one.id === id);
  if (!plot) return null;
  const { areaM2, near } = treatableBeside(isOnPlan(plot) ? marks : [])(plot.ring);
  const standing = plantingOn(plantings, today);
  const lastByMethod = lastOf(doses, now);
  return {
    looks: looks.map(({ at, ...look }) => ({ ...look, atMs: at.getTime() })),
    readings,
    lookDue:
      looksDue(
        doses.map(({ applicationId, at }) => ({ applicationId, atMs: at.getTime() })),
        looks.map(({ at }) => at.getTime()),
        now.getTime(),
      )[0] ?? null,
    growth: standing ? stageOn(standing, today) : "bare",
    isPerennial: standing?.perennial ?? false,
    lastByMethod,
    due: daysDue(
      { id, planting: standing ?? nextPlanting(plantings, today), lastByMethod },
      programmes,
      today,
      addDays(today, DUE_AHEAD_D),
    ),
    farm: farmView(farm),
    nowMs: now.getTime(),
    today,
    plot,
    treatableM2: areaM2,
    nearWater: near,
    filled: isOnPlan(plot) ? filledBy(brought.get(id) ?? NOTHING_BROUGHT, plot.areaM2) : [],
    soakers: soakersAt(airC.reduce((sum, celsius) => sum + celsius, 0) / airC.length),
    plantings: plantings.toReversed(),
    laid: laid.map(({ at, ...one }) => ({ ...one, atMs: at.getTime() })),
    doses: doses.map(({ at, ...dose }) => ({ ...dose, atMs: at.getTime() })),
  };
}
