import { dayMonth } from "@/formats/times";
import type { BatchPage } from "@/services/batch";
import { sayEntry } from "@/words/said";
import { CurveStrip } from "./CurveStrip";
import { RibbonStrip } from "./RibbonStrip";
import { plateLayout, RIBBON_H, TOP } from "./layout";
import { PLATE_W, timeTicks } from "./scale";
import { WarmthStrip } from "./WarmthStrip";

/** Half of a mark's words: nearer to the right edge they would be cut. */
const LABEL_HALF = 24;

interface Pin {
  readonly atMs: number;
  readonly text: string;
  readonly struck: boolean;
  readonly kind: "act" | "seen" | "photo";
}

interface BatchPlateProps {
  readonly page: BatchPage;
}

/** What stands on the axis: what was logged, what was photographed. */
const pinsOf = (page: BatchPage): Pin[] => [
  ...page.log
    .filter(({ kind }) => kind !== "withdrawn")
    .map((entry) => ({
      atMs: entry.atMs,
      text: sayEntry(entry, page.farm.units),
      struck: entry.correctedById !== null,
      kind: entry.kind === "act" ? ("act" as const) : ("seen" as const),
    })),
  ...page.progress.photos.map(({ atMs, note }) => ({
    atMs,
    text: note || "a photograph",
    struck: false,
    kind: "photo" as const,
  })),
];

/** What is pinned where it happened: round what was seen, square what was done, a frame for a photograph. */
const PinMark = ({ x, y, pin }: { readonly x: number; readonly y: number; readonly pin: Pin }) => (
  <g opacity={pin.struck ? 0.4 : 1}>
    <title>{pin.text}</title>
    {pin.kind === "seen" ? (
      <circle cx={x} cy={y} r={5.5} fill="var(--blue)" stroke="var(--chalk)" strokeWidth={1.5} />
    ) : pin.kind === "act" ? (
      <rect x={x - 5} y={y - 5} width={10} height={10} fill="var(--ink)" stroke="var(--chalk)" strokeWidth={1.5} />
    ) : (
      <rect x={x - 6} y={y - 5} width={12} height={10} fill="var(--chalk)" stroke="var(--ink)" strokeWidth={2} />
    )}
  </g>
);

/** One batch on one axis from its start to what is ahead: its ribbon, what happened, its course with the band, its warmth. */
export const BatchPlate = ({ page }: BatchPlateProps) => {
  const { batch, progress, close, farm: clock } = page;
  const pins = pinsOf(page);
  const { scale, curve, warmth, bottom, height } = plateLayout(page);
  const { x, fromMs, toMs, nowMs } = scale;
  const pinY = TOP + RIBBON_H + 14;
  return (
    <svg
      role="img"
      aria-label={`The batch from its start on ${dayMonth(new Date(fromMs), clock)} to what is ahead, with ${pins.length} entries`}
      viewBox={`0 0 ${PLATE_W} ${height}`}
      className="block w-full"
    >
      <RibbonStrip
        id={`batch-${batch.id}`}
        scale={scale}
        points={batch.ribbon}
        bestMs={batch.window.peak.p50}
        lost={batch.state === "spoiled" || batch.state === "stuck"}
        top={TOP}
        height={RIBBON_H}
      />
      {progress.curve && curve ? (
        <CurveStrip scale={scale} curve={progress.curve} targetPh={page.targetPh} axis={curve} />
      ) : null}
      <WarmthStrip scale={scale} progress={progress} axis={warmth} />
      <line x1={x(nowMs)} x2={x(nowMs)} y1={TOP - 4} y2={bottom} stroke="var(--ink)" strokeWidth={2} />
      <text
        x={x(nowMs)}
        y={14}
        textAnchor={close ? "end" : "middle"}
        className="reading"
        fontSize={15}
        fontWeight={700}
        fill="var(--ink)"
      >
        {close ? close.kind : "now"}
      </text>
      {pins.map((pin) => (
        <PinMark key={`${pin.atMs}-${pin.text}`} x={x(Math.min(pin.atMs, toMs))} y={pinY} pin={pin} />
      ))}
      <line x1={x(fromMs)} x2={x(toMs)} y1={bottom + 2} y2={bottom + 2} stroke="var(--ink)" strokeWidth={1.5} />
      {timeTicks(scale, clock).map(({ atMs, text, isDay }) => (
        <g key={atMs}>
          <line x1={x(atMs)} x2={x(atMs)} y1={bottom + 2} y2={bottom + 8} stroke="var(--ink)" />
          <text
            x={x(atMs)}
            y={bottom + 25}
            textAnchor={x(atMs) > PLATE_W - LABEL_HALF ? "end" : "middle"}
            className="reading"
            fontSize={15}
            fontWeight={isDay ? 700 : undefined}
            fill={isDay ? "var(--ink)" : "var(--soft)"}
          >
            {text}
          </text>
        </g>
      ))}
    </svg>
  );
};
