/** What was found when a store was looked at. */
export const STORE_CHECKS = ["loosened", "smelt-good", "smelt-off"] as const;
export type StoreCheckKind = (typeof STORE_CHECKS)[number];

export interface StoreCheck {
  readonly kind: StoreCheckKind;
  readonly atMs: number;
  /** As read with it; null where none was. */
  readonly ph: number | null;
}

/** A store as far as its checks go. */
export interface CheckedStore {
  readonly shelfFromMs: number;
  readonly expiresMs: number;
  readonly container: "breathable" | "sealed" | "vented";
  /** Its method makes gas: alive, or fermented under a lock or a cloth. */
  readonly makesGas: boolean;
  /** Fades within hours and is judged by its own clock. */
  readonly living: boolean;
  /** Oldest first. */
  readonly checks: readonly StoreCheck[];
}

const DAY_MS = 86_400_000;
/** A lock or a lid over something that works is loosened or looked at so often, days; in the warm twice as often. Judged. */
const LOOSEN_D = { sealed: 3, vented: 14, breathable: null } as const;
const WARM_C = 25;
/** After so long in store it is smelt again before use, or after half its life if that is sooner. Judged. */
const RECHECK_MOST_D = 30;
/** Three such days together are a hot spell: what keeps in the cool goes off in it. */
const HOT_DAY_C = 28;
const HOT_DAYS = 3;

/** Mean air of a day that is over. */
export interface AirDay {
  readonly endsMs: number;
  readonly meanC: number;
}

/** When its gas is to be let out next; null where gas can leave by itself or none forms. */
export function loosenDueMs(store: CheckedStore, meanAirC: number): number | null {
  const everyD = LOOSEN_D[store.container];
  if (everyD === null || !store.makesGas) return null;
  const last = store.checks.findLast(({ kind }) => kind === "loosened")?.atMs ?? store.shelfFromMs;
  return last + (everyD * DAY_MS) / (meanAirC >= WARM_C ? 2 : 1);
}

/** The end of the latest hot spell since a moment; null where there was none. */
function hotSpellSince(days: readonly AirDay[], sinceMs: number): number | null {
  let run = 0;
  let latest: number | null = null;
  for (const { endsMs, meanC } of days) {
    run = endsMs > sinceMs && meanC >= HOT_DAY_C ? run + 1 : 0;
    if (run >= HOT_DAYS) latest = endsMs;
  }
  return latest;
}

/** Why a store is to be smelt before it goes out, and since when. */
export interface Recheck {
  readonly because: "age" | "hot-spell";
  readonly dueMs: number;
}

/**
 * Whether a store must be smelt, or its pH read, before it is used: after half its life or a month, whichever is sooner, counted from the
 * last look; and after a hot spell since. Null while it need not be, and always for what fades within hours.
 * @param days the days since, oldest first
 */
export function recheckOf(store: CheckedStore, days: readonly AirDay[], nowMs: number): Recheck | null {
  if (store.living) return null;
  const sinceMs = store.checks.findLast(({ kind }) => kind !== "loosened")?.atMs ?? store.shelfFromMs;
  const hotMs = hotSpellSince(days, sinceMs);
  if (hotMs !== null && hotMs <= nowMs) return { because: "hot-spell", dueMs: hotMs };
  const dueMs = sinceMs + Math.min(RECHECK_MOST_D * DAY_MS, (store.expiresMs - store.shelfFromMs) / 2);
  return dueMs <= nowMs ? { because: "age", dueMs } : null;
}

/** A store once smelt off stays doubtful: a better smell later makes it a matter of reasons, it does not wipe it out. */
export function smeltState(checks: readonly StoreCheck[]): "good" | "off" | "doubtful" {
  const last = checks.findLast(({ kind }) => kind !== "loosened");
  if (last?.kind === "smelt-off") return "off";
  return checks.some(({ kind }) => kind === "smelt-off") ? "doubtful" : "good";
}
