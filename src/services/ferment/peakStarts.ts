import "server-only";
import { isFit } from "@/core/apply/fitHours";
import { startsForPeak } from "@/core/choose/startForPeak";
import type { BatchInput } from "@/core/judge/batchInput";
import { judgedBy } from "@/core/judge/evidence";
import type { Farm } from "@/data/farm";
import { airAhead, fitBands, type FarmAir } from "../weather";

const HOUR_MS = 3_600_000;
/** More starts than this are no help in picking one. */
const SHOWN_MOST = 4;

/** A start of a brew that puts its likeliest best hour inside hours that are fit. */
export interface PeakStartView {
  readonly startMs: number;
  readonly peakMs: number;
  readonly bandFromMs: number;
  readonly bandToMs: number;
}

/**
 * When to start a bloom brew in the next two days so that it is best in fit hours; none for what keeps.
 * @param input a batch of such a brew, as it stands now
 */
export function peakStartsOf(input: BatchInput, farm: Farm, air: FarmAir, now: Date): PeakStartView[] {
  if (judgedBy(input.recipe) !== "bloom") return [];
  const bands = fitBands(farm, airAhead(farm, air, now), now).filter(isFit);
  const spans = bands.map(({ fromMs, toMs }) => ({
    fromInH: (fromMs - now.getTime()) / HOUR_MS,
    toInH: (toMs - now.getTime()) / HOUR_MS,
  }));
  const at = (inH: number) => now.getTime() + inH * HOUR_MS;
  return startsForPeak(input, spans)
    .flatMap(({ startInH, peakInH, span }) => {
      const band = span === null ? null : bands[span]!;
      return band ? [{ startMs: at(startInH), peakMs: at(peakInH), bandFromMs: band.fromMs, bandToMs: band.toMs }] : [];
    })
    .slice(0, SHOWN_MOST);
}
