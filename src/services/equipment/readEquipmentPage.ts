import "server-only";
import { equipmentGaps, type EquipmentGap } from "@/core/equipment/needs";
import { occupiedLitres } from "@/core/recipe/room";
import type { IngredientId } from "@/core/book/ingredients";
import type { Farm } from "@/data/farm";
import { listRunningBatches } from "@/data/batch";
import { listOpenPlans } from "@/data/shed";
import { listTools, type Tool } from "@/data/field";
import { listVesselStates, type VesselState } from "@/data/vessels";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { pickRecipe } from "../recipes";
import { meanAirByDay } from "../weather";
import { readEquipment, type EquipmentView } from "./equipment";

export interface EquipmentPageView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly equipment: readonly EquipmentView[];
  /** Cans, knapsacks and injectors, which the field knows as well. */
  readonly carriers: readonly Tool[];
  /** Vessels that wait to be washed. */
  readonly dirtyVessels: readonly string[];
  /** What each planned batch lacks. */
  readonly lacks: readonly {
    readonly planId: number;
    readonly name: string;
    readonly forDay: string;
    readonly gaps: readonly EquipmentGap[];
  }[];
  readonly running: readonly { readonly id: number; readonly name: string }[];
}

const DAYS_AHEAD = 30;

/** The farm's tools as they stand, and what planned batches lack. */
export async function readEquipmentPage(ctx: Context, farm: Farm): Promise<EquipmentPageView> {
  const db = ctx.pool;
  const now = ctx.now();
  const today = isoDay(now, farm);
  const [equipment, carriers, vessels, plans, running] = await Promise.all([
    readEquipment(db, farm),
    listTools(db),
    listVesselStates(db),
    listOpenPlans(db),
    listRunningBatches(db),
  ]);
  const airC = await meanAirByDay(ctx.pool, farm, now, DAYS_AHEAD);
  const vesselOf = (id: number | null): VesselState | null => vessels.find((vessel) => vessel.id === id) ?? null;
  const lacks = await Promise.all(
    plans.map(async (plan) => {
      const { recipe } = await pickRecipe(db, plan);
      const litres = occupiedLitres(
        recipe,
        plan.lines.map(({ ingredientId, amount }) => ({
          ingredient: ingredientId as IngredientId,
          amount,
          part: "mix",
        })),
      );
      const inDays = Math.round((Date.parse(plan.forDay) - Date.parse(today)) / 86_400_000);
      return {
        planId: plan.id,
        name: plan.name,
        forDay: plan.forDay,
        // By its day what is in use now may be free; only what is missing, small, dirty or out of calibration is told.
        gaps: equipmentGaps(
          recipe,
          litres,
          equipment.map((tool) => ({ ...tool, busy: tool.busy && inDays <= 0 })),
          today,
          { airC: airC[Math.max(0, inDays)] ?? null, hasOwnAir: (vesselOf(plan.vesselId)?.airW ?? 0) > 0 },
        ),
      };
    }),
  );
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    today,
    equipment,
    carriers,
    dirtyVessels: vessels.filter(({ ended, cleaned }) => ended && !cleaned).map(({ name }) => name),
    lacks: lacks.filter(({ gaps }) => gaps.length > 0),
    running: running.map(({ id, recipe, vesselName }) => ({ id, name: `${recipe.shortName} in ${vesselName}` })),
  };
}
