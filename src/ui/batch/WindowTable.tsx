import type { FarmClock } from "@/formats/times";
import { sayForecastMoment } from "@/formats/times";
import type { BatchView, MarkTimes } from "@/services/batchView";

interface WindowTableProps {
  readonly batch: Pick<BatchView, "window" | "seal">;
  readonly nowMs: number;
  readonly clock: FarmClock;
}

/** Opens, best, closes: each as a span in which it falls eight times in ten, with its likeliest moment. */
export const WindowTable = ({ batch, nowMs, clock }: WindowTableProps) => {
  const say = (ms: number) => sayForecastMoment(new Date(ms), new Date(nowMs), clock);
  const rows: readonly (readonly [string, MarkTimes, string])[] = [
    ["Opens", batch.window.start, "not in sight"],
    ["Best", batch.window.peak, "not in sight"],
    ["Closes", batch.window.end, "keeps"],
  ];
  if (batch.window.start.p50 === null) return <p className="mt-3 text-soft">No window in sight as it stands.</p>;
  return (
    <dl className="mt-3 grid max-w-xl grid-cols-3 border-y border-line">
      {rows.map(([name, { p10, p50, p90 }, never]) => (
        <div key={name} className="border-line px-3 py-1.5 first:pl-0 [&+div]:border-l">
          <dt className="text-[0.88rem] text-soft">{name}</dt>
          <dd className="reading text-[1.05rem] font-semibold leading-tight">{p50 === null ? never : say(p50)}</dd>
          <dd className="reading text-[0.86rem] leading-tight text-soft">
            {p50 === null || p10 === null || p50 <= nowMs
              ? p50 !== null && p50 <= nowMs
                ? "behind"
                : ""
              : `${say(Math.max(p10, nowMs))} to ${p90 === null ? "not in sight" : say(p90)}`}
          </dd>
        </div>
      ))}
    </dl>
  );
};
