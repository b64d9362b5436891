import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { daysBetween } from "@/core/calendar";
import { formatNumber } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { TrialView } from "@/services/trials";
import { READING_NAMES } from "@/words/said";
import { RowsTable } from "../kit/RowsTable";
import { armName } from "./armLook";

const TICK = { fill: "var(--soft)", fontFamily: "var(--font-reading)" };
const LOOK: Readonly<Record<string, { readonly stroke: string; readonly dash: string }>> = {
  with: { stroke: "var(--leaf)", dash: "" },
  second: { stroke: "var(--blue)", dash: "8 4" },
  third: { stroke: "var(--rust)", dash: "2 4" },
  without: { stroke: "var(--ink)", dash: "4 4" },
};

/** When did they part? Means of what got it and what did not, by day; the day that decides is marked. No verdict comes of it. */
export const ArmCurve = ({ view }: { readonly view: TrialView }) => {
  const { terms, curve, begunOn } = view;
  if (curve.length === 0) return null;
  const arms = [...terms.inputs.map(({ arm }) => arm), "without"];
  const rows = curve.map(({ afterD, means, on }) => ({ day: afterD, on, ...means }));
  const decides = daysBetween(begunOn, terms.decidingOn);
  return (
    <figure>
      <figcaption className="text-[1.05rem] font-semibold">When did they part?</figcaption>
      <p className="text-soft">
        {READING_NAMES[terms.kind]}, mean of the strips, by days since lots were drawn. It is judged on{" "}
        {sayDay(terms.decidingOn)}.
      </p>
      <div className="h-56 max-w-xl">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={rows} margin={{ top: 8, right: 12, bottom: 4, left: -10 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="day"
              type="number"
              domain={[0, Math.max(decides, rows.at(-1)!.day)]}
              stroke="var(--soft)"
              tick={TICK}
            />
            <YAxis domain={["auto", "auto"]} stroke="var(--soft)" tick={TICK} />
            <ReferenceLine x={decides} stroke="var(--rust)" strokeDasharray="3 3" />
            <Tooltip
              formatter={(value, name) => [formatNumber(Number(value)), String(name)]}
              labelFormatter={(day) => `day ${formatNumber(Number(day))}`}
              contentStyle={{
                background: "var(--chalk)",
                border: "2px solid var(--ink)",
                borderRadius: 0,
                color: "var(--ink)",
              }}
            />
            {arms.map((arm) => (
              <Line
                key={arm}
                dataKey={arm}
                name={armName(arm, terms)}
                stroke={LOOK[arm]!.stroke}
                strokeDasharray={LOOK[arm]!.dash}
                strokeWidth={2.5}
                dot={{ r: 4, fill: arm === "without" ? "var(--chalk)" : LOOK[arm]!.stroke }}
                connectNulls
                isAnimationActive={false}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <RowsTable
        name="trial-by-day"
        heads={["Day", ...arms.map((arm) => armName(arm, terms))]}
        rows={curve.map(({ on, means }) => [
          sayDay(on),
          ...arms.map((arm) => (means[arm] === undefined ? "" : formatNumber(means[arm]))),
        ])}
      />
    </figure>
  );
};
