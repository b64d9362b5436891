import type { Chance } from "../../chance";

/** The seven methods that are put into yards, by their ids in the book. */
export const YARD_METHODS = [
  { name: "extract", method: "cultured-extract", school: "equal-parts" },
  { name: "serum", method: "lactic-serum", school: "salted-rice" },
  { name: "tea", method: "aerated-tea", school: "bacterial" },
  { name: "leaf-mould brew", method: "leaf-mould-brew", school: "standard" },
  { name: "juice", method: "plant-juice", school: "equal-weight" },
  { name: "shell", method: "shell-calcium", school: "ten-to-one" },
  { name: "leaf soak", method: "leaf-soak", school: "standard" },
] as const;
export type DrumName = (typeof YARD_METHODS)[number]["name"];

/** Square-root law of growth (Ratkowsky et al. 1983), 1 at a reference; not the engine's. */
interface RootLaw {
  readonly minC: number;
  readonly maxC: number;
  readonly steep: number;
  readonly referenceC: number;
}
const rootShare = (celsius: number, { minC, maxC, steep }: RootLaw): number =>
  celsius <= minC || celsius >= maxC ? 0 : ((celsius - minC) * (1 - Math.exp(steep * (celsius - maxC)))) ** 2;
const rootRate = (celsius: number, law: RootLaw): number => rootShare(celsius, law) / rootShare(law.referenceC, law);
const tenfold = (celsius: number, q10: number, referenceC: number): number => q10 ** ((celsius - referenceC) / 10);

interface Kind {
  /** Hours to the opening at the reference, and the spread of its log between drums. */
  readonly opensH: number;
  readonly sd: number;
  /** How long it stays open, in its own slowed time, as a share of the opening; the spread of its log. */
  readonly openFor: number;
  readonly openSd: number;
  readonly law:
    | { readonly minC: number; readonly maxC: number; readonly referenceC: number }
    | { readonly q10: number; readonly referenceC: number };
  readonly volumesL: readonly number[];
  readonly watchedFor: number;
}

const D = 24;
const KINDS: Record<DrumName, Kind> = {
  "extract": {
    opensH: 11.5 * D,
    sd: 0.28,
    openFor: 7,
    openSd: 0.3,
    law: { minC: 2.5, maxC: 45, referenceC: 22 },
    volumesL: [20, 60, 120, 200],
    watchedFor: 70 * D,
  },
  "serum": {
    opensH: 8 * D,
    sd: 0.2,
    openFor: 6,
    openSd: 0.3,
    law: { minC: 3, maxC: 43, referenceC: 22 },
    volumesL: [5, 10, 20, 60],
    watchedFor: 50 * D,
  },
  "tea": {
    opensH: 26,
    sd: 0.2,
    openFor: 0.85,
    openSd: 0.25,
    law: { minC: -1, maxC: 42, referenceC: 24 },
    volumesL: [20, 100, 200, 1000],
    watchedFor: 6 * D,
  },
  "leaf-mould brew": {
    opensH: 46,
    sd: 0.17,
    openFor: 0.28,
    openSd: 0.25,
    law: { minC: 4, maxC: 45, referenceC: 24 },
    volumesL: [19, 20, 60, 200],
    watchedFor: 8 * D,
  },
  "juice": {
    opensH: 5.4 * D,
    sd: 0.2,
    openFor: 1,
    openSd: 0.3,
    law: { q10: 1.9, referenceC: 22 },
    volumesL: [2, 5, 10, 20],
    watchedFor: 30 * D,
  },
  "shell": {
    opensH: 11 * D,
    sd: 0.3,
    openFor: 9,
    openSd: 0.2,
    law: { q10: 1.6, referenceC: 20 },
    volumesL: [2, 5, 20],
    watchedFor: 60 * D,
  },
  "leaf soak": {
    opensH: 10.5 * D,
    sd: 0.32,
    openFor: 6,
    openSd: 0.3,
    law: { minC: 3, maxC: 46, referenceC: 25 },
    volumesL: [20, 100, 200],
    watchedFor: 80 * D,
  },
};

