import { type FarmClock, sayForecastMoment } from "@/formats/times";
import { isSoonerBySigns } from "@/words/said";
import type { BatchView } from "@/services/batch";
import type { MarkTimes } from "@/services/ferment";

interface WindowTableProps {
  readonly batch: Pick<BatchView, "window" | "state">;
  readonly nowMs: number;
  readonly clock: FarmClock;
}

interface Cell {
  readonly name: string;
  readonly when: string;
  readonly span: string;
}

/** Opens, best, closes: each as a span in which it falls eight times in ten, with its likeliest moment. What is ready by its signs is open now. */
export const WindowTable = ({ batch, nowMs, clock }: WindowTableProps) => {
  const say = (ms: number) => sayForecastMoment(new Date(ms), new Date(nowMs), clock);
  const { start, peak, end } = batch.window;
  // What no sign has borne out yet is open by its hours alone.
  const already = batch.state === "early" || batch.state === "near" ? "by its hours alone" : "already";
  const cell = (name: string, { p10, p50, p90 }: MarkTimes, never: string): Cell => {
    if (p50 === null) return { name, when: never, span: "" };
    if (p50 <= nowMs) return { name, when: say(p50), span: already };
    const until = p90 === null ? "unknown" : say(p90);
    return { name, when: say(p50), span: p10 === null ? "" : `${say(Math.max(p10, nowMs))} to ${until}` };
  };
  const isSooner = isSoonerBySigns(batch.state, start, nowMs);
  if (start.p50 === null && !isSooner) return <p className="mt-3 text-soft">Ready date unknown.</p>;
  const isOver = batch.state === "past" && (end.p50 === null || end.p50 > nowMs);
  const cells: readonly Cell[] = [
    isSooner
      ? {
          name: "Ready from",
          when: "it is ready",
          span: `by its signs, earlier than expected${start.p50 === null ? "" : ` (${say(start.p50)})`}`,
        }
      : cell("Ready from", start, "unknown"),
    isOver ? { name: "Best", when: "over", span: "" } : cell("Best", peak, "unknown"),
    isOver
      ? { name: "Good until", when: "it is past its best", span: "earlier than expected" }
      : cell("Good until", end, "keeps"),
  ];
  return (
    <dl className="mt-3 grid max-w-xl grid-cols-3 border-y border-line">
      {cells.map(({ name, when, span }) => (
        <div key={name} className="border-line px-3 py-1.5 first:pl-0 [&+div]:border-l">
          <dt className="text-[0.88rem] text-soft">{name}</dt>
          <dd className="reading text-[1.05rem] font-semibold leading-tight">{when}</dd>
          <dd className="reading text-[0.86rem] leading-tight text-soft">{span}</dd>
        </div>
      ))}
    </dl>
  );
};
