"use client";
import { useRef, useState, type PointerEvent } from "react";
import { snapped, snapShift } from "@/core/land/edit";
import { boundsOf, moved, rectangle, type Point, type Ring } from "@/core/land/ring";
import { formatNumber } from "@/formats/numbers";
import type { LandMark } from "@/services/types";
import { Hatches } from "../plan/hatches";
import { MarkNames, MarksOnPlan } from "../plan/MarksOnPlan";
import { PlanLabel } from "../plan/PlanLabel";
import { pathOf, type PlanFrame } from "../plan/planFrame";
import type { PlanZoom } from "../plan/usePlanZoom";
import type { DraftPlot } from "./draft";
import { pickedOf } from "./draft";
import type { Drawing } from "./useDraft";

/** What a drag does. */
export type Hand = "pick" | "bed" | "split" | "mark";

interface LandCanvasProps {
  readonly drawing: Drawing;
  readonly marks: readonly LandMark[];
  readonly frame: PlanFrame;
  readonly svg: PlanZoom["svg"];
  readonly layer: PlanZoom["layer"];
  readonly hand: Hand;
  /** Corners of the mark that is being drawn. */
  readonly markLine: readonly Point[];
  readonly onMarkPoint: (point: Point) => void;
  readonly onDone: () => void;
}

type Drag =
  | { readonly type: "move"; readonly from: Point; readonly to: Point }
  | { readonly type: "corner"; readonly key: number; readonly corner: number; readonly to: Point }
  | { readonly type: "line"; readonly from: Point; readonly to: Point };

/** Corners fall together when they are this near on the screen, px. */
const SNAP_PX = 9;
const HANDLE_PX = 7;
/** Less than this is a tap, m. */
const TAP_M = 0.15;

/** The box between two places, no smaller than a grid's step. */
const boxOf = ([ax, ay]: Point, [bx, by]: Point): Ring =>
  rectangle([Math.min(ax, bx), Math.min(ay, by)], Math.abs(bx - ax), Math.abs(by - ay));

const sizeWords = (ring: Ring): string => {
  const { minX, minY, maxX, maxY } = boundsOf(ring);
  return `${formatNumber(maxX - minX, 3)} × ${formatNumber(maxY - minY, 3)} m`;
};

