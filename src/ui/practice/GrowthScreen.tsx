"use client";
import { useMemo, useState } from "react";
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { growthOf, shownHours, type GrowthTerms } from "@/core/practice/growth";
import type { DrumName } from "@/core/practice/yard/drums";
import { sayTemperature } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { Choices } from "../kit/Choices";
import { RowsTable } from "../kit/RowsTable";
import { DrumDrawing } from "./DrumDrawing";
import type { DrumPicture } from "./drumLook";
import { PracticeHead } from "./PracticeHead";

const BREWS = [
  { value: "tea", label: "Aerated tea" },
  { value: "leaf-mould brew", label: "Leaf-mould brew" },
  { value: "extract", label: "Plant extract" },
  { value: "serum", label: "Lactic serum" },
] as const;
const WARMTHS = ["8", "12", "16", "20", "24", "28", "34", "42"] as const;
const FOODS = [
  { value: "0.5", label: "half" },
  { value: "1", label: "by the recipe" },
  { value: "2", label: "twice" },
  { value: "3", label: "three times" },
] as const;
const RECIPE: Omit<GrowthTerms, "name"> = { celsius: 24, food: 1, culture: 1, hasAir: true };

/** What a brew's surface is like at so much life and food: the drawing that moves with the curve. */
function surfaceAt(alive: number, food: number, isPast: boolean): string {
  if (alive < 0.1) return "still";
  if (isPast) return alive > 0.5 ? "collapsing" : "flat";
  if (alive < 0.35) return "fine bubbles";
  if (alive < 0.75 || food > 0.6) return "patches";
  return "full head";
}
const sayTime = (hour: number): string => (hour < 72 ? `${Math.round(hour)} h` : `${formatNumber(hour / 24, 2)} days`);

interface Turned {
  readonly name: (typeof BREWS)[number]["value"];
  readonly warmth: (typeof WARMTHS)[number];
  readonly food: (typeof FOODS)[number]["value"];
  readonly water: "clean" | "tap";
  readonly air: "on" | "off";
}

/** What can be turned. */
const Turns = ({
  turned,
  onTurn,
  units,
}: {
  readonly turned: Turned;
  readonly onTurn: (next: Turned) => void;
  readonly units: "metric" | "us";
}) => {
  const { name, warmth, food, water, air } = turned;
  return (
    <div className="grid content-start gap-3">
      <Choices label="Brew" value={name} options={BREWS} onChange={(name) => onTurn({ ...turned, name })} />
      <Choices
        label="Warmth"
        value={warmth}
        options={WARMTHS.map((value) => ({ value, label: sayTemperature(Number(value), units) }))}
        onChange={(warmth) => onTurn({ ...turned, warmth })}
      />
      <Choices label="Food" value={food} options={FOODS} onChange={(food) => onTurn({ ...turned, food })} />
      <Choices
        label="Water"
        value={water}
        options={[
          { value: "clean", label: "free of chlorine" },
          { value: "tap", label: "from the tap" },
        ]}
        onChange={(water) => onTurn({ ...turned, water })}
      />
      {name === "tea" ? (
        <Choices
          label="Air"
          value={air}
          options={[
            { value: "on", label: "on" },
            { value: "off", label: "off" },
          ]}
          onChange={(air) => onTurn({ ...turned, air })}
        />
      ) : null}
    </div>
  );
};

interface Row {
  readonly "hour": number;
  readonly "life": number;
  readonly "food": number;
  readonly "by the recipe": number;
}
const Curve = ({
  rows,
  at,
  untilH,
}: {
  readonly rows: readonly Row[];
  readonly at: number;
  readonly untilH: number;
}) => (
  <div className="h-64">
    <ResponsiveContainer width="100%" height="100%">
      <LineChart data={rows} margin={{ top: 8, right: 12, bottom: 4, left: -14 }}>
        <CartesianGrid stroke="var(--line)" vertical={false} />
        <XAxis
          dataKey="hour"
          type="number"
          domain={[0, untilH]}
          tickFormatter={(value) => sayTime(Number(value))}
          stroke="var(--soft)"
          tick={{ fill: "var(--soft)", fontFamily: "var(--font-reading)" }}
        />
        <YAxis
          domain={[0, "auto"]}
          stroke="var(--soft)"
          tick={{ fill: "var(--soft)", fontFamily: "var(--font-reading)" }}
        />
        <ReferenceLine x={at} stroke="var(--rust)" strokeWidth={2} />
        <Tooltip
          formatter={(value, line) => [formatNumber(Number(value), 2), String(line)]}
          labelFormatter={(value) => sayTime(Number(value))}
          contentStyle={{
            background: "var(--chalk)",
            border: "2px solid var(--ink)",
            borderRadius: 0,
            color: "var(--ink)",
          }}
        />
        <Line
          dataKey="by the recipe"
          stroke="var(--soft)"
          strokeDasharray="4 4"
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
        <Line dataKey="food" stroke="var(--marigold)" strokeWidth={2} dot={false} isAnimationActive={false} />
        <Line dataKey="life" stroke="var(--leaf)" strokeWidth={3} dot={false} isAnimationActive={false} />
      </LineChart>
    </ResponsiveContainer>
  </div>
);

