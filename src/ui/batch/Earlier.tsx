"use client";
import { Link } from "../kit/Link";
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { LEAD_WORDS } from "@/words/said";
import { formatNumber } from "@/formats/numbers";
import { fullDate, type FarmClock } from "@/formats/times";
import type { Progress } from "@/services/ferment";

interface EarlierProps {
  readonly progress: Progress;
  readonly startedMs: number;
  readonly clock: FarmClock;
}

const STROKES = ["var(--soft)", "var(--leaf)", "var(--rust)", "var(--marigold)"];
const DASHES = ["6 3", "2 3", "8 3 2 3", "1 4"];
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
        <figure>
          <figcaption className="text-[0.92rem] text-soft">
            {words.name} by day; this batch in full, earlier ones broken
          </figcaption>
          <div className="h-56">
            <ResponsiveContainer width="100%" height="100%">
              <LineChart margin={{ top: 8, right: 12, bottom: 4, left: -18 }}>
                <CartesianGrid stroke="var(--line)" vertical={false} />
                <XAxis
                  dataKey="day"
                  type="number"
                  domain={[0, "dataMax"]}
                  allowDuplicatedCategory={false}
                  tickFormatter={(day: number) => formatNumber(Math.round(day))}
                  stroke="var(--soft)"
                  tick={{ fill: "var(--soft)", fontFamily: "var(--font-reading)" }}
                />
                <YAxis
                  domain={curve?.feature === "ph" ? [3, 7] : [0, 100]}
                  stroke="var(--soft)"
                  tick={{ fill: "var(--soft)", fontFamily: "var(--font-reading)" }}
                />
                <Tooltip
                  formatter={(value) => [`${formatNumber(Number(value), 3)}${words.unit}`, ""]}
                  labelFormatter={(day) => `day ${formatNumber(Number(day), 3)}`}
                  contentStyle={{
                    background: "var(--chalk)",
                    border: "2px solid var(--ink)",
                    borderRadius: 0,
                    color: "var(--ink)",
                  }}
                />
                {drawn.map(({ batchId, readings }, index) => (
                  <Line
                    key={batchId}
                    data={readings.map(({ day, value }) => ({ day, value: value * words.scale }))}
                    dataKey="value"
                    name={`batch ${batchId}`}
                    stroke={STROKES[index % STROKES.length]!}
                    strokeDasharray={DASHES[index % DASHES.length]!}
                    strokeWidth={2}
                    dot={{ r: 3 }}
                    isAnimationActive={false}
                  />
                ))}
                <Line
                  data={own}
                  dataKey="value"
                  name="this batch"
                  stroke="var(--blue)"
                  strokeWidth={2.5}
                  dot={{ r: 5, fill: "var(--blue)", stroke: "var(--chalk)", strokeWidth: 1.5 }}
                  isAnimationActive={false}
                />
              </LineChart>
            </ResponsiveContainer>
          </div>
        </figure>
      ) : null}
      <ul className="divide-y divide-line border-y border-line">
        {earlier.map((batch, index) => (
          <li key={batch.batchId} className="flex items-baseline justify-between gap-3 py-1.5">
            <Link
              href={`/batches/${batch.batchId}`}
              className="underline decoration-line decoration-2 underline-offset-4"
            >
              <span
                aria-hidden
                className="mr-2 inline-block w-6 border-t-[3px] align-middle"
                style={{ borderColor: STROKES[index % STROKES.length], borderStyle: index % 2 ? "dotted" : "dashed" }}
              />
              Batch {batch.batchId}, {fullDate(new Date(batch.startedMs), clock)}
            </Link>
            <span className="reading text-soft">
              {batch.outcome === "strained" ? "strained" : "thrown out"} on day {Math.round(batch.closedD)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
};
