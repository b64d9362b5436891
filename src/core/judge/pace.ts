import { traitsOf } from "../ferment/models/classes";
import { cardinalShare, rateAt } from "../ferment/temperature/rate";
import { valueAt } from "../ferment/temperature/grid";
import { weightsOfStarts, type Belief, type PossibleStart } from "../ferment/outlook/belief";
import type { TemperaturePoint } from "./batchInput";
import type { VerdictReason, WarmthSpell } from "./reasons";

export interface Usual {
  readonly meanC: number;
  readonly swingC: number;
  readonly startHour: number;
  /** How the daily mean goes with the season, by ascending hour of the belief. */
  readonly season?: readonly TemperaturePoint[];
}

/** Less than this share of the batch's age, or than so many hours, is not worth saying. */
const WORTH_SHARE = 0.05;
const WORTH_H = { bloom: 2, other: 10 };
/** A part of the day that made more than this share of the difference gets the blame. */
const BLAME = 0.7;
const isNight = (clockHour: number) => clockHour >= 20 || clockHour < 7;

/** Ten and ninety in a hundred of a normal spread, in sd. */
const Z_90 = 1.2816;

interface Gain {
  readonly dayH: number;
  readonly nightH: number;
  /** How unsure both together are for what is not known of the air. */
  readonly sdH: number;
}

/** Hours at the usual pace that warmth gained in one of the places it may have stood in. */
function gainIn({ course, batch, shiftH }: PossibleStart, nowH: number, usual: Usual): Gain {
  const { temperatures, cls } = batch.model;
  const atReference = "maxC" in temperatures ? cardinalShare(temperatures.referenceC, temperatures) : 1;
  const rateOf = (celsius: number) =>
    "maxC" in temperatures ? cardinalShare(celsius, temperatures) / atReference : rateAt(celsius, temperatures);
  // A vessel damps the day's wave of the air by its own slowness, and lags behind it.
  const omega = (2 * Math.PI) / 24;
  const damping = 1 / Math.sqrt(1 + (omega * course.tauH) ** 2);
  const lag = Math.atan(omega * course.tauH);
  const seasonH = Float64Array.from(usual.season ?? [], ({ hour }) => hour);
  const seasonC = Float64Array.from(usual.season ?? [], ({ celsius }) => celsius);
  const meanAt = (hour: number) => (seasonH.length > 0 ? valueAt(seasonH, seasonC, hour) : usual.meanC);
  let [day, night, usualRate] = [0, 0, 0];
  const hours = Math.floor(nowH);
  for (let hour = 0; hour < hours; hour += 1) {
    const clock = (usual.startHour + hour) % 24;
    const usualC = meanAt(hour) + usual.swingC * damping * Math.cos(omega * (clock - 15) - lag);
    const expected = rateOf(usualC);
    const gained = valueAt(course.hours, course.rate, hour + shiftH + 0.5) - expected;
    usualRate += expected / hours;
    if (isNight(clock)) night += gained;
    else day += gained;
  }
  const perH = Math.max(0.15, usualRate);
  const unsureH = Math.abs(valueAt(course.hours, course.thetaSd, nowH + shiftH)) * traitsOf({ cls }).unitH;
  return { dayH: day / perH, nightH: night / perH, sdH: unsureH / perH };
}

/**
 * How far warmth has put a batch ahead of the usual for these days, as a span that holds it in eight of ten, and which part of the day did it.
 * @returns null where it made no difference worth saying, or may as well have gone the other way, or nothing is known of the usual
 */
export function paceReason(belief: Belief | null, usual: Usual | null | undefined): VerdictReason | null {
  if (!belief || !usual || belief.nowH < 6) return null;
  const { batch, nowH } = belief;
  const weights = weightsOfStarts(belief);
  const gains = belief.starts.map((start) => gainIn(start, nowH, usual));
  const mean = (of: (gain: Gain) => number) => gains.reduce((sum, gain, index) => sum + weights[index]! * of(gain), 0);
  const [dayH, nightH] = [mean((gain) => gain.dayH), mean((gain) => gain.nightH)];
  const aheadH = dayH + nightH;
  const sdH = Math.sqrt(mean((gain) => gain.sdH ** 2 + (gain.dayH + gain.nightH - aheadH) ** 2));
  const worthH = batch.model.cls === "bloom" ? WORTH_H.bloom : WORTH_H.other;
  if (Math.abs(aheadH) < Math.max(worthH, WORTH_SHARE * nowH)) return null;
  // Against a usual week in which it would hardly move, hours lose their meaning.
  if (aheadH > nowH) return null;
  const leastH = Math.abs(aheadH) - Z_90 * sdH;
  if (leastH <= 0) return null;
  const mostH = Math.min(nowH, Math.abs(aheadH) + Z_90 * sdH);
  return { code: "pace", isAhead: aheadH > 0, leastH, mostH, spell: spellOf(belief, aheadH, nightH) };
}

function spellOf({ batch }: Belief, aheadH: number, nightH: number): WarmthSpell {
  const warm = aheadH > 0;
  // Kept in a place of its own it owes nothing to the weather.
  const kept = batch.events?.some(({ type }) => type === "moved" || type === "heater_on") ?? false;
  const indoors = batch.place?.kind === "indoors" || batch.place?.kind === "cellar";
  if (kept || indoors) return warm ? "its warm place" : "its cool place";
  const share = nightH / aheadH;
  if (share > BLAME) return warm ? "warm nights" : "cool nights";
  if (share < 1 - BLAME) return warm ? "warm days" : "cool days";
  return warm ? "warm weather" : "cool weather";
}
