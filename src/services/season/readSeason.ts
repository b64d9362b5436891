import "server-only";
import { METHODS } from "@/core/book";
import { findIngredient } from "@/core/book/ingredients";
import { mayAs } from "@/core/people/roles";
import { addDays, daysBetween } from "@/core/calendar";
import {
  mondayOf,
  seasonOfFarm,
  type FactItem,
  type FarmFacts,
  type SeasonAssumed,
  type SeasonTerms,
} from "@/core/plan/farm";
import type { PlanBody, Season } from "@/core/plan/season";
import { farmRecipe } from "@/core/recipe/pick";
import type { Farm } from "@/data/farm";
import { findSeasonPlan, findSeasonTerms } from "@/data/season";
import { listSupplyTerms } from "@/data/shed";
import { listStoresOnHand } from "@/data/stores";
import { listVesselPlaces } from "@/data/vessels";
import { isoDay } from "@/formats/times";
import type { SeasonNames } from "@/words/said";
import type { BatchView } from "../batch";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readMaking, type MakingView } from "../fill";
import { readSeasonPlots } from "../field";
import { meanAirByDay } from "../weather";
import { readYard, type YardVessel } from "../yard";

/** Where nobody said: hours for brewing and spreading in a week, cans of twenty litres, half a year. */
export const USUAL_TERMS: SeasonTerms = { hoursAWeek: 10, canL: 20, cans: 20, weeks: 26 };

export interface SeasonView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly terms: SeasonTerms;
  /** The farm as it stands today; with the plan that stands as the one before. */
  readonly season: Season;
  readonly assumed: readonly SeasonAssumed[];
  readonly names: SeasonNames;
  /** The plan that stands, in days of this season; null where none was taken yet. */
  readonly plan: StandingPlan | null;
  readonly mayTake: boolean;
}
export interface StandingPlan extends PlanBody {
  readonly id: number;
  readonly byName: string;
  readonly takenMs: number;
}

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
  const [yard, making, places, stores, plots, dailyC] = await Promise.all([
    readYard(ctx, farm),
    readMaking(ctx, farm.timeZone),
    listVesselPlaces(ctx.pool),
    listStoresOnHand(ctx.pool),
    readSeasonPlots(ctx.pool, farm, now, addDays(mondayOf(today), days - 1)),
    meanAirByDay(ctx.pool, farm, monday, days + 60),
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
    shelf: await factShelf(ctx, making),
    plots,
  };
  return { facts, vessels: yard.vessels };
}

/** A kept plan in days of another season; what lies before its first day is left out. */
export function shifted(kept: { readonly firstDay: string; readonly body: PlanBody }, season: Season): PlanBody {
  const by = daysBetween(season.firstDay, kept.firstDay);
  const { body } = kept;
  return {
    batches: body.batches.map((batch) => ({
      ...batch,
      startDay: batch.startDay + by,
      readyDay: batch.readyDay + by,
      emptyDay: batch.emptyDay + by,
    })),
    applications: body.applications.map((one) => ({ ...one, day: one.day + by })),
    purchases: body.purchases.map((one) => ({ ...one, orderDay: one.orderDay + by })),
    forage: body.forage.map((one) => ({ ...one, day: one.day + by })),
    discards: body.discards,
  };
}
/** What is still ahead of a plan: batches that were to be begun, and applications, from today on. */
const ahead = ({ batches, applications, purchases, forage, discards }: PlanBody, { nowDay }: Season): PlanBody => ({
  batches: batches.filter(({ running, startDay }) => !running && startDay >= nowDay),
  applications: applications.filter(({ day }) => day >= nowDay),
  purchases: purchases.filter(({ orderDay }) => orderDay >= nowDay),
  forage: forage.filter(({ day }) => day >= nowDay),
  discards,
});

/** The season as it stands today, with the plan before in it. */
export async function readSeasonNow(ctx: Context, farm: Farm) {
  const [{ facts, vessels }, kept] = await Promise.all([readFacts(ctx, farm), findSeasonPlan(ctx.pool)]);
  const { season, assumed, basisPerL } = seasonOfFarm(facts);
  const whole = kept && shifted({ firstDay: kept.firstDay, body: kept.document }, season);
  const before = whole && {
    ...ahead(whole, season),
    byId: new Map(whole.batches.map((batch) => [batch.id, batch])),
  };
  return {
    facts,
    vessels,
    assumed,
    basisPerL,
    kept,
    before,
    season: before ? { ...season, previous: { batches: before.batches, applications: before.applications } } : season,
  };
}

/** The season, and the plan that stands. */
export async function readSeason(ctx: Context, farm: Farm): Promise<SeasonView> {
  const { facts, vessels, assumed, kept, before, season } = await readSeasonNow(ctx, farm);
  const ids = new Set(season.needs.map(({ id }) => id));
  const running = season.running.map(({ id, input, vessel, startDay, readyDay, fillL }) => {
    // The day that the plan would empty it on stands, unless it is over.
    const planned = before?.byId.get(id);
    const emptyDay = Math.max(readyDay, season.nowDay, planned?.emptyDay ?? 0);
    const discardL = planned?.discardL ?? 0;
    return { id, input, vessel, startDay, readyDay, emptyDay, fillL, discardL, running: true as const };
  });
  const body: PlanBody | null = before && {
    purchases: before.purchases,
    forage: before.forage,
    discards: before.discards,
    batches: [...running, ...before.batches],
    applications: before.applications.filter(({ need }) => ids.has(need)),
  };
  return {
    farm: farmView(farm),
    nowMs: ctx.now().getTime(),
    today: facts.today,
    terms: facts.terms,
    season,
    assumed,
    names: {
      // What was left out is named as well.
      inputs: Object.fromEntries(METHODS.map(({ id, shortName }) => [id, shortName])),
      vessels: Object.fromEntries(vessels.map(({ id, name }) => [String(id), name])),
      plots: Object.fromEntries(
        facts.plots.map(({ id, name, crop }) => [String(id), crop ? `${name}, ${crop}` : name]),
      ),
      ingredients: Object.fromEntries(season.ingredients.map(({ id }) => [id, findIngredient(id).name])),
    },
    plan: kept &&
      body && {
        ...body,
        id: kept.id,
        byName: kept.actorName,
        takenMs: kept.addedAt.getTime(),
      },
    mayTake: mayAs(ctx.actor.role, "grower"),
  };
}
