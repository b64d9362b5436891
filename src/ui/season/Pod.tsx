"use client";
import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { PlanBatch, Season } from "@/core/plan/season";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import type { SeasonNames } from "@/words/said";
import type { PlateModel } from "./plateModel";
import { HEIGHT, yOf, type Span } from "./plateScale";
import { sayDate } from "./seasonSpeech";

const POD = { most: 20, least: 5 } as const;

/** A gourd that hangs upward: thin where it is begun, wide where it is ready, tied off where it is emptied. */
function podPath(x: number, half: number, start: number, ready: number, empty: number): string {
  const waist = start - (start - ready) * 0.55;
  return `M ${x - 2} ${start} C ${x - 2} ${waist} ${x - half} ${waist} ${x - half} ${ready} L ${x - half * 0.5} ${empty} H ${x + half * 0.5} L ${x + half} ${ready} C ${x + half} ${waist} ${x + 2} ${waist} ${x + 2} ${start} Z`;
}
interface PodProps {
  readonly season: Season;
  readonly names: SeasonNames;
  readonly units: UnitSystem;
  readonly span: Span;
  readonly selected: string | null;
  readonly onSelect: (batchId: string | null) => void;
  readonly onMove: (batch: PlanBatch, startDay: number, vessel: string) => void;
  readonly model: PlateModel;
  readonly batch: PlanBatch;
  readonly isHeld: boolean;
  readonly shownX: number;
  readonly shownStart: number;
  readonly longerD: number;
}
/** What hands and keys do to a pod: pick it, drag it by days and vessels, or move it by the arrows. */
function useHand({
  model,
  span,
  batch,
  shownX,
  shownStart,
  onSelect,
  onMove,
}: Pick<PodProps, "model" | "span" | "batch" | "shownX" | "shownStart" | "onSelect" | "onMove">) {
  const from = useRef<{ x: number; y: number } | null>(null);
  const at = (event: PointerEvent): { startDay: number; vessel: string } => {
    const box = event.currentTarget.closest("svg")!.getBoundingClientRect();
    const scale = model.width / box.width;
    const days = Math.round((((from.current!.y - event.clientY) * scale) / HEIGHT) * span.days);
    const x = shownX + (event.clientX - from.current!.x) * scale;
    const nearest = model.vessels.toSorted((one, other) => Math.abs(one.x - x) - Math.abs(other.x - x))[0]!;
    return { startDay: batch.startDay + days, vessel: nearest.id };
  };
  const byKey = (event: KeyboardEvent): void => {
    const steps: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 7, PageDown: -7 };
    const lane = model.vessels.findIndex(({ id }) => id === batch.vessel);
    const aside = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
    if (event.key === "Enter" || event.key === " ") onSelect(batch.id);
    else if (event.key === "Escape") onSelect(null);
    else if (batch.running) return;
    else if (steps[event.key] !== undefined) onMove(batch, shownStart + steps[event.key]!, batch.vessel);
    else if (aside !== 0 && model.vessels[lane + aside]) onMove(batch, shownStart, model.vessels[lane + aside]!.id);
    else return;
    event.preventDefault();
  };
  return {
    onKeyDown: byKey,
    onPointerDown: (event: PointerEvent) => {
      onSelect(batch.id);
      if (batch.running || event.pointerType === "touch") return;
      from.current = { x: event.clientX, y: event.clientY };
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent) => {
      if (!from.current) return;
      const { startDay, vessel } = at(event);
      onMove(batch, startDay, vessel);
    },
    onPointerUp: (event: PointerEvent) => {
      if (!from.current) return;
      const { startDay, vessel } = at(event);
      from.current = null;
      if (startDay !== batch.startDay || vessel !== batch.vessel) onMove(batch, startDay, vessel);
    },
  };
}

/** A batch in its vessel: it can be picked, moved by hand or by the arrow keys. */
export const Pod = ({
  season,
  names,
  units,
  span,
  selected,
  onSelect,
  onMove,
  model,
  batch,
  isHeld,
  shownX,
  shownStart,
  longerD,
}: PodProps) => {
  const hand = useHand({ model, span, batch, shownX, shownStart, onSelect, onMove });
  const { volumeL } = season.vessels.find(({ id }) => id === batch.vessel)!;
  const [start, ready, empty] = [
    shownStart,
    shownStart + batch.readyDay - batch.startDay,
    shownStart + Math.max(batch.readyDay, batch.emptyDay + longerD) - batch.startDay,
  ];
  const half = POD.least + (POD.most - POD.least) * Math.min(1, batch.fillL / volumeL);
  const tall = Math.max(ready, start + span.days / 90);
  const says = `${names.inputs[batch.input]} in ${names.vessels[batch.vessel]}, ${sayVolume(batch.fillL, units)}: ${batch.running ? "running" : `start ${sayDate(season, batch.startDay)}`}, ready ${sayDate(season, batch.readyDay)}`;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={says}
      aria-pressed={selected === batch.id}
      className="cursor-grab outline-offset-2"
      style={{ touchAction: "none" }}
      {...hand}
    >
      <title>{says}</title>
      <rect
        x={shownX - 22}
        y={yOf(span, tall) - 10}
        width={44}
        height={Math.max(44, yOf(span, start) - yOf(span, tall) + 14)}
        fill="transparent"
      />
      <path
        d={podPath(shownX, half, yOf(span, start), yOf(span, tall), yOf(span, Math.max(empty, tall + span.days / 120)))}
        fill="var(--leaf-wash)"
        stroke={isHeld || selected === batch.id ? "var(--ink)" : "var(--leaf)"}
        strokeWidth={isHeld || selected === batch.id ? 3 : 1.4}
      />
      <rect
        x={shownX - half * 0.5}
        y={yOf(span, Math.max(empty, tall + span.days / 120)) - 4}
        width={half}
        height={4}
        fill={model.inkOf(batch.input)}
      />
      {batch.pinned ? (
        <circle cx={shownX} cy={yOf(span, tall)} r={3.5} fill="var(--marigold)" stroke="var(--ink)" />
      ) : null}
    </g>
  );
};
