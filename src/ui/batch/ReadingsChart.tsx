"use client";
import { CartesianGrid, Line, LineChart, ReferenceArea, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";

export interface ReadingPoint {
  /** Day of the batch. */
  readonly day: number;
  readonly ph: number;
  readonly where: string;
}

/** pH by day against the band in which it is ready. */
export const ReadingsChart = ({
  points,
  targetPh,
}: {
  readonly points: readonly ReadingPoint[];
  readonly targetPh: number;
}) => (
  <figure>
    <figcaption className="text-[0.92rem] text-soft">pH by day; the band is ready, at {targetPh} and under</figcaption>
    <div className="h-52">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={[...points]} margin={{ top: 8, right: 12, bottom: 4, left: -18 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <ReferenceArea y1={3} y2={targetPh} fill="var(--leaf-wash)" fillOpacity={0.7} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[0, "dataMax"]}
            tickCount={6}
            tickFormatter={(day: number) => `${Math.round(day)}`}
            stroke="var(--soft)"
            tick={{ fill: "var(--soft)", fontFamily: "var(--font-reading)" }}
          />
          <YAxis
            domain={[3, 7]}
            ticks={[3, 4, 5, 6, 7]}
            stroke="var(--soft)"
            tick={{ fill: "var(--soft)", fontFamily: "var(--font-reading)" }}
          />
          <Tooltip
            formatter={(value) => [String(value), "pH"]}
            labelFormatter={(day) => `day ${Number(day).toFixed(1)}`}
            contentStyle={{
              background: "var(--chalk)",
              border: "2px solid var(--ink)",
              borderRadius: 0,
              color: "var(--ink)",
            }}
          />
          <Line
            dataKey="ph"
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
