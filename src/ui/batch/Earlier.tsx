import { Link } from "../kit/Link";
import { EarlierPlot } from "./EarlierPlot";
import { LEAD_WORDS } from "@/words/said";
import { fullDate, type FarmClock } from "@/formats/times";
import { STROKES } from "./earlierStrokes";
import type { Progress } from "@/services/ferment";

interface EarlierProps {
  readonly progress: Progress;
  readonly startedMs: number;
  readonly clock: FarmClock;
}

const DAY_MS = 86_400_000;
const FALLBACK = { name: "", scale: 1, unit: "", falls: false } as const;

/** Earlier batches of the method laid over this one by age: how this one compares on its own day. */
export const Earlier = ({ progress, startedMs, clock }: EarlierProps) => {
  const { earlier, curve } = progress;
  const words = curve ? LEAD_WORDS[curve.feature] : FALLBACK;
  const own = (curve?.readings ?? [])
    .filter(({ counted }) => counted)
    .map(({ atMs, value }) => ({ day: (atMs - startedMs) / DAY_MS, value: value * words.scale }));
  const drawn = earlier.filter(({ readings }) => readings.length > 1);
  return (
    <div className="grid gap-3">
      {own.length > 0 && drawn.length > 0 ? (
        <EarlierPlot drawn={drawn} own={own} words={words} isPh={curve?.feature === "ph"} />
      ) : null}
      <ul className="divide-y divide-line border-y border-line">
        {earlier.map((batch, index) => (
          <li key={batch.batchId} className="flex items-baseline justify-between gap-3 py-1.5">
            <Link
              href={`/batches/${batch.batchId}`}
              className="thumb underline decoration-line decoration-2 underline-offset-4"
            >
              <span
                aria-hidden
                className="mr-2 inline-block w-6 border-t-[3px] align-middle"
                style={{ borderColor: STROKES[index % STROKES.length], borderStyle: index % 2 ? "dotted" : "dashed" }}
              />
              Batch {batch.batchId}, {fullDate(new Date(batch.startedMs), clock)}
            </Link>
            <span className="reading text-soft">
              {batch.outcome === "strained" ? "strained" : "thrown away"} on day {Math.round(batch.closedD)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
};
