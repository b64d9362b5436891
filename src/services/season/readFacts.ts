import "server-only";
import { METHODS } from "@/core/book";
import { addDays } from "@/core/calendar";
import { mondayOf, type FactItem, type FarmFacts, type SeasonTerms } from "@/core/plan/farm";
import { farmRecipe } from "@/core/recipe/pick";
import type { Farm } from "@/data/farm";
import { listPlacesByIngredient } from "@/data/gather";
import { findSeasonTerms } from "@/data/season";
import { listSupplyTerms } from "@/data/shed";
import { listStoresOnHand } from "@/data/stores";
import { listVesselPlaces } from "@/data/vessels";
import { isoDay } from "@/formats/times";
import type { BatchView } from "../batch";
import type { Context } from "../context";
import { readMaking, type MakingView } from "../fill";
import { readSeasonPlots } from "../field";
import { meanAirByDay } from "../weather";
import { readYard, type YardVessel } from "../yard";

/** Where nobody said: hours for brewing and spreading in a week, cans of twenty litres, half a year. */
export const USUAL_TERMS: SeasonTerms = {
  hoursAWeek: 10,
  canL: 20,
  cans: 20,
  weeks: 26,
  closedWeekdays: [],
  hands: [],
  forbidden: [],
};

/** A batch whose end nobody can tell (stuck, cold) is looked at again after so long, ms. */
const UNSURE_MS = 14 * 86_400_000;
const isReady = ({ state }: BatchView): boolean => state === "ready" || state === "peak" || state === "past";

/** What is not ready by the yard's own verdict is not planned for today. */
const TOMORROW_MS = 86_400_000;

/** When a running batch is ready: now where it is, else nine times in ten by then. */
function readyOf({ batch }: YardVessel, now: Date): Date {
  if (isReady(batch!)) return now;
  const { start } = batch!.window;
  const ms = start.p90 ?? start.p50;
  return ms === null ? new Date(now.getTime() + UNSURE_MS) : new Date(Math.max(ms, now.getTime() + TOMORROW_MS));
}
function factVessels(
  vessels: readonly YardVessel[],
  places: Awaited<ReturnType<typeof listVesselPlaces>>,
  today: string,
): FarmFacts["vessels"] {
  return vessels.map(({ id, volumeL, heldBefore, airW, status }) => ({
    id,
    volumeL,
    heldManure: heldBefore === "manure",
    hasAir: airW > 0,
    place: places.get(id) ?? { kind: "unsaid" as const },
    // Washed first.
    freeFrom: status === "dirty" ? addDays(today, 1) : null,
  }));
}

async function factShelf(ctx: Context, making: MakingView): Promise<FactItem[]> {
  const supplies = new Map((await listSupplyTerms(ctx.pool)).map((terms) => [terms.itemId, terms]));
  const known = new Map(making.shelf.map((item) => [item.ingredientId, item]));
  return [...new Set([...known.keys(), ...supplies.keys()])].map((ingredientId) => {
    const [item, terms] = [known.get(ingredientId), supplies.get(ingredientId)];
    return {
      ingredientId,
      unit: item?.unit ?? "kg",
      lots: item && item.onHand > 0 ? [{ id: 1, onHand: item.onHand, expiresOn: item.expiresOn }] : [],
      unitCost: (item?.unitCostMinor ?? 0) / 100,
      supply: terms
        ? {
            amount: terms.packAmount,
            cost: terms.packCostMinor === null ? null : terms.packCostMinor / 100,
            leadD: terms.leadD,
          }
        : null,
    };
  });
}

/** All that a season is made of, read of the farm. */
export async function readFacts(
  ctx: Context,
  farm: Farm,
): Promise<{ facts: FarmFacts; vessels: readonly YardVessel[] }> {
  const now = ctx.now();
  const today = isoDay(now, farm);
  const terms = (await findSeasonTerms(ctx.pool)) ?? USUAL_TERMS;
  const days = terms.weeks * 7;
  const monday = new Date(`${mondayOf(today)}T12:00:00Z`);
  const [yard, making, places, stores, plots, dailyC, gathered] = await Promise.all([
    readYard(ctx, farm),
    readMaking(ctx, farm.timeZone),
    listVesselPlaces(ctx.pool),
    listStoresOnHand(ctx.pool),
    readSeasonPlots(ctx.pool, farm, now, addDays(mondayOf(today), days - 1)),
    meanAirByDay(ctx.pool, farm, monday, days + 60),
    listPlacesByIngredient(ctx.pool),
  ]);
  const facts: FarmFacts = {
    name: farm.name,
    today,
    days,
    terms,
    labourPerH: farm.labourMinorPerH / 100,
    latitudeDeg: farm.latitudeDeg,
    dailyC,
    vessels: factVessels(yard.vessels, places, today),
    recipes: new Map(METHODS.map(({ id }) => [id, farmRecipe(making, id)])),
    running: yard.vessels.flatMap((vessel) =>
      vessel.batch
        ? [
            {
              batchId: vessel.batch.id,
              methodId: vessel.batch.methodId,
              vesselId: vessel.id,
              startedOn: isoDay(new Date(vessel.batch.startedMs), farm),
              readyOn: isoDay(readyOf(vessel, now), farm),
              filledL: vessel.batch.filledL,
            },
          ]
        : [],
    ),
    stores: stores.map(({ id, recipe, onHandL, shelfFrom, expiresAt }) => ({
      id,
      methodId: recipe.method,
      onHandL,
      fromOn: isoDay(shelfFrom, farm),
      expiresOn: isoDay(expiresAt, farm),
    })),
    gathered,
    shelf: await factShelf(ctx, making),
    plots,
  };
  return { facts, vessels: yard.vessels };
}
