import { scaleLinear } from "d3-scale";
import { area, curveMonotoneX } from "d3-shape";
import { clockTime, dayMonth, type FarmClock } from "@/formats/times";
import type { BatchPage } from "@/services/readBatch";

const W = 1000;
const H = 190;
const MID = 84;
const HALF = 54;
const THREAD = 2.5;
const DAY_MS = 86_400_000;

interface Pin {
  readonly atMs: number;
  readonly text: string;
  readonly struck: boolean;
}

interface BatchRibbonProps {
  readonly page: BatchPage;
  readonly pins: readonly Pin[];
  readonly clock: FarmClock;
}

/** Tick spacing that leaves about eight marks on the axis. */
function ticks(fromMs: number, toMs: number): number[] {
  const stepD = [0.25, 0.5, 1, 2, 4, 7, 14, 30].find((days) => (toMs - fromMs) / (days * DAY_MS) <= 9) ?? 60;
  const first = Math.ceil(fromMs / (stepD * DAY_MS)) * stepD * DAY_MS;
  return Array.from({ length: 12 }, (_, index) => first + index * stepD * DAY_MS).filter((atMs) => atMs <= toMs);
}

/** One batch from its start to what is ahead, on one axis: the ribbon, the present, every entry pinned where it was made. */
export const BatchRibbon = ({ page, pins, clock }: BatchRibbonProps) => {
  const { batch } = page;
  const nowMs = page.close ? page.close.atMs : page.nowMs;
  const fromMs = batch.startedMs;
  const span = Math.max(nowMs - fromMs, 12 * 3_600_000);
  const toMs = page.close
    ? nowMs
    : Math.max(
        nowMs + span * 0.6,
        Math.min(batch.window.end.p90 ?? 0, nowMs + 12 * DAY_MS),
        Math.min(batch.window.peak.p90 ?? 0, nowMs + 12 * DAY_MS),
      );
  const x = scaleLinear([fromMs, toMs], [12, W - 12]);
  const points = batch.ribbon.filter(({ atMs }) => atMs <= toMs);
  const width = ({ ready }: { ready: number }) => THREAD + (HALF - THREAD) * ready;
  const shape = area<(typeof points)[number]>()
    .x(({ atMs }) => x(atMs))
    .y0((point) => MID - width(point))
    .y1((point) => MID + width(point))
    .curve(curveMonotoneX);
  const lost = batch.state === "spoiled" || batch.state === "stuck";
  const best = batch.window.peak.p50;
  const step = toMs - fromMs > 3 * DAY_MS ? "day" : "hour";
  return (
    <svg
      role="img"
      aria-label={`The batch from its start on ${dayMonth(new Date(fromMs), clock)} to what is ahead, with ${pins.length} entries`}
      viewBox={`0 0 ${W} ${H}`}
      className="block w-full min-w-[760px]"
    >
      <defs>
        <pattern id="lost" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={7} stroke="var(--rust)" strokeWidth={3} />
        </pattern>
        <clipPath id="ahead">
          <rect x={x(nowMs)} y={0} width={W} height={H} />
        </clipPath>
      </defs>
      {lost ? (
        <rect x={12} y={MID - 5} width={x(toMs) - 12} height={10} fill="url(#lost)" stroke="var(--rust)" />
      ) : (
        <>
          <path d={shape(points) ?? ""} fill="var(--galvanised)" opacity={0.6} />
          <path
            d={shape(points) ?? ""}
            fill="var(--leaf-wash)"
            stroke="var(--leaf)"
            strokeWidth={1.6}
            clipPath="url(#ahead)"
          />
        </>
      )}
      <line x1={x(nowMs)} x2={x(nowMs)} y1={14} y2={H - 34} stroke="var(--ink)" strokeWidth={2} />
      <text
        x={x(nowMs)}
        y={12}
        textAnchor={page.close ? "end" : "middle"}
        className="reading"
        fontSize={15}
        fontWeight={700}
        fill="var(--ink)"
      >
        {page.close ? page.close.kind : "now"}
      </text>
      {best !== null && best > nowMs && best < toMs && !lost ? (
        <path
          d={`M${x(best)} ${MID - 11} l11 11 l-11 11 l-11 -11z`}
          fill="var(--marigold)"
          stroke="var(--chalk)"
          strokeWidth={2}
        />
      ) : null}
      {pins.map((pin) => (
        <g key={`${pin.atMs}-${pin.text}`} opacity={pin.struck ? 0.4 : 1}>
          <title>{pin.text}</title>
          <line
            x1={x(pin.atMs)}
            x2={x(pin.atMs)}
            y1={MID}
            y2={H - 44}
            stroke="var(--ink)"
            strokeWidth={1}
            strokeDasharray="2 3"
          />
          <circle cx={x(pin.atMs)} cy={H - 44} r={5} fill="var(--blue)" stroke="var(--chalk)" strokeWidth={1.5} />
        </g>
      ))}
      <line x1={12} x2={W - 12} y1={H - 30} y2={H - 30} stroke="var(--ink)" strokeWidth={1.5} />
      {ticks(fromMs, toMs).map((atMs) => (
        <g key={atMs}>
          <line x1={x(atMs)} x2={x(atMs)} y1={H - 30} y2={H - 24} stroke="var(--ink)" />
          <text x={x(atMs)} y={H - 8} textAnchor="middle" className="reading" fontSize={15} fill="var(--soft)">
            {step === "day" ? dayMonth(new Date(atMs), clock) : clockTime(new Date(atMs), clock)}
          </text>
        </g>
      ))}
    </svg>
  );
};
