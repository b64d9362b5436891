import { area, curveMonotoneY } from "d3-shape";
import type { BatchView } from "@/services/batch";
import type { RibbonPoint } from "@/services/ferment";
import { AHEAD_H, PLATE_H, yOf } from "./timeScale";

const WIDTH = 112;
const HALF = 34;
const THREAD = 2.2;
const HOUR_MS = 3_600_000;

interface RibbonProps {
  readonly batch: BatchView;
  readonly nowMs: number;
  readonly label: string;
}

/** Where it goes past: the moment after which it is likelier over than not. */
function tornAt(points: readonly RibbonPoint[]): number | null {
  const index = points.findIndex(({ past }) => past > 0.5);
  return index > 0 ? points[index]!.atMs : null;
}

const shape = (nowMs: number) =>
  area<RibbonPoint>()
    .y(({ atMs }) => yOf(atMs, nowMs))
    .x0(({ ready }) => WIDTH / 2 - THREAD - (HALF - THREAD) * ready)
    .x1(({ ready }) => WIDTH / 2 + THREAD + (HALF - THREAD) * ready)
    .curve(curveMonotoneY);

const TornEdge = ({ y }: { readonly y: number }) => (
  <path
    d={`M${WIDTH / 2 - 20} ${y + 4} l5 -8 l5 8 l5 -8 l5 8 l5 -8 l5 8 l5 -8 l5 8`}
    fill="none"
    stroke="var(--rust)"
    strokeWidth={1.8}
  />
);

/**
 * A batch's ripening over the next ten days: a thread while it is too early, as wide as the chance that it is ready,
 * a diamond at the likely best moment, a torn edge where it goes past, hatched where nothing will come of it.
 */
export const Ribbon = ({ batch, nowMs, label }: RibbonProps) => {
  const ahead = batch.ribbon.filter(({ atMs }) => atMs >= nowMs - HOUR_MS && atMs <= nowMs + AHEAD_H * HOUR_MS);
  const lost = batch.state === "spoiled" || batch.state === "stuck";
  const torn = lost ? null : tornAt(ahead);
  const best = batch.window.peak.p50;
  const bestY = best === null || best > nowMs + AHEAD_H * HOUR_MS ? null : yOf(Math.max(best, nowMs), nowMs);
  const hatch = `hatch-${batch.id}`;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${WIDTH} ${PLATE_H}`}
      height={PLATE_H}
      className="relative mx-auto block w-28"
    >
      <defs>
        <pattern id={hatch} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={6} stroke="var(--rust)" strokeWidth={2.5} />
        </pattern>
      </defs>
      {lost ? (
        <rect
          x={WIDTH / 2 - 4}
          y={0}
          width={8}
          height={PLATE_H}
          fill={`url(#${hatch})`}
          stroke="var(--rust)"
          strokeWidth={1}
        />
      ) : (
        <path
          d={shape(nowMs)(ahead) ?? ""}
          fill="var(--leaf-wash)"
          stroke="var(--leaf)"
          strokeWidth={1.6}
          strokeLinejoin="round"
        />
      )}
      {torn === null || torn <= nowMs ? null : <TornEdge y={yOf(torn, nowMs)} />}
      {bestY === null || lost || batch.state === "past" ? null : (
        <path
          d={`M${WIDTH / 2} ${Math.min(PLATE_H - 9, Math.max(9, bestY)) - 8} l8 8 l-8 8 l-8 -8z`}
          fill="var(--marigold)"
          stroke="var(--chalk)"
          strokeWidth={2}
        />
      )}
    </svg>
  );
};
