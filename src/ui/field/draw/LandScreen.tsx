"use client";
import { Redo2, Undo2 } from "lucide-react";
import { useMemo, useState } from "react";
import { told } from "../../kit/told";
import { boundsOf, type Point } from "@/core/land/ring";
import { plural } from "@/formats/numbers";
import { isOnPlan } from "@/core/apply/elsewhere";
import type { FieldView } from "@/services/field";
import { useFieldAct } from "../../acts/field";
import { useKey } from "../../frame/keys";
import { Button } from "../../kit/Button";
import { Choices } from "../../kit/Choices";
import { Link } from "../../kit/Link";
import { Refusal } from "../../kit/Refusal";
import { ZoomKeys } from "../plan/FieldPlan";
import { frameOf } from "../plan/planFrame";
import { usePlanZoom } from "../plan/usePlanZoom";
import { draftOf, kept } from "./draft";
import { LandCanvas, type Hand } from "./LandCanvas";
import { LandFiles } from "./LandFiles";
import { PutAwayBeds } from "./PutAwayBeds";
import { ManyBeds } from "./ManyBeds";
import { MarkPanel } from "./MarkPanel";
import { PickedPanel } from "./PickedPanel";
import { useDraft, type Drawing } from "./useDraft";
import { useUndo } from "../../acts/undo";

type Tab = "pick" | "bed" | "many" | "mark";
/** Ground beyond what is drawn, to draw on, m. */
const MARGIN_M = 6;

/** Keys that work on what is picked. */
function useDrawKeys({ step, undo, redo }: Drawing): void {
  const by = (dx: number, dy: number) => () => step({ type: "move", by: [dx, dy] });
  useKey("ArrowLeft", by(-0.1, 0));
  useKey("ArrowRight", by(0.1, 0));
  useKey("ArrowUp", by(0, -0.1));
  useKey("ArrowDown", by(0, 0.1));
  useKey("[", () => step({ type: "turn", degrees: -5 }));
  useKey("]", () => step({ type: "turn", degrees: 5 }));
  useKey("Delete", () => step({ type: "put-away" }));
  useKey("c", () => step({ type: "copy" }));
  useKey("u", undo);
  useKey("r", redo);
}

/** Keeps what was drawn, or says what stands against it. */
const Keeping = ({ drawing }: { readonly drawing: Drawing }) => {
  const act = useFieldAct("drawLand");
  const undo = useUndo();
  const keep = async () => {
    const answer = await act.run(drawing.toSend);
    if (!answer) return;
    drawing.goOnFrom(kept(drawing.draft, drawing.toSend.plots, answer.plotIds));
    told(
      `${plural(drawing.changes, "change")} kept.`,
      undo(...(answer.shapeIds ?? []).map((id) => ({ kind: "bed-shape" as const, id }))),
    );
  };
  const wrong = Object.values(act.fields)[0];
  return (
    <div className="grid gap-2 border-t-2 border-ink pt-3">
      <div className="flex gap-2">
        <Button disabled={!drawing.canUndo} onClick={drawing.undo}>
          <Undo2 aria-hidden className="size-5" /> Undo
        </Button>
        <Button disabled={!drawing.canRedo} onClick={drawing.redo}>
          <Redo2 aria-hidden className="size-5" /> Again
        </Button>
      </div>
      {drawing.problem ? (
        <p role="alert" className="font-semibold text-rust">
          {drawing.problem}
        </p>
      ) : null}
      <Refusal error={act.error} />
      {wrong ? <p className="font-semibold text-rust">{wrong}</p> : null}
      <Button variant="strong" wide disabled={act.busy || drawing.changes === 0} onClick={() => void keep()}>
        {drawing.changes === 0 ? "Nothing is changed" : `Keep ${plural(drawing.changes, "change")}`}
      </Button>
    </div>
  );
};

/** The paper grows with what is drawn on it, a margin at a time. */
function paperOf(points: readonly Point[]) {
  const corner = (x: number, y: number): Point => [
    Math.round(x / MARGIN_M) * MARGIN_M,
    Math.round(y / MARGIN_M) * MARGIN_M,
  ];
  if (points.length === 0)
    return frameOf(
      [],
      [
        [0, 0],
        [40, 24],
      ],
    );
  const { minX, minY, maxX, maxY } = boundsOf(points);
  return frameOf([], [corner(minX - MARGIN_M, minY - MARGIN_M), corner(maxX + MARGIN_M, maxY + MARGIN_M)]);
}

