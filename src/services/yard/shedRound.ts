import "server-only";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import type { TaskWord } from "@/core/tend/taskWords";
import { addDays } from "@/core/calendar";
import { BEAN_TEST_D } from "@/core/safety/provenance";
import { findIngredient } from "@/core/book/ingredients";
import { listLotEvents, listOpenPlans, type Plan } from "@/data/shed";
import { listOpenMixings } from "@/data/mixing";
import type { Farm } from "@/data/farm";
import { listStoresOnHand } from "@/data/stores";
import { sayStock, sayVolume } from "@/formats/amounts";
import { isoDay, sayDuration, sayMoment } from "@/formats/times";
import { sunDays } from "@/sim/sun";
import type { Context } from "../context";
import type { MixingFill } from "@/contracts/fill";
import type { RoundDraft } from "./roundTask";
import { readShelfLots } from "../shed";
import { storeViews } from "../stores";
import { storeUses } from "../field";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const SHED_ORDER = 1000;
/** In its last day a store is for now. */
const LAST_DAY_H = 24;

export interface OpenMixing {
  readonly id: number;
  readonly vesselId: number;
  readonly name: string;
  readonly by: string;
}

export const readOpenMixings = async (ctx: Context): Promise<OpenMixing[]> =>
  (await listOpenMixings<MixingFill>(ctx.pool)).map(({ id, vesselId, fill, actorName }) => ({
    id,
    vesselId,
    name: fill.name,
    by: actorName,
  }));

/** The next sunrise within a day; null where there is none. */
function nextRise({ latitudeDeg, longitudeDeg }: Farm, nowMs: number): number | null {
  const rises = sunDays(latitudeDeg, longitudeDeg, new Date(nowMs), new Date(nowMs + 24 * HOUR_MS)).map(({ rise }) =>
    rise.getTime(),
  );
  return rises.filter((rise) => rise > nowMs).toSorted((a, b) => a - b)[0] ?? null;
}

/** Plants to be picked at the next sunrise, for what is planned up to the day after. */
function picks(
  plans: readonly Plan[],
  today: string,
  rise: number | null,
  units: Farm["units"],
): { id: number; name: string; what: string }[] {
  if (rise === null) return [];
  const tomorrow = addDays(today, 1);
  return plans
    .filter(({ forDay }) => forDay <= tomorrow)
    .flatMap(({ id, name, lines }) => {
      const plants = lines.filter(({ ingredientId }) => isPickedPlant(ingredientId));
      return plants.length === 0
        ? []
        : [
            {
              id,
              name,
              what: plants
                .map(
                  ({ ingredientId, amount }) =>
                    `${sayStock(amount, findIngredient(ingredientId).stockUnit, units)} of ${findIngredient(ingredientId).name.toLowerCase()}`,
                )
                .join(", "),
            },
          ];
    });
}

