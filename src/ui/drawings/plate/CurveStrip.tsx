import { area, curveMonotoneX, line } from "d3-shape";
import { LEAD_WORDS } from "@/words/said";
import { formatNumber } from "@/formats/numbers";
import type { Progress } from "@/services/ferment";
import type { StripAxis } from "./axes";
import { seenOf, type PlateScale } from "./scale";
import { StripTicks } from "./StripTicks";

interface CurveStripProps {
  readonly scale: PlateScale;
  readonly curve: NonNullable<Progress["curve"]>;
  readonly targetPh: number | null;
  readonly axis: StripAxis;
}

/** How the batch should have gone and will go, with its band, and what was read of it: small by a probe, hollow where it does not count. */
export const CurveStrip = ({ scale, curve, targetPh, axis }: CurveStripProps) => {
  const { x, fromMs, toMs } = scale;
  const { feature, points, readings } = curve;
  const { y } = axis;
  const [low] = axis.span;
  const { scale: factor, unit } = LEAD_WORDS[feature];
  const drawn = seenOf(points, scale);
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
      <StripTicks axis={axis} scale={scale} />
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
            {byProbe ? null : (
              <title>{`${formatNumber(value * factor, 3)}${unit}${counted ? "" : ", not counted"}`}</title>
            )}
          </circle>
        ))}
    </g>
  );
};
