import { scaleLinear } from "d3-scale";
import { area, curveMonotoneX, line } from "d3-shape";
import type { LeadFeature } from "@/core/judge/expectedCurve";
import { LEAD_WORDS } from "@/formats/lookText";
import { formatNumber } from "@/formats/numbers";
import type { Progress } from "@/services/ferment/readProgress";
import { PAD_X, type PlateScale } from "./scale";

interface CurveStripProps {
  readonly scale: PlateScale;
  readonly curve: NonNullable<Progress["curve"]>;
  readonly targetPh: number | null;
  readonly top: number;
  readonly height: number;
}

const RANGES: Record<LeadFeature, readonly [number, number]> = {
  ph: [3, 7],
  foam: [0, 1.2],
  viability: [0, 1.2],
  parted: [0, 1],
  extent: [0, 1],
  sunk: [0, 1],
  phase: [0, 3],
};
const TICKS: Record<LeadFeature, readonly number[]> = {
  ph: [4, 5, 6],
  foam: [0, 0.5, 1],
  viability: [0, 0.5, 1],
  parted: [0, 0.5, 1],
  extent: [0, 0.5, 1],
  sunk: [0, 0.5, 1],
  phase: [1, 2, 3],
};

/** How the batch should have gone and will go, with its band, and what was read of it: small by a probe, hollow where it does not count. */
export const CurveStrip = ({ scale, curve, targetPh, top, height }: CurveStripProps) => {
  const { x, fromMs, toMs } = scale;
  const { feature, points, readings } = curve;
  const [low, high] = RANGES[feature];
  const y = scaleLinear([low, high], [top + height - 8, top + 20]).clamp(true);
  const { scale: factor, unit, name } = LEAD_WORDS[feature];
  const drawn = points.filter(({ atMs }) => atMs >= fromMs && atMs <= toMs);
  type Point = (typeof drawn)[number];
  const band = area<Point>()
    .x(({ atMs }) => x(atMs))
    .y0((point) => y(point.low))
    .y1((point) => y(point.high))
    .curve(curveMonotoneX)(drawn);
  const middle = line<Point>()
    .x(({ atMs }) => x(atMs))
    .y((point) => y(point.mid))
    .curve(curveMonotoneX)(drawn);
  return (
    <g>
      {feature === "ph" && targetPh !== null ? (
        <rect
          x={x(fromMs)}
          y={y(targetPh)}
          width={x(toMs) - x(fromMs)}
          height={y(low) - y(targetPh)}
          fill="var(--leaf-wash)"
          opacity={0.55}
        />
      ) : null}
      {TICKS[feature].map((value) => (
        <g key={value}>
          <line x1={x(fromMs)} x2={x(toMs)} y1={y(value)} y2={y(value)} stroke="var(--line)" strokeDasharray="1 4" />
          <text x={PAD_X - 6} y={y(value) + 5} textAnchor="end" className="reading" fontSize={14} fill="var(--soft)">
            {formatNumber(value * factor, 2)}
          </text>
        </g>
      ))}
      <path d={band ?? ""} fill="var(--galvanised)" opacity={0.5} />
      <path d={middle ?? ""} fill="none" stroke="var(--ink)" strokeWidth={1.8} strokeDasharray="6 3" />
      {readings
        .filter(({ atMs }) => atMs >= fromMs && atMs <= toMs)
        // A probe's are many and small, and lie under what was read by hand.
        .toSorted((a, b) => Number(b.byProbe) - Number(a.byProbe))
        .map(({ atMs, value, counted, byProbe }) => (
          <circle
            key={`${atMs}-${value}-${byProbe}`}
            cx={x(atMs)}
            cy={y(value)}
            r={byProbe ? 1.8 : 5}
            fill={counted ? "var(--blue)" : "var(--chalk)"}
            stroke={byProbe ? "none" : counted ? "var(--chalk)" : "var(--blue)"}
            strokeWidth={1.8}
          >
            <title>{`${formatNumber(value * factor, 3)}${unit}${counted ? "" : ", not counted"}`}</title>
          </circle>
        ))}
      <text x={x(fromMs)} y={top + 12} fontSize={14} fontWeight={600} fill="var(--ink)">
        {name}
        {feature === "ph" && targetPh !== null ? `; the band is ready, ${formatNumber(targetPh)} and under` : ""}
      </text>
    </g>
  );
};