const PENS = [
  { value: "pick", label: "pick and move" },
  { value: "bed", label: "draw a bed" },
  { value: "many", label: "many beds" },
  { value: "mark", label: "waters and taps" },
] as const satisfies readonly { readonly value: Tab; readonly label: string }[];

interface SideProps {
  readonly view: FieldView;
  readonly drawing: Drawing;
  readonly tab: Tab;
  readonly isSplitting: boolean;
  readonly markLine: readonly Point[];
  readonly onMarkLine: (line: readonly Point[]) => void;
  readonly onSplit: () => void;
  readonly onPick: () => void;
}

/** What goes with the pen in hand. */
const Side = ({ view, drawing, tab, isSplitting, markLine, onMarkLine, onSplit, onPick }: SideProps) => {
  const { units } = view.farm;
  if (isSplitting)
    return (
      <p className="font-semibold" role="status">
        Draw a line across it, from one side to the other.
      </p>
    );
  if (tab === "many") return <ManyBeds drawing={drawing} units={units} onDone={onPick} />;
  if (tab === "mark") return <MarkPanel marks={view.marks} units={units} line={markLine} onLine={onMarkLine} />;
  if (tab === "bed") return <p className="font-semibold">Pull a bed up on the plan, from corner to corner.</p>;
  return <PickedPanel drawing={drawing} units={units} onSplit={onSplit} />;
};

/** Draws on from what the farm keeps; what others draw meanwhile comes in while nothing is drawn here. */
function useLand(view: FieldView): Drawing {
  const [seen, setSeen] = useState(view.plots);
  const land = draftOf(view.plots.filter(isOnPlan));
  const drawing = useDraft(land, view.farm.units);
  if (seen !== view.plots) {
    setSeen(view.plots);
    if (drawing.changes === 0) drawing.goOnFrom({ ...land, picked: drawing.draft.picked });
  }
  return drawing;
}

/** The land drawn and redrawn: beds, rows and trees, and the waters beside them. Nothing counts until it is kept. */
export const LandScreen = ({ view }: { readonly view: FieldView }) => {
  const drawing = useLand(view);
  const [tab, setTab] = useState<Tab>(view.plots.length === 0 ? "many" : "pick");
  const [isSplitting, setSplitting] = useState(false);
  const [markLine, setMarkLine] = useState<readonly Point[]>([]);
  const hand: Hand = isSplitting ? "split" : tab === "many" ? "pick" : tab;
  const frame = useMemo(
    () => paperOf([...drawing.draft.plots.flatMap(({ ring }) => ring), ...view.marks.flatMap(({ line }) => line)]),
    [drawing.draft.plots, view.marks],
  );
  const { svg, layer, zoomBy, fit } = usePlanZoom(frame.pxPerM);
  useDrawKeys(drawing);
  const take = (next: Tab) => {
    setTab(next);
    setSplitting(false);
    setMarkLine([]);
  };
  return (
    <div className="grid md:grid-cols-[minmax(0,1fr)_360px]">
      <div className="min-w-0 px-4 py-4 md:px-6">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4">
          <h1 className="text-2xl">Drawing the field</h1>
          <Link href="/field" className="thumb underline">
            Back to the field
          </Link>
        </div>
        <div className="mb-2 flex flex-wrap items-end justify-between gap-2">
          <Choices label="The pen" value={tab} onChange={take} options={PENS} />
          <ZoomKeys zoomBy={zoomBy} fit={fit} />
        </div>
        <LandCanvas
          drawing={drawing}
          marks={view.marks}
          frame={frame}
          svg={svg}
          layer={layer}
          hand={hand}
          markLine={markLine}
          onMarkPoint={(point) => setMarkLine([...markLine, point])}
          onDone={() => take("pick")}
        />
        <p className="mt-1 text-[0.88rem] text-soft">
          A square is 5 m. Corners fall onto a neighbour’s corner, or onto 10 cm.
        </p>
      </div>
      <aside
        aria-label="What is picked"
        className="grid content-start gap-4 border-line bg-chalk px-4 py-4 max-md:border-t md:border-l"
      >
        <Side
          view={view}
          drawing={drawing}
          tab={tab}
          isSplitting={isSplitting}
          markLine={markLine}
          onMarkLine={setMarkLine}
          onSplit={() => setSplitting(true)}
          onPick={() => take("pick")}
        />
        <Keeping drawing={drawing} />
        <PutAwayBeds putAway={view.putAway} />
        <LandFiles />
      </aside>
    </div>
  );
};