/** The land under the pointer: pick, move, pull corners, draw a bed, part one, set down a well or a stream. */
export const LandCanvas = (props: LandCanvasProps) => {
  const { drawing, marks, frame, svg, layer, hand, markLine } = props;
  const { drag, down, move, up, shown } = useDrag(props);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${frame.widthPx} ${frame.heightPx}`}
      role="application"
      aria-label="Drawing of the land"
      className={`plan block max-h-[68vh] w-full touch-none border-2 border-ink bg-chalk ${hand === "pick" ? "" : "cursor-crosshair"}`}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
    >
      <Hatches />
      <g ref={layer}>
        <Grid frame={frame} />
        <MarksOnPlan marks={marks} frame={frame} />
        {drawing.draft.plots.map((plot) => (
          <DraftOnPlan key={plot.key} plot={shown(plot)} frame={frame} isPicked={drawing.draft.picked.has(plot.key)} />
        ))}
        <MarkNames marks={marks} frame={frame} />
        {hand === "pick" && drawing.draft.picked.size === 1
          ? pickedOf(drawing.draft).map((plot) => <Corners key={plot.key} plot={shown(plot)} frame={frame} />)
          : null}
        {drag?.type === "line" ? <Pulled hand={hand} from={drag.from} to={drag.to} frame={frame} /> : null}
        {markLine.length > 0 ? (
          <polyline
            points={markLine.map((point) => frame.toPx(point).join(",")).join(" ")}
            fill="none"
            stroke="var(--blue)"
            strokeWidth={5}
            strokeDasharray="6 4"
            strokeLinecap="round"
          />
        ) : null}
        {markLine.map((point) => {
          const [x, y] = frame.toPx(point);
          return <circle key={point.join()} cx={x} cy={y} r={5} fill="var(--blue)" />;
        })}
      </g>
    </svg>
  );
};

/** What the pointer does, and how the land looks meanwhile. */
function useDrag({ drawing, frame, layer, hand, onMarkPoint, onDone }: LandCanvasProps) {
  const [drag, setDrag] = useState<Drag | null>(null);
  const began = useRef<Point | null>(null);
  const placeOf = ({ clientX, clientY }: PointerEvent): Point => {
    const matrix = layer.current?.getScreenCTM()?.inverse();
    const point = matrix ? new DOMPoint(clientX, clientY).matrixTransform(matrix) : new DOMPoint(clientX, clientY);
    return frame.toM([point.x, point.y]);
  };
  const others = drawing.draft.plots.filter(({ key }) => !drawing.draft.picked.has(key)).map(({ ring }) => ring);
  const withinM = SNAP_PX / frame.pxPerM;
  const snap = (point: Point) => snapped(point, others, withinM);
  const shiftOf = ({ from, to }: { readonly from: Point; readonly to: Point }): Point => {
    const by: Point = [Math.round((to[0] - from[0]) * 10) / 10, Math.round((to[1] - from[1]) * 10) / 10];
    const [dx, dy] = snapShift(
      pickedOf(drawing.draft).flatMap(({ ring }) => moved(ring, by)),
      others,
      withinM,
    );
    return [by[0] + dx, by[1] + dy];
  };
  const down = (event: PointerEvent<SVGSVGElement>) => {
    if (event.button !== 0 || !(event.target instanceof Element)) return;
    const at = placeOf(event);
    began.current = at;
    event.currentTarget.setPointerCapture(event.pointerId);
    if (hand === "mark") return onMarkPoint(snap(at));
    if (hand !== "pick") return setDrag({ type: "line", from: snap(at), to: snap(at) });
    const corner = event.target.getAttribute("data-corner");
    const key = Number(event.target.closest("[data-plot]")?.getAttribute("data-plot") ?? "0");
    if (corner !== null) return setDrag({ type: "corner", key, corner: Number(corner), to: at });
    if (key === 0) return drawing.pick([]);
    const { picked } = drawing.draft;
    if (event.shiftKey || event.ctrlKey || event.metaKey)
      return drawing.pick(picked.has(key) ? [...picked].filter((one) => one !== key) : [...picked, key]);
    if (!picked.has(key)) drawing.pick([key]);
    setDrag({ type: "move", from: at, to: at });
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (!drag) return;
    const to = placeOf(event);
    setDrag(drag.type === "move" ? { ...drag, to } : { ...drag, to: snap(to) });
  };
  const up = () => {
    if (!drag) return;
    setDrag(null);
    if (drag.type === "corner")
      return drawing.step({ type: "corner", key: drag.key, corner: drag.corner, to: drag.to });
    const isTap = Math.hypot(drag.to[0] - drag.from[0], drag.to[1] - drag.from[1]) < TAP_M;
    if (isTap) return;
    if (drag.type === "move") return drawing.step({ type: "move", by: shiftOf(drag) });
    if (hand === "split") drawing.step({ type: "split", from: drag.from, to: drag.to });
    else {
      const ring = boxOf(drag.from, drag.to);
      const { minX, minY, maxX, maxY } = boundsOf(ring);
      if (maxX - minX >= TAP_M && maxY - minY >= TAP_M) drawing.step({ type: "add", ring });
    }
    onDone();
  };
  const shown = (plot: DraftPlot): DraftPlot => {
    if (drag?.type === "move" && drawing.draft.picked.has(plot.key))
      return { ...plot, ring: moved(plot.ring, shiftOf(drag)) };
    if (drag?.type === "corner" && drag.key === plot.key)
      return { ...plot, ring: plot.ring.with(drag.corner, drag.to) };
    return plot;
  };
  return { drag, down, move, up, shown };
}

/** Squares of five metres. */
const GRID_M = 5;
const Grid = ({ frame }: { readonly frame: PlanFrame }) => {
  const [x0, y0] = frame.toM([0, 0]);
  const [x1, y1] = frame.toM([frame.widthPx, frame.heightPx]);
  const steps = (from: number, to: number) =>
    Array.from(
      { length: Math.floor(to / GRID_M) - Math.ceil(from / GRID_M) + 1 },
      (_, at) => (Math.ceil(from / GRID_M) + at) * GRID_M,
    );
  return (
    <g aria-hidden stroke="var(--line)" strokeWidth={0.7} opacity={0.7}>
      {steps(x0, x1).map((x) => (
        <line key={`x${x}`} x1={frame.toPx([x, 0])[0]} x2={frame.toPx([x, 0])[0]} y1={0} y2={frame.heightPx} />
      ))}
      {steps(y0, y1).map((y) => (
        <line key={`y${y}`} y1={frame.toPx([0, y])[1]} y2={frame.toPx([0, y])[1]} x1={0} x2={frame.widthPx} />
      ))}
    </g>
  );
};

const DraftOnPlan = ({
  plot,
  frame,
  isPicked,
}: {
  readonly plot: DraftPlot;
  readonly frame: PlanFrame;
  readonly isPicked: boolean;
}) => {
  return (
    <g data-drawn data-plot={plot.key} className="cursor-move">
      <path
        d={pathOf(plot.ring, frame)}
        fill={isPicked ? "var(--marigold-wash)" : "var(--limewash)"}
        stroke="var(--ink)"
        strokeWidth={isPicked ? 3 : 1.3}
        vectorEffect="non-scaling-stroke"
      />
      <PlanLabel
        ring={plot.ring}
        frame={frame}
        name={plot.name}
        ground={isPicked ? "var(--marigold-wash)" : "var(--chalk)"}
      />
    </g>
  );
};

/** The corners of a plot, to be pulled. */
const Corners = ({ plot, frame }: { readonly plot: DraftPlot; readonly frame: PlanFrame }) => (
  <g data-drawn data-plot={plot.key}>
    {plot.ring.map((point, corner) => {
      const [x, y] = frame.toPx(point);
      return (
        <g key={corner}>
          <rect
            x={x - HANDLE_PX}
            y={y - HANDLE_PX}
            width={2 * HANDLE_PX}
            height={2 * HANDLE_PX}
            fill="var(--marigold)"
            stroke="var(--ink)"
            strokeWidth={1.5}
          />
          <circle data-corner={corner} cx={x} cy={y} r={20} fill="transparent" className="cursor-grab" />
        </g>
      );
    })}
  </g>
);

/** What is being pulled up: a bed's box, or the line that parts. */
const Pulled = ({
  hand,
  from,
  to,
  frame,
}: {
  readonly hand: Hand;
  readonly from: Point;
  readonly to: Point;
  readonly frame: PlanFrame;
}) => {
  const [a, b] = [frame.toPx(from), frame.toPx(to)];
  if (hand === "split")
    return <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke="var(--rust)" strokeWidth={3} strokeDasharray="8 5" />;
  const ring = boxOf(from, to);
  return (
    <g>
      <path
        d={pathOf(ring, frame)}
        fill="var(--marigold-wash)"
        stroke="var(--ink)"
        strokeWidth={2}
        strokeDasharray="6 4"
      />
      <text
        x={b[0] + 10}
        y={b[1] - 8}
        fontSize={14}
        fontWeight={700}
        fill="var(--ink)"
        stroke="var(--chalk)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {sizeWords(ring)}
      </text>
    </g>
  );
};
