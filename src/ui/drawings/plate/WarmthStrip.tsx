import { curveMonotoneX, line } from "d3-shape";
import type { Progress } from "@/services/ferment";
import type { StripAxis } from "./axes";
import { seenOf, type PlateScale } from "./scale";
import { StripTicks } from "./StripTicks";

interface WarmthStripProps {
  readonly scale: PlateScale;
  readonly progress: Pick<Progress, "liquid" | "temperatures">;
  readonly axis: StripAxis;
}

/** The liquid's temperature as worked out, the air it stands in, and what was read: round by hand, small by a probe. */
export const WarmthStrip = ({ scale, progress, axis }: WarmthStripProps) => {
  const { x, fromMs, toMs } = scale;
  const { y } = axis;
  const points = seenOf(progress.liquid, scale);
  const reads = progress.temperatures.filter(({ atMs }) => atMs >= fromMs && atMs <= toMs);
  type Point = (typeof points)[number];
  const path = (value: (point: Point) => number) =>
    line<Point>()
      .x(({ atMs }) => x(atMs))
      .y((point) => y(value(point)))
      .curve(curveMonotoneX)(points) ?? "";
  return (
    <g>
      <StripTicks axis={axis} scale={scale} />
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
    </g>
  );
};
