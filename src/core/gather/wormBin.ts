import { DomainError } from "../errors";

/** What a bin was given and gave. */
export interface BinEntry {
  readonly atMs: number;
  readonly kind: "fed" | "harvested" | "weighed" | "note";
  readonly kg: number;
}

export interface BinState {
  readonly wormsKg: number;
  /** What they eat in a day, kg, and what of the last week's feed lies uneaten. */
  readonly eatsKgPerDay: number;
  readonly uneatenKg: number;
  /** Castings that should lie there now, kg, and the day there is enough to scrape off. */
  readonly castingsKg: number;
  readonly dueInDays: number | null;
}

const DAY_MS = 86_400_000;
/** Worms eat about half their weight in a day when they are warm and moist: the growers' rule, good to a factor of two. */
export const SHARE_EATEN_PER_DAY = 0.5;
/** Castings left of moist food, by mass; the rest leaves as water and breath. Judged. */
const CASTINGS_PER_FEED = 0.4;
/** Worth scraping off from so many kilograms a kilogram of worms. Judged: about what a shallow tray holds. */
const HARVEST_PER_WORMS = 3;

/**
 * What a bin can take and what it has made, from its log.
 * @throws {DomainError} `not-positive` for a bin of no worms
 */
export function binState(startWormsKg: number, entries: readonly BinEntry[], nowMs: number): BinState {
  const inOrder = entries.toSorted((a, b) => a.atMs - b.atMs);
  const wormsKg = inOrder.findLast(({ kind }) => kind === "weighed")?.kg ?? startWormsKg;
  if (!(wormsKg > 0))
    throw new DomainError("not-positive", { what: "worm-weight", value: wormsKg, unit: "kg" }, "/wormsKg");
  const eatsKgPerDay = wormsKg * SHARE_EATEN_PER_DAY;
  let uneatenKg = 0;
  let castingsKg = 0;
  let last = inOrder[0]?.atMs ?? nowMs;
  const eatUntil = (atMs: number) => {
    const eaten = Math.min(uneatenKg, (eatsKgPerDay * Math.max(0, atMs - last)) / DAY_MS);
    uneatenKg -= eaten;
    castingsKg += eaten * CASTINGS_PER_FEED;
    last = Math.max(last, atMs);
  };
  for (const { atMs, kind, kg } of inOrder) {
    if (atMs > nowMs) break;
    eatUntil(atMs);
    if (kind === "fed") uneatenKg += kg;
    if (kind === "harvested") castingsKg = Math.max(0, castingsKg - kg);
  }
  eatUntil(nowMs);
  const missing = wormsKg * HARVEST_PER_WORMS - castingsKg;
  const canStillEat = uneatenKg * CASTINGS_PER_FEED;
  return {
    wormsKg,
    eatsKgPerDay,
    uneatenKg,
    castingsKg,
    dueInDays: missing <= 0 ? 0 : missing <= canStillEat ? missing / (eatsKgPerDay * CASTINGS_PER_FEED) : null,
  };
}

/** How much may be fed now so that nothing rots: a week's appetite, less what still lies there. */
export const roomToFeedKg = ({ eatsKgPerDay, uneatenKg }: BinState): number =>
  Math.max(0, 7 * eatsKgPerDay - uneatenKg);

export const BALL_WORDS = ["drips", "holds, then crumbles", "falls apart", "sticky, rancid"] as const;
export type BallWord = (typeof BALL_WORDS)[number];

/** What a handful pressed to a ball says of castings. */
export const BALL_TEST: Readonly<Record<BallWord, { readonly fit: boolean; readonly say: string }>> = {
  "drips": { fit: false, say: "Too wet: air has left it. Spread it to dry for a day, then press again." },
  "holds, then crumbles": { fit: true, say: "Fit for tea: as moist as it should be." },
  "falls apart": { fit: false, say: "Too dry: what lived in it sleeps. Mist it, wait two days, press again." },
  "sticky, rancid": { fit: false, say: "It has gone without air: not for tea. Hot compost it." },
};
