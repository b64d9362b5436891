import { cardinalShare, rateAt } from "../ferment/temperature/rate";
import { valueAt } from "../ferment/temperature/grid";
import { likeliestStart, type Belief } from "../ferment/outlook/belief";
import type { VerdictReason, WarmthSpell } from "./reasons";

export interface Usual {
  readonly meanC: number;
  readonly swingC: number;
  readonly startHour: number;
}

/** Less than this share of the batch's age, or than so many hours, is not worth saying. */
const WORTH_SHARE = 0.05;
const WORTH_H = { bloom: 2, other: 10 };
/** A part of the day that made more than this share of the difference gets the blame. */
const BLAME = 0.7;
const isNight = (clockHour: number) => clockHour >= 20 || clockHour < 7;

/**
 * How far warmth has put a batch ahead of the usual for these days, and which part of the day did it.
 * @returns null where it made no difference worth saying, or nothing is known of the usual
 */
export function paceReason(belief: Belief | null, usual: Usual | null): VerdictReason | null {
  if (!belief || !usual || belief.nowH < 6) return null;
  const { course, batch } = likeliestStart(belief);
  const { temperatures, cls } = batch.model;
  const atReference = "maxC" in temperatures ? cardinalShare(temperatures.referenceC, temperatures) : 1;
  const rateOf = (celsius: number) =>
    "maxC" in temperatures ? cardinalShare(celsius, temperatures) / atReference : rateAt(celsius, temperatures);
  // A vessel damps the day's wave of the air by its own slowness, and lags behind it.
  const omega = (2 * Math.PI) / 24;
  const damping = 1 / Math.sqrt(1 + (omega * course.tauH) ** 2);
  const lag = Math.atan(omega * course.tauH);
  let [day, night, usualRate] = [0, 0, 0];
  const hours = Math.floor(belief.nowH);
  for (let hour = 0; hour < hours; hour += 1) {
    const clock = (usual.startHour + hour) % 24;
    const usualC = usual.meanC + usual.swingC * damping * Math.cos(omega * (clock - 15) - lag);
    const expected = rateOf(usualC);
    const gained = valueAt(course.hours, course.rate, hour + 0.5) - expected;
    usualRate += expected / hours;
    if (isNight(clock)) night += gained;
    else day += gained;
  }
  const gained = day + night;
  const aheadH = gained / Math.max(0.15, usualRate);
  const worthH = cls === "bloom" ? WORTH_H.bloom : WORTH_H.other;
  if (Math.abs(aheadH) < Math.max(worthH, WORTH_SHARE * belief.nowH)) return null;
  // Against a usual week in which it would hardly move, hours lose their meaning.
  if (aheadH > belief.nowH) return null;
  const warm = gained > 0;
  // Kept in a place of its own it owes nothing to the weather.
  const kept = batch.events?.some(({ type }) => type === "moved" || type === "heater_on") ?? false;
  if (kept) return { code: "pace", aheadH, spell: warm ? "its warm place" : "its cool place" };
  const share = night / gained;
  const spell: WarmthSpell =
    share > BLAME
      ? warm
        ? "warm nights"
        : "cool nights"
      : share < 1 - BLAME
        ? warm
          ? "warm days"
          : "cool days"
        : warm
          ? "warm weather"
          : "cool weather";
  return { code: "pace", aheadH, spell };
}
