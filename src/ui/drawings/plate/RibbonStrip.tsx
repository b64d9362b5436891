import { area, curveMonotoneX } from "d3-shape";
import type { RibbonPoint } from "@/services/ferment";
import { BestMark, halfWidth, LostHatch, Torn, tornAt } from "../ribbonParts";
import { seenOf, type PlateScale } from "./scale";

interface RibbonStripProps {
  readonly id: string;
  readonly scale: PlateScale;
  readonly points: readonly RibbonPoint[];
  readonly bestMs: number | null;
  /** Nothing will come of it. */
  readonly lost: boolean;
  readonly top: number;
  readonly height: number;
}

/** A ribbon as wide as the chance that the batch is ready; grey behind, green ahead, a diamond at its best, torn where it goes past. */
export const RibbonStrip = ({ id, scale, points, bestMs, lost, top, height }: RibbonStripProps) => {
  const { x, nowMs, toMs, fromMs } = scale;
  const middle = top + height / 2;
  const half = height / 2 - 6;
  const drawn = seenOf(points, scale);
  const shape = area<RibbonPoint>()
    .x(({ atMs }) => x(atMs))
    .y0((point) => middle - halfWidth(point, half))
    .y1((point) => middle + halfWidth(point, half))
    .curve(curveMonotoneX)(drawn);
  const torn = lost ? null : tornAt(drawn);
  return (
    <g>
      <defs>
        <LostHatch id={`lost-${id}`} />
        <clipPath id={`ahead-${id}`}>
          <rect x={x(nowMs)} y={top} width={Math.max(0, x(toMs) - x(nowMs))} height={height} />
        </clipPath>
        <clipPath id={`behind-${id}`}>
          <rect x={x(fromMs)} y={top} width={x(nowMs) - x(fromMs)} height={height} />
        </clipPath>
      </defs>
      {lost ? (
        <rect
          x={x(fromMs)}
          y={middle - 5}
          width={x(toMs) - x(fromMs)}
          height={10}
          fill={`url(#lost-${id})`}
          stroke="var(--rust)"
        />
      ) : (
        <>
          <path d={shape ?? ""} fill="var(--galvanised)" opacity={0.6} clipPath={`url(#behind-${id})`} />
          <path
            d={shape ?? ""}
            fill="var(--leaf-wash)"
            stroke="var(--leaf)"
            strokeWidth={1.6}
            clipPath={`url(#ahead-${id})`}
          />
        </>
      )}
      {torn !== null && torn > fromMs && torn < toMs ? <Torn x={x(torn)} y={middle} along="x" /> : null}
      {bestMs !== null && bestMs > nowMs && bestMs < toMs && !lost ? (
        <BestMark x={x(bestMs)} y={middle} halfPx={11} />
      ) : null}
    </g>
  );
};
