"use client";
import { useState } from "react";
import { sayVolume } from "@/formats/amounts";
import { clockTime, longWeekday, sayDuration } from "@/formats/times";
import { sayStrip } from "@/words/said";
import type { FarmView } from "@/services/farm";
import type { WatersView, WaterStartView, WaterView } from "@/services/water";
import { sayWaterSource } from "@/words/said";
import { asItStands } from "../kit/asItStands";
import { Button } from "../kit/Button";
import { ChangeThing } from "../farm/ChangeThing";
import { panel } from "../kit/later";
import { inText } from "@/formats/grammar";

const ThingSheet = panel(() => import("../farm/ThingSheet").then((module) => module.ThingSheet));
const LevelSheet = panel(() => import("./WaterForms").then((module) => module.LevelSheet));
const StripSheet = panel(() => import("./WaterForms").then((module) => module.StripSheet));
const StartWaterSheet = panel(() => import("./StartWaterSheet").then((module) => module.StartWaterSheet));

const TREATMENT_WORDS = {
  none: "as it is",
  stand: "standing",
  bubble: "bubbling",
  ascorbic: "with ascorbic acid",
  carbon: "through carbon",
} as const;

/** A butt with its clock: how much of its waiting is done. */
const Butt = ({ start, nowMs }: { readonly start: WaterStartView; readonly nowMs: number }) => {
  const whole = Math.max(1, start.readyMs - start.startedMs);
  const share = Math.min(1, Math.max(0, (nowMs - start.startedMs) / whole));
  return (
    <svg role="img" aria-label={`${Math.round(share * 100)} % of its time`} width={44} height={56} className="shrink-0">
      <path d="M4 6H40L37 52H7Z" fill="var(--chalk)" />
      <clipPath id={`butt-${start.id}`}>
        <path d="M4 6H40L37 52H7Z" />
      </clipPath>
      <rect x={0} y={12} width={44} height={44} fill="var(--rain-wash)" clipPath={`url(#butt-${start.id})`} />
      <rect
        x={0}
        y={12 + 40 * (1 - share)}
        width={44}
        height={40 * share}
        fill="var(--blue)"
        opacity={0.75}
        clipPath={`url(#butt-${start.id})`}
      />
      <path d="M4 6H40L37 52H7Z" fill="none" stroke="var(--ink)" strokeWidth={1.8} />
    </svg>
  );
};

type Open = { readonly type: "add" } | { readonly type: "strip" | "start" | "level"; readonly water: WaterView } | null;

/** The farm's waters with their strips, and what stands or bubbles now, each with its clock. */
export const WaterPanel = ({ view, farm }: { readonly view: WatersView; readonly farm: FarmView }) => {
  const [open, setOpen] = useState<Open>(null);
  const close = () => setOpen(null);
  const water = open && open.type !== "add" ? asItStands(view.waters, open.water) : null;
  return (
    <section aria-label="Water" id="water" className="mt-8 scroll-mt-20">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 className="text-xl">Water</h2>
        <Button onClick={() => setOpen({ type: "add" })}>Add a source</Button>
      </div>
      {view.waters.length === 0 ? (
        <p className="mt-1 text-soft">No water yet. Add your tap, well or rain tank. Each fill asks which one.</p>
      ) : null}
      <div className="mt-2 grid gap-x-10 gap-y-4 md:grid-cols-2">
        <ul className="divide-y divide-line border-y border-line empty:hidden">
          {view.waters.map((water) => (
            <li key={water.id} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-2">
              <span>
                <span className="font-semibold">{water.name}</span>
                <span className="block text-[0.9rem] text-soft">
                  {inText(sayWaterSource(water.kind))}; {sayStrip(water)}
                  {water.readMs === null ? "" : `, read ${sayDuration((view.nowMs - water.readMs) / 3_600_000)} ago`}
                  {water.leftL === null ? "" : `; about ${sayVolume(water.leftL, farm.units)} in it`}
                </span>
              </span>
              <span className="flex flex-wrap gap-2">
                <Button onClick={() => setOpen({ type: "level", water })}>Its level</Button>
                <Button onClick={() => setOpen({ type: "strip", water })}>Add strip reading</Button>
                <Button onClick={() => setOpen({ type: "start", water })}>Treat water</Button>
                <ChangeThing kind="water" id={water.id} name={water.name} />
              </span>
            </li>
          ))}
        </ul>
        <ul className="grid content-start gap-3">
          {view.starts.length === 0 && view.waters.length > 0 ? (
            <li className="text-soft">No treated water. Brewing and dilution both need it.</li>
          ) : null}
          {view.starts.map((start) => {
            const leftH = (start.readyMs - view.nowMs) / 3_600_000;
            const ready = new Date(start.readyMs);
            return (
              <li key={start.id} className="flex items-center gap-3">
                <Butt start={start} nowMs={view.nowMs} />
                <span>
                  <span className="font-semibold">
                    {sayVolume(start.leftL, farm.units)} {start.sourceName}
                    {start.purpose === "brew" ? " for brewing" : " for thinning"}
                  </span>
                  <span className="block text-[0.9rem] text-soft">
                    {TREATMENT_WORDS[start.treatment]}
                    {start.place ? `, ${start.place}` : ""};{" "}
                    {leftH <= 0
                      ? "ready"
                      : `ready ${longWeekday(ready, farm)} ${clockTime(ready, farm)}, ${sayDuration(leftH)} more`}
                    {start.ascorbicG === null ? "" : `; ${start.ascorbicG.toFixed(1)} g of ascorbic acid stirred in`}
                  </span>
                </span>
              </li>
            );
          })}
        </ul>
      </div>
      {open?.type === "add" ? <ThingSheet kind="water" onClose={close} /> : null}
      {open?.type === "strip" && water ? <StripSheet water={water} onClose={close} /> : null}
      {open?.type === "level" && water ? <LevelSheet water={water} onClose={close} /> : null}
      {open?.type === "start" && water ? <StartWaterSheet water={water} units={farm.units} onClose={close} /> : null}
    </section>
  );
};
