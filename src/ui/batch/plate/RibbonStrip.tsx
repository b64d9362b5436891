import { area, curveMonotoneX } from "d3-shape";
import type { RibbonPoint } from "@/services/ferment";
import { seenOf, type PlateScale } from "./scale";

const THREAD = 2.5;

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

/** Where it goes past: the moment after which it is likelier over than not. */
const tornAt = (points: readonly RibbonPoint[]): number | null => points.find(({ past }) => past > 0.5)?.atMs ?? null;

/** A ribbon as wide as the chance that the batch is ready; grey behind, green ahead, a diamond at its best, torn where it goes past. */
export const RibbonStrip = ({ id, scale, points, bestMs, lost, top, height }: RibbonStripProps) => {
  const { x, nowMs, toMs, fromMs } = scale;
  const middle = top + height / 2;
  const half = height / 2 - 6;
  const drawn = seenOf(points, scale);
  const width = ({ ready }: { ready: number }) => THREAD + (half - THREAD) * ready;
  const shape = area<RibbonPoint>()
    .x(({ atMs }) => x(atMs))
    .y0((point) => middle - width(point))
    .y1((point) => middle + width(point))
    .curve(curveMonotoneX)(drawn);
  const torn = lost ? null : tornAt(drawn);
  return (
    <g>
      <defs>
        <pattern id={`lost-${id}`} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={7} stroke="var(--rust)" strokeWidth={3} />
        </pattern>
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
      {torn !== null && torn > fromMs && torn < toMs ? (
        <path
          d={`M${x(torn) - 4} ${middle - 22} l8 5.5 l-8 5.5 l8 5.5 l-8 5.5 l8 5.5 l-8 5.5 l8 5.5 l-8 5.5`}
          fill="none"
          stroke="var(--rust)"
          strokeWidth={2}
        />
      ) : null}
      {bestMs !== null && bestMs > nowMs && bestMs < toMs && !lost ? (
        <path
          d={`M${x(bestMs)} ${middle - 11} l11 11 l-11 11 l-11 -11z`}
          fill="var(--marigold)"
          stroke="var(--chalk)"
          strokeWidth={2}
        />
      ) : null}
    </g>
  );
};
