import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { formatNumber } from "@/formats/numbers";
import type { Progress } from "@/services/ferment";
import { STROKES } from "./earlierStrokes";

const DASHES = ["6 3", "2 3", "8 3 2 3", "1 4"];
const TICK = { fill: "var(--soft)", fontFamily: "var(--font-reading)" };

interface EarlierChartProps {
  readonly drawn: Progress["earlier"];
  readonly own: readonly { readonly day: number; readonly value: number }[];
  readonly words: { readonly name: string; readonly scale: number; readonly unit: string };
  readonly isPh: boolean;
}

/** What was read of this batch and of earlier ones, by their days. */
export const EarlierChart = ({ drawn, own, words, isPh }: EarlierChartProps) => (
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
            tick={TICK}
          />
          <YAxis domain={isPh ? [3, 7] : [0, 100]} stroke="var(--soft)" tick={TICK} />
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
);