/** The curve of what was turned, the recipe’s beside it, and what comes of it. */
function useGrowth(turned: Turned) {
  const { name, warmth, food, water, air } = turned;
  const untilH = shownHours(name as DrumName);
  const terms: GrowthTerms = {
    name,
    celsius: Number(warmth),
    food: Number(food),
    culture: water === "tap" ? 0.05 : 1,
    hasAir: air === "on",
  };
  const own = useMemo(() => growthOf(terms, untilH), [name, warmth, food, water, air]); // eslint-disable-line react-hooks/exhaustive-deps -- terms are made of these
  const recipe = useMemo(() => growthOf({ name, ...RECIPE }, untilH), [name, untilH]);
  const rows: readonly Row[] = own.points.map((point, nth) => ({
    "hour": point.hour,
    "life": point.alive,
    "food": point.food,
    "by the recipe": recipe.points[nth]?.alive ?? 0,
  }));
  const pictureAt = (at: number): DrumPicture => {
    const now = own.points.findLast((point) => point.hour <= at)!;
    const surface = surfaceAt(now.alive, now.food, own.peakH !== null && at > own.peakH);
    return {
      ...{ name, isOpen: true, surface, film: "none", liquid: null, solids: null },
      outside: { isBulging: false, isBurst: false, isPumpSilent: air === "off" },
    };
  };
  const most = Math.max(...own.points.map(({ alive }) => alive));
  const told =
    most < 0.2
      ? "It hardly grows. Nothing to use comes of it in this time."
      : own.peakH === null
        ? "It still grows at the end of this time."
        : `Most life after ${sayTime(own.peakH)}${own.crashH === null ? "" : `, half of it gone after ${sayTime(own.crashH)}: the food ran out`}.`;
  return { untilH, own, rows, told, pictureAt };
}

/** One thing to turn at a time, and the curve beside the recipe’s: growth, food that runs out, and the crash. */
export const GrowthScreen = ({ units }: { readonly units: "metric" | "us" }) => {
  const [turned, setTurned] = useState<Turned>({ name: "tea", warmth: "24", food: "1", water: "clean", air: "on" });
  const [hour, setHour] = useState(24);
  const { untilH, own, rows, told, pictureAt } = useGrowth(turned);
  const at = Math.min(hour, untilH);
  return (
    <div className="max-w-5xl px-4 py-5 md:px-8">
      <PracticeHead title="Growth and crash" />
      <p className="max-w-2xl text-soft">
        Turn one thing and look what the curve does. A picture to learn by: the farm’s own forecasts are worked out
        another way.
      </p>
      <div className="mt-3 grid gap-4 md:grid-cols-[20rem_1fr]">
        <Turns turned={turned} onTurn={setTurned} units={units} />
        <div>
          <p aria-live="polite" className="text-[1.15rem] font-semibold">
            {told}
          </p>
          <Curve rows={rows} at={at} untilH={untilH} />
          <p className="text-soft">
            <span className="font-semibold text-leaf">— life</span> · <span className="font-semibold">— food</span>{" "}
            (yellow) · - - life by the recipe at {sayTemperature(24, units)}. 1 is the most that the recipe reaches.
          </p>
          <label className="mt-2 block">
            <span className="font-semibold">Look at it after {sayTime(at)}</span>
            <input
              type="range"
              min={0}
              max={untilH}
              value={at}
              onChange={({ target }) => setHour(Number(target.value))}
              className="h-11 w-full accent-[var(--rust)]"
            />
          </label>
          <DrumDrawing picture={pictureAt(at)} className="w-44" />
          <RowsTable
            name="growth"
            heads={["Hour", "Life", "Food", "Life by the recipe"]}
            rows={rows.map((row) => [
              String(row.hour),
              formatNumber(row.life, 2),
              formatNumber(row.food, 2),
              formatNumber(row["by the recipe"], 2),
            ])}
          />
          <p className="mt-2 max-w-xl text-soft">
            “A thousandfold” is only a matter of how little was there at the start: here it is{" "}
            {formatNumber(own.fold, 2)} times. The end is the same, for the food is the same.
          </p>
        </div>
      </div>
    </div>
  );
};
