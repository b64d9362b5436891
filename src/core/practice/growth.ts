import { drawTraits, type DrumName } from "./yard/drums";
import { chanceFrom } from "../chance";

/** One thing of a brew to turn. */
export interface GrowthTerms {
  readonly name: DrumName;
  readonly celsius: number;
  /** Food as a share of the recipe's, 0.25 to 3. */
  readonly food: number;
  /** Living culture at the start as a share of the recipe's: chlorine kills most of it. */
  readonly culture: number;
  /** Whether the pump runs; counts for an aerated tea alone. */
  readonly hasAir: boolean;
}
export interface GrowthPoint {
  readonly hour: number;
  /** Living cells, 1 for the most that the recipe reaches at its own warmth. */
  readonly alive: number;
  /** Food left, 1 for the recipe's amount at the start. */
  readonly food: number;
}
export interface Growth {
  readonly points: readonly GrowthPoint[];
  /** Hour of the most life, and of half of it afterwards; null where the time shown does not reach so far. */
  readonly peakH: number | null;
  readonly crashH: number | null;
  /** Most cells over the fewest at the start. */
  readonly fold: number;
}

/** Rates in an hour at the kind's own warmth, scaled so that the recipe's life is at its most about when the drum is ready. */
const GROWTH = 0.36;
const HALF_FOOD = 0.25;
const YIELD = 1.15;
const UPKEEP = 0.012;
const STARVES = 0.06;
const CROWDED_AT = 1.3;
const START = 0.012;
/** Hours at its own warmth in which the recipe above comes to its most. */
const PEAK_H = 19;
/** The most cells of the recipe above, by which all are told. */
const MOST = 0.63;
/** The typical drum of a kind, the same one each time. */
const TYPICAL_SEED = 4;

const rates = new Map<DrumName, { readonly rate: (celsius: number) => number; readonly opensH: number }>();
function typical(name: DrumName) {
  const known = rates.get(name);
  if (known) return known;
  const { rate, needs } = drawTraits(chanceFrom(TYPICAL_SEED), name, false, 0);
  const made = { rate, opensH: needs };
  rates.set(name, made);
  return made;
}

/** Hours that show a kind's rise and fall at its own warmth, three times its opening. */
export const shownHours = (name: DrumName): number => Math.ceil(3 * typical(name).opensH);

/**
 * Growth and crash of a brew at one warmth: cells grow on food that runs out (Monod 1949), crowd each other (Verhulst 1838), live on what is
 * left (Pirt 1965) and die as it is gone; warmth sets the pace by the yard's law (Ratkowsky et al. 1983). Without air a tea starves of it.
 * A picture to learn by; the farm's forecasts use another model.
 */
export function growthOf({ name, celsius, food: given, culture, hasAir }: GrowthTerms, untilH: number): Growth {
  const { rate, opensH } = typical(name);
  const pace = (rate(celsius) * PEAK_H) / opensH;
  const stepsAnHour = 4;
  const air = name === "tea" && !hasAir ? 0.12 : 1;
  let [alive, food] = [START * Math.max(0.001, culture), Math.max(0.01, given)];
  const points: GrowthPoint[] = [{ hour: 0, alive: alive / MOST, food }];
  const every = Math.max(1, Math.round(untilH / 240));
  for (let hour = 1; hour <= untilH; hour += 1) {
    for (let step = 0; step < stepsAnHour; step += 1) {
      const dt = pace / stepsAnHour;
      const fed = food / (HALF_FOOD + food);
      // Too much food uses up the air faster than the pump gives it.
      const smothered = name === "tea" && given > 1 ? 1 / given : 1;
      const growth = GROWTH * air * smothered * fed * alive * Math.max(0, 1 - alive / CROWDED_AT);
      const dies = STARVES * (1 - fed) + (air < 1 ? 0.05 : 0);
      food = Math.max(0, food - dt * (growth * YIELD + UPKEEP * alive));
      alive = Math.max(1e-6, alive + dt * (growth - dies * alive));
    }
    if (hour % every === 0 || hour === untilH) points.push({ hour, alive: alive / MOST, food });
  }
  const peak = points.reduce((most, point) => (point.alive > most.alive ? point : most));
  const crash = points.find(({ hour, alive: left }) => hour > peak.hour && left < peak.alive / 2);
  const isOver = peak.hour < points.at(-1)!.hour;
  return {
    points,
    peakH: isOver ? peak.hour : null,
    crashH: crash?.hour ?? null,
    fold: peak.alive / points[0]!.alive,
  };
}
