import { memo } from "react";
import { boundsOf } from "@/core/land/ring";
import { sayArea, type UnitSystem } from "@/formats/amounts";
import type { PlotView } from "@/services/field";
import { stageFill } from "./hatches";
import { PlanLabel } from "./PlanLabel";
import { pathOf, type PlanFrame } from "./planFrame";

interface PlotOnPlanProps {
  readonly plot: PlotView;
  readonly frame: PlanFrame;
  readonly isChosen: boolean;
  readonly units: UnitSystem;
  /** What it got last, in words. */
  readonly last: string;
  readonly onToggle: (id: number) => void;
}

/** Of plots that are drawn smaller than so many pixels a metre a thick edge would leave nothing. */
const THIN_BELOW_PX = 12;
/** The narrowest strip that a thumb can hit, px. */
const LEAST_HIT_PX = 44;

/** The ground round narrow plots that a thumb may hit for them. It lies under all plots, so that none takes what is another's. */
export const HitGround = memo(
  ({
    plots,
    frame,
    onToggle,
  }: Pick<PlotOnPlanProps, "frame" | "onToggle"> & { readonly plots: readonly PlotView[] }) => (
    <g aria-hidden>
      {plots.map(({ id, ring }) => {
        const { minX, minY, maxX, maxY } = boundsOf(ring);
        const narrowestPx = Math.min(maxX - minX, maxY - minY) * frame.pxPerM;
        return narrowestPx >= LEAST_HIT_PX ? null : (
          <path
            key={id}
            data-drawn
            data-hit={id}
            d={pathOf(ring, frame)}
            fill="transparent"
            stroke="transparent"
            strokeWidth={LEAST_HIT_PX - narrowestPx}
            pointerEvents="all"
            onClick={() => onToggle(id)}
          />
        );
      })}
    </g>
  ),
);
HitGround.displayName = "HitGround";

/** A plot to scale, told by its crop and stage: tap it to take it in or leave it out. */
export const PlotOnPlan = memo(({ plot, frame, isChosen, units, last, onToggle }: PlotOnPlanProps) => {
  const path = pathOf(plot.ring, frame);
  const soil = plot.treatablePieces
    ? plot.treatablePieces.flatMap(({ outer, holes }) => [outer, ...holes].map((ring) => pathOf(ring, frame))).join("")
    : path;
  const toggle = () => onToggle(plot.id);
  return (
    <g data-drawn className="plan-plot cursor-pointer" onClick={toggle}>
      {plot.treatablePieces ? <path d={path} fill="url(#near-water)" /> : null}
      <path d={soil} fillRule="evenodd" fill={isChosen ? "var(--marigold-wash)" : "var(--chalk)"} />
      <path d={soil} fillRule="evenodd" fill={stageFill(plot.stage)} opacity={isChosen ? 0.55 : 1} />
      <path
        d={path}
        role="button"
        tabIndex={0}
        aria-pressed={isChosen}
        aria-label={`${plot.name}, ${plot.crop || "bare"}, ${sayArea(plot.areaM2, units)}; last got ${last}`}
        onKeyDown={(event) => {
          if (event.key !== "Enter" && event.key !== " ") return;
          event.preventDefault();
          toggle();
        }}
        className="plan-edge"
        fill="transparent"
        stroke="var(--ink)"
        strokeWidth={isChosen ? (frame.pxPerM < THIN_BELOW_PX ? 1.8 : 3.4) : 1.3}
        vectorEffect="non-scaling-stroke"
      >
        <title>{`${plot.name}: ${plot.crop || "bare"}, ${sayArea(plot.areaM2, units)}${plot.plants ? `, ${plot.plants} plants` : ""}. Last got: ${last}.`}</title>
      </path>
      <PlanLabel
        ring={plot.ring}
        frame={frame}
        name={isChosen ? `✓ ${plot.name}` : plot.name}
        rest={plot.crop || "bare"}
        ground={isChosen ? "var(--marigold-wash)" : "var(--limewash)"}
      />
    </g>
  );
});
PlotOnPlan.displayName = "PlotOnPlan";
