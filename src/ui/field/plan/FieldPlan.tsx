"use client";
import { Maximize, Minus, Plus } from "lucide-react";
import { useMemo, type ReactNode } from "react";
import type { Point } from "@/core/land/ring";
import type { UnitSystem } from "@/formats/amounts";
import { sayMoment, type FarmClock } from "@/formats/times";
import type { PlotView } from "@/services/field";
import type { LandMark } from "@/services/types";
import { Hatches } from "./hatches";
import { MarkNames, MarksOnPlan } from "./MarksOnPlan";
import { frameOf, type PlanFrame } from "./planFrame";
import { HitGround, PlotOnPlan } from "./PlotOnPlan";
import type { Poured } from "./poured";
import { StrandsOnPlan } from "./StrandsOnPlan";
import { usePlanZoom } from "./usePlanZoom";
import { inText } from "@/formats/grammar";

interface FieldPlanProps {
  readonly plots: readonly PlotView[];
  readonly marks: readonly LandMark[];
  readonly chosen: ReadonlySet<number>;
  readonly onToggle: (id: number) => void;
  readonly clock: FarmClock;
  readonly nowMs: number;
  readonly units: UnitSystem;
  /** How a brew runs down over the land; null while none is chosen. */
  readonly poured?: readonly Poured[] | null;
  /** Buttons above it. */
  readonly tools?: ReactNode;
}

/** Room for the vessel at the fill point, px. */
const HEAD_PX = 34;

export const sayLast = (plot: PlotView, nowMs: number, clock: FarmClock): string =>
  plot.last
    ? `${inText(plot.last.storeLabel)} ${sayMoment(new Date(plot.last.atMs), new Date(nowMs), clock)}`
    : "nothing yet";

/** The frame in which the farm's land is drawn. */
export const planFrameOf = ({ plots, marks }: Pick<FieldPlanProps, "plots" | "marks">): PlanFrame =>
  frameOf(
    plots.map(({ ring }) => ring),
    marks.flatMap(({ line }) => line),
    HEAD_PX,
  );

/** Where brews are filled in: the farm's fill point, else its tap, else the head of the plan's middle. */
export function fillPointOf(marks: readonly LandMark[], frame: PlanFrame): Point {
  const stands = marks.find(({ kind }) => kind === "fill-point") ?? marks.find(({ kind }) => kind === "tap");
  return stands?.line[0] ?? frame.toM([frame.widthPx / 2, HEAD_PX - 12]);
}

/** Nearer, farther, all of it. */
export const ZoomKeys = ({ zoomBy, fit }: { readonly zoomBy: (factor: number) => void; readonly fit: () => void }) => (
  <div className="flex w-max border-2 border-ink bg-chalk">
    {(
      [
        ["Nearer", <Plus key="+" aria-hidden />, () => zoomBy(1.5)],
        ["Farther", <Minus key="-" aria-hidden />, () => zoomBy(1 / 1.5)],
        ["All of it", <Maximize key="o" aria-hidden />, fit],
      ] as readonly (readonly [string, ReactNode, () => void])[]
    ).map(([name, icon, run]) => (
      <button
        key={name}
        type="button"
        aria-label={name}
        title={name}
        onClick={run}
        className="grid size-11 place-items-center"
      >
        {icon}
      </button>
    ))}
  </div>
);

/** The land to scale: plots told by crop and stage, waters with their distance, and how a brew runs over it. */
export const FieldPlan = ({
  plots,
  marks,
  chosen,
  onToggle,
  clock,
  nowMs,
  units,
  poured = null,
  tools = null,
}: FieldPlanProps) => {
  const frame = useMemo(() => planFrameOf({ plots, marks }), [plots, marks]);
  const { svg, layer, isFarAtFirst, zoomBy, fit } = usePlanZoom(frame.pxPerM);
  return (
    <div role="region" aria-label="Field plan">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-2">
        <div className="flex flex-wrap items-center gap-x-2">{tools}</div>
        <ZoomKeys zoomBy={zoomBy} fit={fit} />
      </div>
      <svg
        ref={svg}
        viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
        className="plan block max-h-[78vh] w-full touch-pan-y"
        data-far={isFarAtFirst ? "" : undefined}
      >
        <Hatches />
        <g ref={layer}>
          <MarksOnPlan marks={marks} frame={frame} />
          <HitGround plots={plots} frame={frame} onToggle={onToggle} />
          {plots.map((plot) => (
            <PlotOnPlan
              key={plot.id}
              plot={plot}
              frame={frame}
              isChosen={chosen.has(plot.id)}
              units={units}
              last={sayLast(plot, nowMs, clock)}
              onToggle={onToggle}
            />
          ))}
          <MarkNames marks={poured ? marks.filter(({ kind }) => kind !== "fill-point") : marks} frame={frame} />
          {poured ? (
            <StrandsOnPlan from={fillPointOf(marks, frame)} poured={poured} frame={frame} units={units} />
          ) : null}
        </g>
      </svg>
    </div>
  );
};
