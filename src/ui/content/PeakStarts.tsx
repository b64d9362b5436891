import { clockTime, sayForecastMoment, type FarmClock } from "@/formats/times";
import type { PeakStartView } from "@/services/ferment";

interface PeakStartsProps {
  readonly starts: readonly PeakStartView[];
  readonly nowMs: number;
  readonly clock: FarmClock;
}

/** Starts of a brew that put its best hour where it can go out, the next first. */
export const PeakStarts = ({ starts, nowMs, clock }: PeakStartsProps) => {
  const now = new Date(nowMs);
  return (
    <ul className="mt-1 divide-y divide-line border-y border-line">
      {starts.map((start) => (
        <li key={start.startMs} className="flex flex-wrap justify-between gap-x-4 py-1.5">
          <span>Start it {sayForecastMoment(new Date(start.startMs), now, clock)}</span>
          <span className="text-soft">
            best {sayForecastMoment(new Date(start.peakMs), now, clock)}, fit{" "}
            {clockTime(new Date(start.bandFromMs), clock)} to {clockTime(new Date(start.bandToMs), clock)}
          </span>
        </li>
      ))}
    </ul>
  );
};
