import type { BatchInput } from "../judge/batchInput";
import { forecastBatch } from "../judge/forecastBatch";
import { begunAt } from "../judge/whatIf";

export interface PeakStart {
  /** Hours from now at which to start. */
  readonly startInH: number;
  /** Hours from now at which it is likely best, and from when to when it may be used. */
  readonly peakInH: number;
  readonly opensInH: number;
  readonly closesInH: number | null;
  /** Index of the span that it meets; null for none. */
  readonly span: number | null;
}

interface Span {
  readonly fromInH: number;
  readonly toInH: number;
}

const LOOK_AHEAD_H = 48;
const EVERY_H = 3;

/**
 * When to start a brew so that it is best inside hours that are fit, from now on in steps of three hours.
 * @param input a batch of such a brew; another is begun as it was
 * @param spans fit hours, from now
 * @returns every start, the next first; those that meet no span say so
 */
export function startsForPeak(input: BatchInput, spans: readonly Span[]): PeakStart[] {
  const starts: PeakStart[] = [];
  for (let startInH = 0; startInH <= LOOK_AHEAD_H; startInH += EVERY_H) {
    const { window } = forecastBatch(begunAt(input, input.nowH + startInH));
    const { p50: peak } = window.peak;
    const { p50: opens } = window.start;
    if (peak === null || opens === null) continue;
    const peakInH = startInH + peak;
    const span = spans.findIndex(({ fromInH, toInH }) => peakInH >= fromInH && peakInH <= toInH);
    starts.push({
      startInH,
      peakInH,
      opensInH: startInH + opens,
      closesInH: window.end.p50 === null ? null : startInH + window.end.p50,
      span: span === -1 ? null : span,
    });
  }
  return starts;
}
