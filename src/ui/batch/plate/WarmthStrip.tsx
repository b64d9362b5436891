import { scaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import { fromBase } from "@/core/quantity/units";
import type { UnitSystem } from "@/formats/amounts";
import type { Progress } from "@/services/ferment/readProgress";
import { PAD_X, type PlateScale } from "./scale";

interface WarmthStripProps {
  readonly scale: PlateScale;
  readonly progress: Pick<Progress, "liquid" | "temperatures">;
  readonly units: UnitSystem;
  readonly top: number;
  readonly height: number;
}

/** The liquid's temperature as worked out, the air it stands in, and what was read: round by hand, small by a probe. */
export const WarmthStrip = ({ scale, progress, units, top, height }: WarmthStripProps) => {
  const { x, fromMs, toMs } = scale;
  const unit = units === "us" ? "°F" : "°C";
  const shown = (celsius: number) => fromBase({ dimension: "temperature", value: celsius }, unit).value;
  const points = progress.liquid.filter(({ atMs }) => atMs >= fromMs && atMs <= toMs);
  const reads = progress.temperatures.filter(({ atMs }) => atMs >= fromMs && atMs <= toMs);
  const all = [...points.flatMap(({ celsius, airC }) => [celsius, airC]), ...reads.map(({ celsius }) => celsius)];
  const [low, high] = [Math.floor(Math.min(12, ...all) / 5) * 5, Math.ceil(Math.max(25, ...all) / 5) * 5];
  const y = scaleLinear([low, high], [top + height - 6, top + 20]);
  type Point = (typeof points)[number];
  const path = (value: (point: Point) => number) =>
    line<Point>()
      .x(({ atMs }) => x(atMs))
      .y((point) => y(value(point)))
      .curve(curveMonotoneX)(points) ?? "";
  const marks = y.ticks(3);
  return (
    <g>
      {marks.map((celsius) => (
        <g key={celsius}>
          <line
            x1={x(fromMs)}
            x2={x(toMs)}
            y1={y(celsius)}
            y2={y(celsius)}
            stroke="var(--line)"
            strokeDasharray="1 4"
          />
          <text x={PAD_X - 6} y={y(celsius) + 5} textAnchor="end" className="reading" fontSize={14} fill="var(--soft)">
            {Math.round(shown(celsius))}
          </text>
        </g>
      ))}
      <path d={path(({ airC }) => airC)} fill="none" stroke="var(--soft)" strokeWidth={1} opacity={0.7} />
      <path d={path(({ celsius }) => celsius)} fill="none" stroke="var(--rust)" strokeWidth={2} />
      {reads.map(({ atMs, celsius, byProbe }) => (
        <circle
          key={`${atMs}-${celsius}`}
          cx={x(atMs)}
          cy={y(celsius)}
          r={byProbe ? 1.8 : 4.5}
          fill="var(--rust)"
          stroke={byProbe ? "none" : "var(--chalk)"}
          strokeWidth={1.5}
        />
      ))}
      <text x={x(fromMs)} y={top + 12} fontSize={14} fontWeight={600} fill="var(--ink)">
        Liquid {unit}; the thin line is the air
      </text>
    </g>
  );
};
