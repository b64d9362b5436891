import "server-only";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { WASHED_BETWEEN } from "@/core/equipment/needs";
import { listUnwashed } from "@/data/equipment";
import { addDays } from "@/core/calendar";
import { BEAN_TEST_D } from "@/core/safety/provenance";
import { findIngredient } from "@/core/book/ingredients";
import { listLotEvents, type Plan } from "@/data/shed";
import { listOpenMixings } from "@/data/mixing";
import type { Farm } from "@/data/farm";
import { listStoresOnHand } from "@/data/stores";
import { sayStock } from "@/formats/amounts";
import { isoDay, sayDay } from "@/formats/times";
import { sunDays } from "@/sim/sun";
import type { Context } from "../context";
import type { MixingFill } from "@/contracts/fill";
import type { RoundDraft } from "./roundTask";
import { taskAt, type MakeTask } from "./shedTask";
import { storeTasks } from "./storeRound";
import { readShelfLots } from "../shed";
import { storeViews } from "../stores";
import { storeUses } from "../field";
import { inText } from "@/formats/grammar";

const HOUR_MS = 3_600_000;

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
                    `${sayStock(amount, findIngredient(ingredientId).stockUnit, units)} of ${inText(findIngredient(ingredientId).name)}`,
                )
                .join(", "),
            },
          ];
    });
}

const mixingTasks = (mixings: readonly OpenMixing[], task: MakeTask): RoundDraft[] =>
  mixings.map(({ id, name, by }) =>
    task(
      {
        key: `mix-${id}`,
        does: "go-on-mixing",
        on: name,
        title: `Continue filling ${inText(name)}`,
        why: `begun by ${by}`,
        href: `/mix/${id}`,
      },
      { vesselOrder: -1 },
    ),
  );

const planTasks = (
  plans: readonly Plan[],
  mixings: readonly OpenMixing[],
  today: string,
  task: MakeTask,
): RoundDraft[] =>
  plans
    .filter(({ forDay, vesselId }) => forDay <= today && !mixings.some((mixing) => mixing.vesselId === vesselId))
    .map(({ id, name, forDay, vesselId }) =>
      task({
        key: `plan-${id}`,
        does: "fill",
        on: name,
        title: `Fill: ${name}`,
        why: forDay < today ? "It was planned for an earlier day" : "Planned for today",
        href: vesselId === null ? "/shed/shopping" : `/?fill=${vesselId}&plan=${id}`,
      }),
    );

const pickTasks = (
  plans: readonly Plan[],
  today: string,
  rise: number | null,
  units: Farm["units"],
  task: MakeTask,
): RoundDraft[] =>
  picks(plans, today, rise, units).map(({ id, name, what }) =>
    task(
      {
        key: `pick-${id}`,
        does: "pick",
        on: what,
        title: `Pick ${what} before sunrise`,
        why: `for ${name}; growing tips, with the dew`,
        href: "/shed/gathering",
      },
      { dueMs: rise!, urgency: "later" },
    ),
  );

async function beanTasks(ctx: Context, today: string, task: MakeTask): Promise<RoundDraft[]> {
  const sown = await unreadBeans(ctx, today);
  return sown.map(({ lotId, name, itemId }) =>
    task({
      key: `beans-${lotId}`,
      does: "read-beans",
      on: name,
      title: `Read the bean test of ${inText(name)}`,
      why: "Two weeks are over",
      href: `/shed?item=${itemId}`,
    }),
  );
}

const WASH_NAMED = 3;

/** Bags, stones, tubing that were used and not washed since, as one: by the day on which something is filled again. */
async function washToolsTask(
  ctx: Context,
  plans: readonly Plan[],
  today: string,
  task: MakeTask,
): Promise<RoundDraft[]> {
  const unwashed = await listUnwashed(ctx.pool, WASHED_BETWEEN);
  if (unwashed.length === 0) return [];
  const next = plans.filter(({ forDay }) => forDay >= today).toSorted((a, b) => a.forDay.localeCompare(b.forDay))[0];
  const more = unwashed.length > WASH_NAMED ? ` and ${unwashed.length - WASH_NAMED} more` : "";
  const names = `${unwashed
    .slice(0, WASH_NAMED)
    .map(({ name }) => name)
    .join(", ")}${more}`;
  return [
    task({
      key: "wash-tools",
      does: "wash",
      on: names,
      title: `Wash ${names}`,
      why: next ? `Clean by ${sayDay(next.forDay)}, for ${next.name}` : "Used, and not washed since",
      href: "/shed/equipment",
    }),
  ];
}

/** What the shed has for today's round: a fill that was left half way, plans for today, bean tests to be read, stores about to be over. */
export async function shedTasks(
  ctx: Context,
  farm: Farm,
  mixings: readonly OpenMixing[],
  plans: readonly Plan[],
): Promise<RoundDraft[]> {
  const db = ctx.pool;
  const now = ctx.now();
  const today = isoDay(now, farm);
  const task = taskAt(now.getTime());
  const [wash, stores, beans] = await Promise.all([
    washToolsTask(ctx, plans, today, task),
    listStoresOnHand(db),
    beanTasks(ctx, today, task),
  ]);
  const views = await storeViews(db, farm, stores, now);
  const uses = await storeUses(db, farm, views, now);
  return [
    ...mixingTasks(mixings, task),
    ...wash,
    ...planTasks(plans, mixings, today, task),
    ...pickTasks(plans, today, nextRise(farm, now.getTime()), farm.units, task),
    ...beans,
    ...views.flatMap((view) => storeTasks(view, uses.get(view.id)!, farm, now, task)),
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