/** What a drum truly is at an hour. */
export interface Shows {
  /** Share of the way to its opening; above 1 it is open or has been. */
  readonly way: number;
  /** Share of the way from opening to closing; above 1 it is past. */
  readonly closing: number;
  readonly ph: number | null;
  readonly isOff: boolean;
}

export interface Drum {
  readonly name: DrumName;
  readonly volumeL: number;
  readonly opensH: number;
  readonly closesH: number;
  /** Hour from which it is off; Infinity for a sound one. */
  readonly offFromH: number;
  /** It sours or blooms no further than so much of the way. */
  readonly sticksAt: number;
  readonly watchedForH: number;
  readonly at: (hour: number) => Shows;
}

/**
 * pH along the way of an acid ferment: biomass grows by a logistic law, makes acid as it grows and while it stands (Luedeking and Piret
 * 1959), is held back by its own undissociated acid, and a buffer takes up what it makes. The way is scaled to pass the target at 1.
 */
function phCurve(chance: Chance, target: number): (way: number) => number {
  const startPh = chance.between(5.6, 6.5);
  const buffer = chance.between(0.012, 0.03);
  const most = chance.between(0.09, 0.2);
  const [pKa, alpha, beta] = [3.86, 1, 0.06];
  const points: number[] = [];
  let [cells, acid, ph] = [0.015, 0, startPh];
  let passes = 0;
  for (let step = 0; step < 6000 && (passes === 0 || step < 4 * passes); step += 1) {
    points.push(ph);
    if (passes === 0 && ph <= target) passes = step;
    const undissociated = acid / (1 + 10 ** (ph - pKa));
    const free = Math.max(0, 1 - undissociated / most);
    const growth = 0.02 * cells * (1 - cells) * free;
    cells += growth;
    acid += 0.16 * (alpha * growth + beta * 0.02 * cells * free);
    // Acid dissociated = what the buffer took up.
    let [low, high] = [2, startPh];
    for (let half = 0; half < 18; half += 1) {
      const middle = (low + high) / 2;
      if (acid / (1 + 10 ** (pKa - middle)) > buffer * (startPh - middle) + 10 ** -middle) high = middle;
      else low = middle;
    }
    ph = (low + high) / 2;
  }
  // One that would stop above its target is scaled by its slowest way down.
  const unit = passes || points.length - 1;
  const lift = passes ? 0 : target - points.at(-1)!;
  return (way) => {
    const at = Math.min(points.length - 1, way * unit);
    const index = Math.floor(at);
    const next = points[Math.min(points.length - 1, index + 1)]!;
    return points[index]! + (next - points[index]!) * (at - index) + lift * Math.min(1, way);
  };
}

/** What nobody knows of one drum, whatever its warmth. */
export interface DrumTraits {
  readonly name: DrumName;
  /** Progress in an hour at a warmth, 1 at the kind's reference. */
  readonly rate: (celsius: number) => number;
  /** Hours at the reference to its opening, and from there to its closing. */
  readonly needs: number;
  readonly openFor: number;
  /** It sours no further than so much of the way; Infinity for most. */
  readonly sticksAt: number;
  /** pH along the way; null where the kind is not told by it. */
  readonly phAt: ((way: number, isOff: boolean) => number) | null;
}

const lawOf = (chance: Chance, { law }: Kind): DrumTraits["rate"] => {
  if (!("minC" in law)) {
    const q10 = law.q10 * Math.exp(0.1 * chance.normal());
    return (celsius) => tenfold(celsius, q10, law.referenceC);
  }
  const minC = law.minC + 1.5 * chance.normal();
  const own = { ...law, minC, maxC: law.maxC + chance.normal(), steep: 0.25 };
  return (celsius) => rootRate(celsius, own);
};

