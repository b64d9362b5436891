import "server-only";
import { METHODS } from "@/core/book";
import { findIngredient } from "@/core/book/ingredients";
import { mayAs } from "@/core/people/roles";
import { daysBetween } from "@/core/calendar";
import {
  carriedOver,
  seasonOfFarm,
  sinceThen,
  type SeasonAssumed,
  type SeasonTerms,
  type SinceThen,
} from "@/core/plan/farm";
import type { PlanBody, Season } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import { listActors, type Farm } from "@/data/farm";
import { findFeedSince, findSeasonPlan, findSeasonProposal } from "@/data/season";
import type { SeasonNames } from "@/words/said";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readFacts } from "./readFacts";

export interface SeasonView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly terms: SeasonTerms;
  /** Who may be given hours. */
  readonly people: readonly { readonly id: number; readonly name: string }[];
  /** The farm as it stands today; with the plan that stands as the one before. */
  readonly season: Season;
  readonly assumed: readonly SeasonAssumed[];
  readonly names: SeasonNames;
  /** The plan that stands, in days of this season; null where none was taken yet. */
  readonly plan: StandingPlan | null;
  /** What has changed since it was taken. */
  readonly since: readonly SinceThen[];
  /** A plan made anew by the farm's own machine since then, while it holds; null where there is none. */
  readonly proposal: (PlanBody & { readonly madeMs: number }) | null;
  readonly mayTake: boolean;
  /** Since when whoever looks has an address for a calendar program, ms; null for none. */
  readonly feedSinceMs: number | null;
}
export interface StandingPlan extends PlanBody {
  readonly id: number;
  readonly byName: string;
  readonly takenMs: number;
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
  const left = whole && ahead(whole, season);
  const before = left && { ...left, applications: carriedOver(season, left.applications) };
  return {
    facts,
    vessels,
    assumed,
    basisPerL,
    kept,
    whole,
    before,
    season: before ? { ...season, previous: { batches: before.batches, applications: before.applications } } : season,
  };
}
type SeasonNow = Awaited<ReturnType<typeof readSeasonNow>>;

/** What is still ahead of a plan, beside what runs: each to be emptied on the day that the plan meant, unless that is over. */
function besideRunning(season: Season, whole: PlanBody, left: PlanBody): PlanBody {
  const planned = new Map(whole.batches.map((batch) => [batch.id, batch]));
  const running = season.running.map(({ id, input, vessel, startDay, readyDay, fillL }) => {
    const of = planned.get(id);
    const emptyDay = Math.max(readyDay, season.nowDay, of?.emptyDay ?? 0);
    return {
      ...{ id, input, vessel, startDay, readyDay, emptyDay, fillL },
      discardL: of?.discardL ?? 0,
      running: true as const,
    };
  });
  return { ...left, batches: [...running, ...left.batches] };
}
/** The plan that stands, as far as it is still ahead; null where none was taken. */
export const standingPlan = ({ season, whole, before }: SeasonNow): PlanBody | null =>
  whole && before && besideRunning(season, whole, before);

/** The last proposal, where it holds as the farm stands. */
async function proposalOf(ctx: Context, season: Season): Promise<SeasonView["proposal"]> {
  const proposed = await findSeasonProposal(ctx.pool);
  if (!proposed) return null;
  const whole = shifted({ firstDay: proposed.firstDay, body: proposed.document }, season);
  const left = ahead(whole, season);
  const body = besideRunning(season, whole, { ...left, applications: carriedOver(season, left.applications) });
  const holds = verifyPlan({ ...season, previous: null }, body).feasible;
  return holds ? { ...body, madeMs: proposed.madeAt.getTime() } : null;
}

/** The season, and the plan that stands. */
export async function readSeason(ctx: Context, farm: Farm): Promise<SeasonView> {
  const [now, people] = await Promise.all([readSeasonNow(ctx, farm), listActors(ctx.pool)]);
  const { facts, vessels, assumed, kept, whole, season } = now;
  const body = standingPlan(now);
  return {
    farm: farmView(farm),
    nowMs: ctx.now().getTime(),
    today: facts.today,
    terms: facts.terms,
    people: people.map(({ id, name }) => ({ id, name })),
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
      places: Object.fromEntries(
        season.ingredients.map(({ id }) => [
          id,
          facts.gathered.filter(({ ingredientId }) => ingredientId === id).map(({ place }) => place),
        ]),
      ),
    },
    plan: kept && body && { ...body, id: kept.id, byName: kept.actorName, takenMs: kept.addedAt.getTime() },
    since: kept && whole ? sinceThen(season, whole, kept.document.unmet ?? []) : [],
    proposal: body ? await proposalOf(ctx, season) : null,
    mayTake: mayAs(ctx.actor.role, "grower"),
    feedSinceMs: (await findFeedSince(ctx.pool, ctx.actor.id))?.getTime() ?? null,
  };
}
