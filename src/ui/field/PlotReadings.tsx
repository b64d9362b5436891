"use client";
import { useState } from "react";
import { daysBetween } from "@/core/calendar";
import { groupBy } from "@/core/groupBy";
import { MEASURES } from "@/core/trial/terms";
import { isoDay, sayDay } from "@/formats/times";
import { formatNumber } from "@/formats/numbers";
import type { PlotPage } from "@/services/field";
import { cardOf, READING_NAMES } from "@/words/said";
import { Button } from "../kit/Button";
import { panel } from "../kit/later";

type Reading = PlotPage["readings"][number];
const MeasureSheet = panel(() => import("./MeasureSheet").then((module) => module.MeasureSheet));

const [WIDTH, HEIGHT, PAD] = [320, 84, 12];

/** A reading in words. @example sayReading(reading); // "31.5 cm, mean of 3" */
export function sayReading({ kind, value, unit, parts }: Reading): string {
  const isScore = MEASURES[kind].scale === "ordinal";
  if (isScore) return `${formatNumber(value)} (${cardOf({ kind, card: [] })[Math.round(value) - 1] ?? ""})`;
  const shown = `${formatNumber(kind === "disease-share" ? 100 * value : value)}${unit ? ` ${unit}` : ""}`;
  return parts.length > 1 ? `${shown}, mean of ${parts.length}` : shown;
}

/** One kind of reading over the days; a drop below for each day on which something went on. */
const Course = ({ readings, page }: { readonly readings: readonly Reading[]; readonly page: PlotPage }) => {
  const inOrder = readings.toReversed();
  const [first, last] = [inOrder[0]!, inOrder.at(-1)!];
  const doses = page.doses
    .map(({ atMs }) => isoDay(new Date(atMs), page.farm))
    .filter((on) => on >= first.on && on <= last.on);
  const span = Math.max(1, daysBetween(first.on, last.on));
  const values = inOrder.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const x = (on: string): number => PAD + ((WIDTH - 2 * PAD) * daysBetween(first.on, on)) / span;
  const y = (value: number): number => HEIGHT - 22 - ((HEIGHT - 22 - PAD) * (value - low)) / (high - low || 1);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-sm" aria-hidden>
      <path
        d={inOrder.map(({ on, value }, nth) => `${nth === 0 ? "M" : "L"}${x(on)} ${y(value)}`).join("")}
        fill="none"
        stroke="var(--leaf)"
        strokeWidth="2.5"
      />
      {inOrder.map(({ id, on, value }) => (
        <circle key={id} cx={x(on)} cy={y(value)} r="4" fill="var(--chalk)" stroke="var(--ink)" strokeWidth="2" />
      ))}
      {[...new Set(doses)].map((on) => (
        <path key={on} d={`M${x(on)} ${HEIGHT - 16}q5 8 0 11q-5 -3 0 -11`} fill="var(--blue)" />
      ))}
    </svg>
  );
};

const SHOWN = 5;

/** What was measured of a bed, kind by kind, with what went on meanwhile; it proves nothing by itself, and says so. */
export const PlotReadings = ({ page }: { readonly page: PlotPage }) => {
  const [open, setOpen] = useState(false);
  const kinds = [...groupBy(page.readings, ({ kind }) => kind)];
  return (
    <section aria-labelledby="readings" className="mt-6">
      <h2 id="readings" className="text-xl">
        Readings
      </h2>
      {kinds.length > 0 ? (
        <p className="text-soft">One bed by itself does not tell what helped. Strips side by side do: begin a trial.</p>
      ) : null}
      <Button className="mt-2" onClick={() => setOpen(true)}>
        Measure it
      </Button>
      {kinds.map(([kind, readings]) => (
        <div key={kind} className="mt-3">
          <h3 className="font-semibold">{READING_NAMES[kind]}</h3>
          {readings.length > 1 ? <Course readings={readings} page={page} /> : null}
          <ol>
            {readings.slice(0, SHOWN).map((reading) => (
              <li key={reading.id} className="border-b border-line py-1">
                <span className="text-soft">
                  {sayDay(reading.on)}, {reading.by}:
                </span>{" "}
                {sayReading(reading)}
                {reading.note ? `; ${reading.note}` : ""}
              </li>
            ))}
          </ol>
        </div>
      ))}
      {open ? <MeasureSheet page={page} onClose={() => setOpen(false)} /> : null}
    </section>
  );
};
