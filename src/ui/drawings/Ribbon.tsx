import { area, curveMonotoneY } from "d3-shape";
import type { BatchView } from "@/services/batch";
import type { RibbonPoint } from "@/services/ferment";
import { BestMark, halfWidth, LostHatch, Torn, tornAt } from "./ribbonParts";
import { AHEAD_H, PLATE_H, yOf } from "./timeScale";

const WIDTH = 112;
const HALF = 34;
const HOUR_MS = 3_600_000;

interface RibbonProps {
  readonly batch: BatchView;
  readonly nowMs: number;
  readonly label: string;
}

const shape = (nowMs: number) =>
  area<RibbonPoint>()
    .y(({ atMs }) => yOf(atMs, nowMs))
    .x0((point) => WIDTH / 2 - halfWidth(point, HALF))
    .x1((point) => WIDTH / 2 + halfWidth(point, HALF))
    .curve(curveMonotoneY);

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
        <LostHatch id={hatch} />
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
      {torn === null || torn <= nowMs ? null : <Torn x={WIDTH / 2} y={yOf(torn, nowMs)} along="y" />}
      {bestY === null || lost || batch.state === "past" ? null : (
        <BestMark x={WIDTH / 2} y={Math.min(PLATE_H - 9, Math.max(9, bestY))} halfPx={8} />
      )}
    </svg>
  );
};
