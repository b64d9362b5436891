import { stepLiquid } from "./vessel";

/** A temperature that was dipped in the liquid. */
export interface Dip {
  readonly hour: number;
  readonly celsius: number;
}

/** The air outside at ascending hours, °C, and how unsure it is, K. */
export interface Outside {
  readonly hours: Float64Array;
  readonly airC: Float64Array;
  readonly sdC: Float64Array;
}

/** A vessel: its liquid at the start, °C, and how slowly it takes warmth on, h. */
export interface Vessel {
  readonly startC: number | undefined;
  readonly tauH: number;
}

/** One way the surroundings may be: their air by the hour, °C, its mean, and how unsure that is, K. */
export interface Guess {
  readonly weight: number;
  readonly isSaid: boolean;
  readonly airC: Float64Array;
  readonly sdK: number;
  readonly meanC: number;
}

/** What a dip may be off besides the place: the thermometer, and layers in the vessel, K. */
const DIP_SD_K = 1.2;
/** A dip by slip or of the wrong drum. */
const WILD_DIP = 0.03;
const WILD_PER_K = 1 / 40;
/** Dips nearer than this tell the same of the place, h. */
const DIPS_REPEAT_H = 24;
/** Places closer together than this are one, K. */
const ONE_PLACE_K = 1.3;
/** A liquid at its start may be anything between the tap and the air, K. */
const START_SD_K = 4;

/** The liquid at the dips if it stood in this air, and how much a place warmer by 1 K all along would have warmed it. */
function atDips(airC: Float64Array, hours: Float64Array, dips: readonly Dip[], { startC, tauH }: Vessel) {
  const seen: { liquidC: number; perK: number; startLeft: number }[] = [];
  let celsius = startC ?? airC[0]!;
  let next = 0;
  for (let index = 0; index < hours.length && next < dips.length; index += 1) {
    if (index > 0)
      celsius = stepLiquid(celsius, airC[index - 1]!, airC[index]!, hours[index]! - hours[index - 1]!, tauH);
    while (next < dips.length && dips[next]!.hour <= hours[index]! + 0.5) {
      const startLeft = Math.exp(-dips[next]!.hour / tauH);
      seen.push({ liquidC: celsius, perK: 1 - startLeft, startLeft });
      next += 1;
    }
  }
  return seen;
}

/** A guess after the dips: how well they fit it, and where within its kind it then stands. */
export function afterDips(
  guess: Guess,
  { hours }: Outside,
  dips: readonly Dip[],
  vessel: Vessel,
): Guess & { readonly fit: number; readonly offsetK: number } {
  const seen = atDips(guess.airC, hours, dips, vessel);
  const startSd = vessel.startC === undefined ? START_SD_K : 0.5;
  let [precision, pull, fit] = [1 / guess.sdK ** 2, 0, 0];
  seen.forEach(({ liquidC, perK, startLeft }, index) => {
    const { hour, celsius } = dips[index]!;
    const repeats = dips.reduce(
      (sum, other, at) => (at === index ? sum : sum + 0.5 * Math.exp(-Math.abs(other.hour - hour) / DIPS_REPEAT_H)),
      1,
    );
    const variance = (DIP_SD_K ** 2 + (startSd * startLeft) ** 2) * repeats;
    // One after the other: each dip is foreseen from those before it.
    const offset = pull / precision;
    const spread = Math.sqrt(variance + perK ** 2 / precision);
    const miss = celsius - liquidC - perK * offset;
    const tame = Math.exp(-((miss / spread) ** 2) / 2) / (spread * Math.sqrt(2 * Math.PI));
    fit += Math.log((1 - WILD_DIP) * tame + WILD_DIP * WILD_PER_K) / repeats;
    // A wild dip moves nothing.
    const believed = ((1 - WILD_DIP) * tame) / ((1 - WILD_DIP) * tame + WILD_DIP * WILD_PER_K);
    pull += (believed * perK * (celsius - liquidC)) / variance;
    precision += (believed * perK ** 2) / variance;
  });
  const offsetK = pull / precision;
  return {
    fit,
    offsetK,
    weight: guess.weight,
    isSaid: guess.isSaid,
    airC: guess.airC.map((celsius) => celsius + offsetK),
    sdK: Math.sqrt(1 / precision),
    meanC: guess.meanC + offsetK,
  };
}

/** Mean and spread of some guesses' means, K, their own spreads within. */
export function spreadOf(guesses: readonly Guess[]): {
  readonly meanC: number;
  readonly sdK: number;
  readonly weight: number;
} {
  const weight = guesses.reduce((sum, guess) => sum + guess.weight, 0);
  const meanC = guesses.reduce((sum, guess) => sum + guess.weight * guess.meanC, 0) / weight;
  const variance = guesses.reduce(
    (sum, guess) => sum + guess.weight * (guess.sdK ** 2 + (guess.meanC - meanC) ** 2),
    0,
  );
  return { meanC, sdK: Math.sqrt(variance / weight), weight };
}

/** Guesses parted into at most so many groups by their warmth, where the parting leaves least spread in each. */
export function grouped(guesses: readonly Guess[], most: number): Guess[][] {
  const sorted = guesses.toSorted((a, b) => a.meanC - b.meanC);
  if (sorted.length < 2 || most < 2) return [sorted];
  const { sdK } = spreadOf(sorted);
  const within = Math.min(...sorted.map((guess) => guess.sdK));
  if (sdK < Math.max(ONE_PLACE_K, 1.25 * within)) return [sorted];
  const cost = (group: readonly Guess[]) => {
    const { sdK: sd, weight } = spreadOf(group);
    return weight * sd ** 2;
  };
  let best = [sorted];
  let least = Infinity;
  for (let first = 1; first < sorted.length; first += 1) {
    const two = [sorted.slice(0, first), sorted.slice(first)];
    if (most === 2 || sorted.length === 2) {
      const total = cost(two[0]!) + cost(two[1]!);
      if (total < least) [best, least] = [two, total];
      continue;
    }
    for (let second = first + 1; second < sorted.length; second += 1) {
      const three = [two[0]!, sorted.slice(first, second), sorted.slice(second)];
      const total = three.reduce((sum, group) => sum + cost(group), 0);
      if (total < least) [best, least] = [three, total];
    }
  }
  return best;
}
