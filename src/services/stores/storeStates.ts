import "server-only";
import { recipeFrom } from "@/core/recipe/document";
import {
  loosenDueMs,
  recheckOf,
  smeltState,
  type AirDay,
  type CheckedStore,
  type Recheck,
  type StoreCheck,
} from "@/core/stock/storeChecks";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import { listStoreChecks, type Store } from "@/data/stores";
import { airSince } from "../weather";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** Hot spells are looked for so far back. */
const AIR_BACK_D = 45;
/** A day of which less was measured is not judged. */
const HOURS_OF_DAY = 12;

/** Living brews and ferments under an airlock or cloth make gas in the jar as in the drum. */
export const makesGas = (lid: string, living: boolean): boolean => living || lid === "airlock" || lid === "breathable";

export interface StoreState {
  /** Why it is to be smelt before use; null where it need not be. */
  readonly recheck: Recheck | null;
  readonly smelt: "good" | "off" | "doubtful";
  /** When its gas is to be let out next; null where it leaves by itself or none forms. */
  readonly loosenMs: number | null;
}

/** A store with its times as numbers and what is to be looked at, as screens show it. */
export type StoreView = Omit<Store, "shelfFrom" | "expiresAt"> &
  StoreState & {
    readonly shelfFromMs: number;
    readonly expiresMs: number;
  };

/** Mean air of the days by the sun that are over, oldest first. */
export async function airDays(db: Queryable, farm: Farm, now: Date): Promise<AirDay[]> {
  const shiftMs = (farm.longitudeDeg / 15) * HOUR_MS;
  const today = Math.floor((now.getTime() + shiftMs) / DAY_MS);
  const from = new Date((today - AIR_BACK_D) * DAY_MS - shiftMs);
  const { hours } = await airSince(db, from, now);
  const sums = new Map<number, { sum: number; count: number }>();
  for (const { at, airC, source } of hours) {
    const day = Math.floor((at.getTime() + shiftMs) / DAY_MS);
    if (source !== "measured" || day >= today) continue;
    const known = sums.get(day) ?? { sum: 0, count: 0 };
    sums.set(day, { sum: known.sum + airC, count: known.count + 1 });
  }
  return [...sums]
    .filter(([, { count }]) => count >= HOURS_OF_DAY)
    .map(([day, { sum, count }]) => ({ endsMs: (day + 1) * DAY_MS - shiftMs, meanC: sum / count }))
    .toSorted((a, b) => a.endsMs - b.endsMs);
}

/** What is to be looked at of a store, from its checks and the weather it stood through. */
export function storeState(
  store: Store,
  checks: readonly StoreCheck[],
  days: readonly AirDay[],
  now: Date,
): StoreState {
  const { lid, keeping } = recipeFrom(store.recipe);
  const checked: CheckedStore = {
    shelfFromMs: store.shelfFrom.getTime(),
    expiresMs: store.expiresAt.getTime(),
    container: store.container,
    makesGas: makesGas(lid, keeping.living),
    // What is used at once is gone before a month is over.
    living: keeping.living || store.atOnce,
    checks,
  };
  return {
    recheck: recheckOf(checked, days, now.getTime()),
    smelt: smeltState(checks),
    loosenMs: loosenDueMs(checked, days.at(-1)?.meanC ?? 15),
  };
}

/** All stores with what is to be looked at of each. */
export async function storeViews(db: Queryable, farm: Farm, stores: readonly Store[], now: Date): Promise<StoreView[]> {
  if (stores.length === 0) return [];
  const [checks, days] = await Promise.all([listStoreChecks(db), airDays(db, farm, now)]);
  return stores.map((store) => {
    const { shelfFrom, expiresAt, ...rest } = store;
    return {
      ...rest,
      ...storeState(store, checks.get(store.id) ?? [], days, now),
      shelfFromMs: shelfFrom.getTime(),
      expiresMs: expiresAt.getTime(),
    };
  });
}
