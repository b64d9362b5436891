"use client";
import { sayArea, sayVolume, type UnitSystem } from "@/formats/amounts";
import { sayMoment, type FarmClock } from "@/formats/times";
import type { PlotView } from "@/services/field";

interface FieldMapProps {
  readonly plots: readonly PlotView[];
  readonly chosen: ReadonlySet<number>;
  readonly onToggle: (id: number) => void;
  readonly clock: FarmClock;
  readonly nowMs: number;
  readonly units: UnitSystem;
}

const PX_PER_M = 24;
const PAD = 10;
/** The narrowest strip a thumb can hit, px. */
const LEAST_HIT = 44;

/** A stage's own hatch: bare soil is dotted, seedlings ticked, growth ruled, flower and fruit ringed, perennials hatched. */
const Hatches = () => (
  <defs>
    <pattern id="stage-bare" width={9} height={9} patternUnits="userSpaceOnUse">
      <circle cx={3} cy={3} r={1.1} fill="#8a6a44" />
    </pattern>
    <pattern id="stage-seedling" width={9} height={10} patternUnits="userSpaceOnUse">
      <path d="M4 8V5M4 5l-2 -2M4 5l2 -2" stroke="var(--leaf)" fill="none" strokeWidth={1.2} />
    </pattern>
    <pattern id="stage-growing" width={8} height={8} patternUnits="userSpaceOnUse">
      <path d="M2 0V8M6 0V8" stroke="var(--leaf)" strokeWidth={1.3} opacity={0.75} />
    </pattern>
    <pattern id="stage-flowering" width={10} height={10} patternUnits="userSpaceOnUse">
      <circle cx={5} cy={5} r={2.4} fill="none" stroke="var(--marigold)" strokeWidth={1.4} />
    </pattern>
    <pattern id="stage-fruiting" width={10} height={10} patternUnits="userSpaceOnUse">
      <circle cx={5} cy={5} r={2.4} fill="var(--rust)" opacity={0.65} />
    </pattern>
    <pattern id="stage-perennial" width={9} height={9} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M2 0V9" stroke="var(--leaf)" strokeWidth={1.6} opacity={0.75} />
    </pattern>
  </defs>
);

const sayLast = (plot: PlotView, nowMs: number, clock: FarmClock) =>
  plot.last
    ? `${plot.last.storeLabel.toLowerCase()} ${sayMoment(new Date(plot.last.atMs), new Date(nowMs), clock)}`
    : "nothing yet";

/** The beds to scale: tap one to take it in or leave it out. */
export const FieldMap = ({ plots, chosen, onToggle, clock, nowMs, units }: FieldMapProps) => {
  const width = Math.max(...plots.map((plot) => plot.xM + plot.widthM)) * PX_PER_M + 2 * PAD;
  const height = Math.max(...plots.map((plot) => plot.yM + plot.lengthM)) * PX_PER_M + 2 * PAD;
  return (
    <div role="region" aria-label="Field plan" tabIndex={0} className="overflow-auto">
      <div className="relative" style={{ width, height }}>
        <svg aria-hidden width={width} height={height} className="absolute inset-0">
          <Hatches />
          {plots.map((plot) => {
            const box = {
              x: PAD + plot.xM * PX_PER_M,
              y: PAD + plot.yM * PX_PER_M,
              width: plot.widthM * PX_PER_M,
              height: plot.lengthM * PX_PER_M,
            };
            const isChosen = chosen.has(plot.id);
            return (
              <g key={plot.id}>
                <rect {...box} fill={isChosen ? "var(--marigold-wash)" : "var(--chalk)"} />
                <rect {...box} fill={`url(#stage-${plot.stage})`} opacity={isChosen ? 0.55 : 1} />
                <rect {...box} fill="none" stroke="var(--ink)" strokeWidth={isChosen ? 4 : 1.4} />
              </g>
            );
          })}
        </svg>
        {plots.map((plot) => {
          const hit = Math.max(0, LEAST_HIT - plot.widthM * PX_PER_M) / 2;
          return (
            <button
              key={plot.id}
              type="button"
              aria-pressed={chosen.has(plot.id)}
              aria-label={`${plot.name}, ${plot.crop || "bare"}, ${sayArea(plot.areaM2, units)}; last got ${sayLast(plot, nowMs, clock)}`}
              title={`${plot.name}: ${plot.crop || "bare"}, ${sayArea(plot.areaM2, units)}${plot.plants ? `, ${plot.plants} plants` : ""}. Last got: ${sayLast(plot, nowMs, clock)}${plot.last ? `, ${sayVolume(plot.last.mixL, units)}` : ""}.`}
              onClick={() => onToggle(plot.id)}
              className="absolute flex justify-center overflow-hidden pt-2"
              style={{
                left: PAD + plot.xM * PX_PER_M - hit + 1,
                top: PAD + plot.yM * PX_PER_M,
                width: Math.max(LEAST_HIT - 2, plot.widthM * PX_PER_M),
                height: plot.lengthM * PX_PER_M,
              }}
            >
              <span className="self-start overflow-hidden whitespace-nowrap bg-chalk/85 px-0.5 py-1.5 text-[0.86rem] leading-none [writing-mode:vertical-rl]">
                <b>
                  {chosen.has(plot.id) ? "✓ " : ""}
                  {plot.name}
                </b>{" "}
                {plot.crop || "bare"}
              </span>
            </button>
          );
        })}
      </div>
    </div>
  );
};

export const StageKey = () => (
  <ul className="flex flex-wrap gap-x-4 gap-y-1 text-[0.86rem] text-soft" aria-label="How stages are drawn">
    {(["bare", "seedling", "growing", "flowering", "fruiting", "perennial"] as const).map((stage) => (
      <li key={stage} className="flex items-center gap-1.5">
        <svg aria-hidden width={22} height={16} className="border border-ink">
          <rect width={22} height={16} fill="var(--chalk)" />
          <rect width={22} height={16} fill={`url(#stage-${stage})`} />
        </svg>
        {stage}
      </li>
    ))}
  </ul>
);
