import "server-only";
import { mixProgress, type MixEntry, type MixProgress } from "@/core/mixing/progress";
import type { CautionId } from "@/core/book/cautions";
import { cautionsFor } from "@/core/safety/cautionsFor";
import type { IngredientId } from "@/core/book/ingredients";
import type { Family } from "@/core/book/types";
import { equipmentGaps, type EquipmentGap } from "@/core/equipment/needs";
import { occupiedLitres } from "@/core/recipe/room";
import { type Farm, listMeasures, type FarmMeasure } from "@/data/farm";
import { findMixing, listMixEntries } from "@/data/mixing";
import { listOpenPlans } from "@/data/shed";
import { listVesselStates } from "@/data/vessels";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { readEquipment } from "../equipment";
import { farmView, type FarmView } from "../farm";
import { readWaters, type WatersView } from "../water";
import { pickRecipe } from "../recipes";
import { meanAirByDay } from "../weather";
import { stepsOf } from "./mixing";
import type { MixingFill } from "@/contracts/fill";

export interface MixingView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly id: number;
  readonly vesselName: string;
  readonly recipeName: string;
  readonly family: Family;
  readonly startedMs: number;
  readonly startedBy: string;
  readonly progress: MixProgress;
  readonly measures: readonly FarmMeasure[];
  readonly gaps: readonly EquipmentGap[];
  /** The gravest first. */
  readonly cautions: readonly CautionId[];
  readonly statedC: number | null;
  readonly lines: readonly { readonly ingredientId: string; readonly part: "mix" | "cap" }[];
  readonly waters: WatersView;
  /** Where it may stand if its own vessel was taken meanwhile. */
  readonly freeVessels: readonly { readonly id: number; readonly name: string }[];
  readonly end: { readonly batchId: number | null } | null;
}

type Fill = Pick<MixingFill, "methodId" | "schoolId" | "versionNo" | "lines" | "substitutes" | "statedC">;

async function viewOf(
  ctx: Context,
  farm: Farm,
  fill: Fill,
  vesselId: number | null,
  entries: readonly MixEntry[],
): Promise<Omit<MixingView, "id" | "startedMs" | "startedBy" | "end">> {
  const db = ctx.pool;
  const [{ recipe }, measures, tools, vessels, waters] = await Promise.all([
    pickRecipe(db, fill),
    listMeasures(db),
    readEquipment(db, farm),
    listVesselStates(db),
    readWaters(ctx),
  ]);
  const vessel = vessels.find((one) => one.id === vesselId);
  const litres = occupiedLitres(
    recipe,
    fill.lines.map(({ ingredientId, part, amount }) => ({ ingredient: ingredientId as IngredientId, part, amount })),
  );
  const now = ctx.now();
  const meanC = await meanAirByDay(ctx.pool, farm, now, 1);
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    vesselName: vessel?.name ?? "a vessel",
    recipeName: recipe.name,
    family: recipe.family,
    progress: mixProgress(stepsOf(recipe, fill), entries, now.getTime()),
    measures,
    gaps: equipmentGaps(recipe, litres, tools, isoDay(now, farm), {
      airC: meanC[0] ?? null,
      hasOwnAir: (vessel?.airW ?? 0) > 0,
    }),
    cautions: cautionsFor(recipe, {
      filledL: litres,
      ingredients: fill.lines.map(({ ingredientId }) => ingredientId as IngredientId),
    }),
    statedC: fill.statedC ?? null,
    lines: fill.lines.map(({ ingredientId, part }) => ({ ingredientId, part })),
    waters,
    freeVessels: vessels
      .filter((one) => one.id !== vesselId && (one.batchId === null || (one.ended && one.cleaned)))
      .map(({ id, name }) => ({ id, name })),
  };
}

/** A mixing as it stands, the same on every device; null where there is none. */
export async function readMixing(ctx: Context, farm: Farm, id: number): Promise<MixingView | null> {
  const mixing = await findMixing<MixingFill>(ctx.pool, id);
  if (!mixing) return null;
  return {
    ...(await viewOf(ctx, farm, mixing.fill, mixing.vesselId, await listMixEntries(ctx.pool, id))),
    id,
    startedMs: mixing.startedAt.getTime(),
    startedBy: mixing.actorName,
    end: mixing.end ? { batchId: mixing.end.batchId } : null,
  };
}

/** The sheet of a fill that is only planned: nothing is ticked; null where there is no such plan. */
export async function readPlannedMixing(ctx: Context, farm: Farm, planId: number): Promise<MixingView | null> {
  const plan = (await listOpenPlans(ctx.pool)).find(({ id }) => id === planId);
  if (!plan) return null;
  const lines = plan.lines
    .filter(({ onDay }) => onDay === 0)
    .map(({ ingredientId, part, amount }) => ({ ingredientId, part, amount }));
  return {
    ...(await viewOf(ctx, farm, { ...plan, lines, substitutes: [...plan.choice.substitutes] }, plan.vesselId, [])),
    id: 0,
    startedMs: ctx.now().getTime(),
    startedBy: "",
    end: null,
  };
}