/** What nobody knows of one drum; `badAt` is the share of its opening at which it goes off, null for a sound one. */
export function drawTraits(
  chance: Chance,
  name: DrumName,
  isBad: boolean,
  spread: number,
): DrumTraits & { readonly badAt: number | null } {
  const kind = KINDS[name];
  const rate = lawOf(chance, kind);
  const needs = kind.opensH * Math.exp(spread * kind.sd * chance.normal());
  const openFor = needs * kind.openFor * Math.exp(kind.openSd * chance.normal());
  const sticksAt =
    (name === "extract" || name === "serum") && chance.uniform() < 0.04 ? chance.between(0.6, 0.85) : Infinity;
  const badAt = isBad ? chance.between(0.25, 1.1) : null;
  const ph = name === "extract" || name === "serum" ? phCurve(chance, 4) : null;
  const stuckPh = chance.between(4.7, 5.6);
  const vinegar = { start: chance.between(2.4, 2.8), end: chance.between(5.5, 6.3) };
  const phAt =
    name === "shell"
      ? (way: number) => vinegar.start + (vinegar.end - vinegar.start) * (1 - Math.exp(-2.1 * way))
      : ph && ((way: number, isOff: boolean) => (isOff ? Math.max(ph(way), stuckPh) : ph(way)));
  return { name, rate, needs, openFor, sticksAt, phAt, badAt };
}

/** A starch brew that stays colder than this for its first days has no bloom, °C; it stops half way. */
export const NO_BLOOM_BELOW_C = 14;
/** Hour from which one that is bad is off. */
export const offFromOf = (name: DrumName, badAt: number | null, opensH: number): number =>
  badAt === null
    ? Infinity
    : Math.min(opensH === Infinity ? KINDS[name].opensH : opensH, KINDS[name].watchedFor) * badAt;

/** One drum of a kind in its liquid's warmth, with all that nobody knows of it. */
export function drawDrum(
  chance: Chance,
  name: DrumName,
  liquidC: Float64Array,
  volumeL: number,
  isBad: boolean,
  spread: number,
): Drum {
  const { watchedFor } = KINDS[name];
  const { rate, needs, openFor, sticksAt, phAt, badAt } = drawTraits(chance, name, isBad, spread);
  const hours = Math.min(liquidC.length, watchedFor * 2);
  const passed = new Float64Array(hours + 1);
  for (let hour = 0; hour < hours; hour += 1) passed[hour + 1] = passed[hour]! + rate(liquidC[hour]!);
  const hourOf = (amount: number) => {
    const index = passed.findIndex((value) => value >= amount);
    return index === -1 ? Infinity : index;
  };
  const passedAt = (hour: number) => {
    const index = Math.min(hours - 1, Math.max(0, Math.floor(hour)));
    return passed[index]! + (passed[index + 1]! - passed[index]!) * Math.min(1, hour - index);
  };
  const tooCold =
    name === "leaf-mould brew" && liquidC.slice(24, 96).reduce((sum, value) => sum + value, 0) / 72 < NO_BLOOM_BELOW_C;
  const opensH = sticksAt < 1 || tooCold ? Infinity : hourOf(needs);
  const closesH = opensH === Infinity ? Infinity : hourOf(needs + openFor);
  const offFromH = offFromOf(name, badAt, opensH);
  const at = (hour: number): Shows => {
    const soFar = passedAt(hour);
    const way = Math.min(sticksAt, tooCold ? Math.min(0.5, soFar / needs) : soFar / needs);
    const isOff = hour >= offFromH;
    return { way, closing: way <= 1 ? 0 : (soFar - needs) / openFor, ph: phAt?.(way, isOff) ?? null, isOff };
  };
  return { name, volumeL, opensH, closesH, offFromH, sticksAt, watchedForH: watchedFor, at };
}

export const volumesOf = (name: DrumName): readonly number[] => KINDS[name].volumesL;
export const isQuick = (name: DrumName): boolean => name === "tea" || name === "leaf-mould brew";
/** Left for so long it is given up, h. */
export const watchedForOf = (name: DrumName): number => KINDS[name].watchedFor;
/** What the kind's recipe says of its time where it is kept at its warmth, h. */
export const usualHoursOf = (name: DrumName): number => KINDS[name].opensH;
/** What somebody who goes by days alone says of each kind, h: the day that is told from farm to farm, whatever the warmth. */
export const SAID_HOURS: Readonly<Record<DrumName, number>> = {
  "extract": 14 * D,
  "serum": 8 * D,
  "tea": 30,
  "leaf-mould brew": 48,
  "juice": 6 * D,
  "shell": 10 * D,
  "leaf soak": 10 * D,
};
