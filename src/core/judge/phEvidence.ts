import { phSd } from "../ferment/evidence/likelihood";
import { actsOf, countedPh, countsAsPh, type LogItem, type PhItem } from "./log";
import type { VerdictReason } from "./reasons";

/** Sourer than this an extract is started at half its dose. */
const VERY_LOW_PH = 3;
/** Within so many hours a batch hardly sours by itself, so that two readings must be of one pH. */
const ONE_PH_H = 6;
/** Two readings so many of their spreads apart are not of one pH. */
const AT_ODDS_SDS = 2.5;

const sdOf = ({ hour, value, instrument, sd }: PhItem): number =>
  phSd({ type: "ph", hour, value, method: instrument, ...(sd === undefined ? {} : { sd }) });

/**
 * The last two counted readings where they were taken within hours and can't both be right; null where they can, or where a third
 * has borne one out.
 */
export function phAtOdds(log: readonly LogItem[]): Extract<VerdictReason, { code: "ph-at-odds" }> | null {
  const [one, other] = countedPh(log).slice(-2);
  if (!one || !other || other.hour - one.hour > ONE_PH_H) return null;
  const wasChanged = actsOf(log).some(
    ({ act, hour }) => (act === "topped-up" || act === "fed") && hour >= one.hour && hour <= other.hour,
  );
  if (wasChanged) return null;
  const isOne = Math.abs(one.value - other.value) <= AT_ODDS_SDS * Math.hypot(sdOf(one), sdOf(other));
  return isOne ? null : { code: "ph-at-odds", one: one.value, other: other.value };
}

/** No ferment was ever seen under this, pH; a reading that is lower is the instrument's. */
const LEAST_SOURED_PH = 2.5;
export const canBeSoured = ({ value }: PhItem): boolean => value >= LEAST_SOURED_PH;

/** The last pH that counts, its trend, and one that does not count, as reasons. */
export function phReasons(
  { log, nowH }: { readonly log: readonly LogItem[]; readonly nowH: number },
  target: number,
): VerdictReason[] {
  const readings = countedPh(log).filter(canBeSoured);
  const last = readings.at(-1);
  const aside = log.findLast((item): item is PhItem => item.kind === "ph" && !(countsAsPh(item) && canBeSoured(item)));
  const reasons: VerdictReason[] = [];
  if (last) {
    const before = readings.at(-2);
    const spanD = before ? (last.hour - before.hour) / 24 : 0;
    reasons.push({
      code: "ph",
      ph: last.value,
      target,
      perDay: before && spanD >= 0.5 ? (before.value - last.value) / spanD : null,
      ageH: nowH - last.hour,
      instrument: last.instrument,
    });
    if (last.value < VERY_LOW_PH) reasons.push({ code: "ph-very-low", ph: last.value });
  }
  if (aside)
    reasons.push({
      code: "ph-not-counted",
      ph: aside.value,
      spot: aside.spot,
      unsettled: aside.spot === "mid-depth" && aside.settled === false,
    });
  return reasons;
}
