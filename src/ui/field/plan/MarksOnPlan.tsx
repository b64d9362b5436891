import type { MarkKind } from "@/core/land/marks";
import type { LandMark } from "@/services/types";
import type { PlanFrame } from "./planFrame";

const STROKES: Readonly<Record<MarkKind, string>> = {
  "well": "var(--blue)",
  "stream": "var(--blue)",
  "pond": "var(--blue)",
  "tap": "var(--ink)",
  "fill-point": "var(--ink)",
  "gate": "var(--ink)",
};

/** What stands at a point: a well's ring, a tap's spout, the two posts of a gate, the trestle of a fill point. */
function AtPoint({ kind, x, y }: { readonly kind: MarkKind; readonly x: number; readonly y: number }) {
  const shapes: Partial<Record<MarkKind, string>> = {
    "well": `M${x - 7} ${y}a7 7 0 1 0 14 0a7 7 0 1 0 -14 0M${x - 3} ${y}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0`,
    "tap": `M${x} ${y + 10}V${y - 6}H${x + 9}V${y - 1}M${x - 4} ${y - 6}H${x + 4}`,
    "gate": `M${x - 8} ${y + 6}V${y - 6}M${x + 8} ${y + 6}V${y - 6}M${x - 8} ${y}L${x + 2} ${y - 9}`,
    "fill-point": `M${x - 14} ${y + 8}H${x + 14}M${x - 9} ${y + 8}V${y - 8}H${x + 9}V${y + 8}`,
  };
  return (
    <path
      d={shapes[kind] ?? `M${x - 6} ${y}a6 6 0 1 0 12 0a6 6 0 1 0 -12 0`}
      fill="none"
      stroke={STROKES[kind]}
      strokeWidth={2}
    />
  );
}

/** One mark of the land, with the ground beside it on which nothing is put. */
function MarkOnPlan({ mark, frame }: { readonly mark: LandMark; readonly frame: PlanFrame }) {
  const points = mark.line.map(frame.toPx);
  const [x, y] = points[Math.floor(points.length / 2)]!;
  const line = `M${points.map((point) => point.map((px) => px.toFixed(1)).join(" ")).join("L")}`;
  const bufferPx = mark.bufferM * frame.pxPerM;
  const isRun = points.length > 1;
  return (
    <g>
      {bufferPx > 0 ? (
        isRun ? (
          <path
            d={line}
            fill="none"
            stroke="var(--blue)"
            strokeWidth={2 * bufferPx}
            opacity={0.12}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ) : (
          <circle cx={x} cy={y} r={bufferPx} fill="var(--blue)" opacity={0.12} />
        )
      ) : null}
      {isRun ? (
        <path
          d={line}
          fill="none"
          stroke={STROKES[mark.kind]}
          strokeWidth={mark.kind === "gate" ? 3 : 9}
          opacity={0.55}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ) : (
        <AtPoint kind={mark.kind} x={x} y={y} />
      )}
    </g>
  );
}

/** Its name, and how far to keep from it; towards the plan's middle, so that nothing of it is cut. */
function MarkName({ mark, frame }: { readonly mark: LandMark; readonly frame: PlanFrame }) {
  const points = mark.line.map(frame.toPx);
  const [x, y] = points[Math.floor(points.length / 2)]!;
  const isRight = x > frame.widthPx * 0.6;
  const lines = [mark.name, ...(mark.bufferM > 0 ? [`keep ${mark.bufferM} m off`] : [])];
  return (
    <text
      className="plan-name"
      fontSize={13}
      textAnchor={isRight ? "end" : "start"}
      fill={STROKES[mark.kind]}
      stroke="var(--limewash)"
      strokeWidth={4}
      paintOrder="stroke"
    >
      {lines.map((text, index) => (
        <tspan key={text} x={isRight ? x - 12 : x + 12} y={y + (mark.line.length > 1 ? 0 : 16) + index * 15}>
          {text}
        </tspan>
      ))}
    </text>
  );
}

/** Wells, streams, taps and gates, with the distance that is kept from water. */
export const MarksOnPlan = ({ marks, frame }: { readonly marks: readonly LandMark[]; readonly frame: PlanFrame }) => (
  <g aria-hidden>
    {marks.map((mark) => (
      <MarkOnPlan key={mark.id} mark={mark} frame={frame} />
    ))}
  </g>
);

/** The names of the marks, drawn over all else. */
export const MarkNames = ({ marks, frame }: { readonly marks: readonly LandMark[]; readonly frame: PlanFrame }) => (
  <g aria-hidden className="pointer-events-none">
    {marks.map((mark) => (
      <MarkName key={mark.id} mark={mark} frame={frame} />
    ))}
  </g>
);
