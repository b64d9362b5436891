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
import { sayStock, sayVolume } from "@/formats/amounts";
import { isoDay, sayDay, sayDuration, sayMoment } from "@/formats/times";
import { sunDays } from "@/sim/sun";
import type { Context } from "../context";
import type { MixingFill } from "@/contracts/fill";
import type { RoundDraft } from "./roundTask";
import { readShelfLots } from "../shed";
import { storeViews, type StoreView } from "../stores";
import { storeUses, type StoreUses } from "../field";

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

/** A task of the shed's: due now, by the shed's door, led to by an address. */
const taskAt =
  (nowMs: number) =>
  (
    head: Pick<RoundDraft, "key" | "does" | "on" | "title" | "why"> & { readonly href: string },
    change: Partial<RoundDraft> = {},
  ): RoundDraft => {
    const { href, ...rest } = head;
    return {
      ...rest,
      dueMs: nowMs,
      urgency: "now",
      touch: { type: "go", href },
      vesselOrder: SHED_ORDER,
      ...change,
    };
  };
type MakeTask = ReturnType<typeof taskAt>;

const mixingTasks = (mixings: readonly OpenMixing[], task: MakeTask): RoundDraft[] =>
  mixings.map(({ id, name, by }) =>
    task(
      {
        key: `mix-${id}`,
        does: "go-on-mixing",
        on: name,
        title: `Go on mixing ${name.toLowerCase()}`,
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
        title: `Pick ${what} before the sun is up`,
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
      title: `Read the bean test of ${name.toLowerCase()}`,
      why: "Two weeks are over",
      href: `/shed?item=${itemId}`,
    }),
  );
}

/** A store that is about to be over: what could take it. */
function runsOutTask(view: StoreView, { takers }: StoreUses, alertH: number, farm: Farm, now: Date, task: MakeTask) {
  const { id, label, onHandL, expiresMs } = view;
  const leftH = (expiresMs - now.getTime()) / HOUR_MS;
  const could = takers.length > 0 ? `Could take it: ${takers.join(", ")}` : "No bed could take it as it stands";
  return task(
    {
      key: `store-${id}-${alertH}`,
      does: "use-now",
      on: label,
      title: `${label}: use it, ${sayDuration(leftH)} left`,
      why: `${sayVolume(onHandL, farm.units)}, until ${sayMoment(new Date(expiresMs), now, farm)}. ${could}`,
      href: `/field?store=${id}`,
    },
    { dueMs: expiresMs, urgency: leftH <= LAST_DAY_H ? "now" : "later" },
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

/** All that one store asks for: used up before its day, its gas let out, smelt, brought to the heap. */
function storeTasks(view: StoreView, uses: StoreUses, farm: Farm, now: Date, task: MakeTask): RoundDraft[] {
  const { id, label: on, onHandL, expiresMs, loosenMs, smelt, recheck } = view;
  const { alertH, takers } = uses;
  const nowMs = now.getTime();
  const href = `/shed?store=${id}`;
  const tasks: RoundDraft[] = [];
  if (alertH !== null && onHandL > 0) tasks.push(runsOutTask(view, uses, alertH, farm, now, task));
  if (onHandL > 0 && loosenMs !== null && loosenMs <= nowMs + DAY_MS)
    tasks.push(
      task(
        {
          key: `loosen-${id}`,
          does: "let-gas-out",
          on,
          title: `${on}: let its gas out, slowly, face away`,
          why: "It still works: a lid or lock that sticks may burst it",
          href,
        },
        loosenMs > nowMs ? { dueMs: loosenMs, urgency: "later" } : {},
      ),
    );
  if (recheck !== null && smelt !== "off" && expiresMs > nowMs)
    tasks.push(
      task({
        key: `smell-${id}`,
        does: "smell",
        on,
        title: `${on}: open it and smell it before it is used`,
        why:
          recheck.because === "hot-spell"
            ? "It stood through a hot spell"
            : "It has stood long since it was last smelt",
        href,
      }),
    );
  if (smelt === "off")
    tasks.push(
      task({
        key: `off-${id}`,
        does: "to-heap",
        on,
        title: `${on}: found off; bring it to the heap`,
        why: "Not on what grows",
        href,
      }),
    );
  if (expiresMs <= nowMs)
    tasks.push(
      task({
        key: `over-${id}`,
        does: "to-heap",
        on,
        title: `${on}: over, to the heap or bare ground`,
        why: `${sayVolume(onHandL, farm.units)}${takers.length > 0 ? `; bare: ${takers.join(", ")}` : ""}`,
        href: "/shed",
      }),
    );
  return tasks;
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