/** What the shed has for today's round: a fill that was left half way, plans for today, bean tests to be read, stores about to be over. */
export async function shedTasks(ctx: Context, farm: Farm, mixings: readonly OpenMixing[]): Promise<RoundDraft[]> {
  const clock = farm;
  const db = ctx.pool;
  const now = ctx.now().getTime();
  const today = isoDay(ctx.now(), clock);
  const rise = nextRise(farm, now);
  const [plans, stores, sown] = await Promise.all([listOpenPlans(db), listStoresOnHand(db), unreadBeans(ctx, today)]);
  const views = await storeViews(db, farm, stores, ctx.now());
  const uses = await storeUses(db, farm, views, ctx.now());
  const takersOf = (id: number) => uses.get(id)?.takers ?? [];
  const task = (
    key: string,
    does: TaskWord,
    on: string,
    title: string,
    why: string,
    href: string,
    change: Partial<RoundDraft> = {},
  ): RoundDraft => ({
    key,
    does,
    on,
    title,
    why,
    dueMs: now,
    urgency: "now",
    touch: { type: "go", href },
    vesselOrder: SHED_ORDER,
    ...change,
  });
  return [
    ...mixings.map(({ id, name, by }) =>
      task(`mix-${id}`, "go-on-mixing", name, `Go on mixing ${name.toLowerCase()}`, `begun by ${by}`, `/mix/${id}`, {
        vesselOrder: -1,
      }),
    ),
    ...plans
      .filter(({ forDay, vesselId }) => forDay <= today && !mixings.some((mixing) => mixing.vesselId === vesselId))
      .map(({ id, name, forDay, vesselId }) =>
        task(
          `plan-${id}`,
          "fill",
          name,
          `Fill: ${name}`,
          forDay < today ? "It was planned for an earlier day" : "Planned for today",
          vesselId === null ? "/shed/shopping" : `/?fill=${vesselId}&plan=${id}`,
        ),
      ),
    ...picks(plans, today, rise, farm.units).map(({ id, name, what }) =>
      task(
        `pick-${id}`,
        "pick",
        what,
        `Pick ${what} before the sun is up`,
        `for ${name}; growing tips, with the dew`,
        "/shed/gathering",
        {
          dueMs: rise!,
          urgency: "later",
        },
      ),
    ),
    ...sown.map(({ lotId, name, itemId }) =>
      task(
        `beans-${lotId}`,
        "read-beans",
        name,
        `Read the bean test of ${name.toLowerCase()}`,
        "Two weeks are over",
        `/shed?item=${itemId}`,
      ),
    ),
    ...views.flatMap((view) => {
      const { alertH, takers } = uses.get(view.id)!;
      if (alertH === null || view.onHandL <= 0) return [];
      const leftH = (view.expiresMs - now) / HOUR_MS;
      return [
        task(
          `store-${view.id}-${alertH}`,
          "use-now",
          view.label,
          `${view.label}: use it, ${sayDuration(leftH)} left`,
          `${sayVolume(view.onHandL, farm.units)}, until ${sayMoment(new Date(view.expiresMs), ctx.now(), clock)}. ${takers.length > 0 ? `Could take it: ${takers.join(", ")}` : "No bed could take it as it stands"}`,
          `/field?store=${view.id}`,
          { dueMs: view.expiresMs, urgency: leftH <= LAST_DAY_H ? "now" : "later" },
        ),
      ];
    }),
    ...views
      .filter(({ loosenMs, onHandL }) => onHandL > 0 && loosenMs !== null && loosenMs <= now + DAY_MS)
      .map(({ id, label, loosenMs }) =>
        task(
          `loosen-${id}`,
          "let-gas-out",
          label,
          `${label}: let its gas out, slowly, face away`,
          "It still works: a lid or lock that sticks may burst it",
          `/shed?store=${id}`,
          loosenMs! > now ? { dueMs: loosenMs!, urgency: "later" } : {},
        ),
      ),
    ...views
      .filter(({ recheck, smelt, expiresMs }) => recheck !== null && smelt !== "off" && expiresMs > now)
      .map(({ id, label, recheck }) =>
        task(
          `smell-${id}`,
          "smell",
          label,
          `${label}: open it and smell it before it is used`,
          recheck!.because === "hot-spell"
            ? "It stood through a hot spell"
            : "It has stood long since it was last smelt",
          `/shed?store=${id}`,
        ),
      ),
    ...views
      .filter(({ smelt }) => smelt === "off")
      .map(({ id, label }) =>
        task(
          `off-${id}`,
          "to-heap",
          label,
          `${label}: found off; bring it to the heap`,
          "Not on what grows",
          `/shed?store=${id}`,
        ),
      ),
    ...stores
      .filter(({ expiresAt }) => expiresAt.getTime() <= now)
      .map((store) =>
        task(
          `over-${store.id}`,
          "to-heap",
          store.label,
          `${store.label}: over, to the heap or bare ground`,
          `${sayVolume(store.onHandL, farm.units)}${takersOf(store.id).length > 0 ? `; bare: ${takersOf(store.id).join(", ")}` : ""}`,
          "/shed",
        ),
      ),
  ];
}

/** Lots whose beans were sown two weeks ago and not looked at since. */
async function unreadBeans(ctx: Context, today: string): Promise<{ lotId: number; name: string; itemId: string }[]> {
  const events = await listLotEvents(ctx.pool);
  if (!events.some(({ kind }) => kind === "beans-sown")) return [];
  const { lots } = await readShelfLots(ctx.pool, today);
  return lots
    .filter(
      ({ state }) =>
        state.beans.sownOn !== null && state.beans.result === null && addDays(state.beans.sownOn, BEAN_TEST_D) <= today,
    )
    .map(({ id, ingredientId, ownId }) => ({
      lotId: id,
      name: findIngredient(ingredientId).name,
      itemId: ownId === null ? ingredientId : `own-${ownId}`,
    }));
}
