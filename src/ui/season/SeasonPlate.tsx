"use client";
import type { PlanBatch, PlanBody, Season } from "@/core/plan/season";
import type { UnitSystem } from "@/formats/amounts";
import type { SeasonNames } from "@/words/said";
import { plateModel } from "./plateModel";
import { Hands, LaneFoot, StorePost, Threads, TimeMarks } from "./plateParts";
import { FOOT, GROUND, HEIGHT, TOP, type Span } from "./plateScale";
import { Pod } from "./Pod";

export interface Held {
  readonly batch: PlanBatch;
  readonly startDay: number;
  readonly vessel: string;
  /** Days that it stands longer than planned. */
  readonly longerD: number;
}
interface PlateProps {
  readonly season: Season;
  readonly plan: PlanBody;
  readonly names: SeasonNames;
  readonly units: UnitSystem;
  readonly span: Span;
  readonly weekMin: readonly number[];
  readonly selected: string | null;
  readonly held: Held | null;
  readonly onSelect: (batchId: string | null) => void;
  readonly onMove: (batch: PlanBatch, startDay: number, vessel: string) => void;
}
/** Smaller than this share of its own size nothing can be read. */
const LEAST_SCALE = 0.72;

/** The season as a drawing: vessels, stores and beds on one ground line, time rising, each dose a thread from where it is to the bed, a missing one a gap. */
export const SeasonPlate = (props: PlateProps) => {
  const { season, plan, names, span, weekMin, held, units } = props;
  const model = plateModel(season, plan, names, 1040);
  const inSpan = (from: number, to: number): boolean => to >= span.from && from <= span.from + span.days;
  const mostL = (input: string): number => Math.max(1, ...(model.levels[input] ?? []));
  const clip = `clip-${span.from}-${span.days}`;
  return (
    <svg
      viewBox={`0 0 ${model.width} ${GROUND + FOOT}`}
      className="w-full"
      // A large farm's is wider than the page: it is moved sideways, not made too small to read.
      style={{ minWidth: `${Math.round(model.width * LEAST_SCALE)}px` }}
      role="group"
      aria-label="The season: batches by vessel, time rising"
    >
      <clipPath id={clip}>
        <rect x={0} y={TOP} width={model.width} height={HEIGHT + 2} />
      </clipPath>
      <TimeMarks season={season} span={span} width={model.width} />
      <g clipPath={`url(#${clip})`}>
        {model.beds.map(({ id, x }) => (
          <line
            key={id}
            x1={x}
            x2={x}
            y1={TOP}
            y2={GROUND}
            stroke="var(--leaf)"
            strokeWidth={1}
            strokeDasharray="1 5"
            aria-hidden
          />
        ))}
        {model.vessels.map(({ id, x }) => (
          <line key={id} x1={x} x2={x} y1={TOP} y2={GROUND} stroke="var(--line)" aria-hidden />
        ))}
        {model.stores.map(({ id, x }) =>
          model.levels[id] ? (
            <StorePost key={id} level={model.levels[id]} x={x} span={span} ink={model.inkOf(id)} mostL={mostL(id)} />
          ) : null,
        )}
        <Threads model={model} span={span} />
        {plan.batches
          .filter(({ startDay, emptyDay }) => inSpan(startDay, emptyDay))
          .map((batch) => {
            const isHeld = held?.batch.id === batch.id;
            const vessel = isHeld ? held.vessel : batch.vessel;
            return (
              <Pod
                key={batch.id}
                {...props}
                units={units}
                model={model}
                batch={batch}
                isHeld={isHeld}
                shownX={model.vessels.find(({ id }) => id === vessel)!.x}
                shownStart={isHeld ? held.startDay : batch.startDay}
                longerD={isHeld ? held.longerD : 0}
              />
            );
          })}
      </g>
      <Hands season={season} span={span} weekMin={weekMin} width={model.width} />
      <line x1={20} x2={model.width} y1={GROUND + 1} y2={GROUND + 1} stroke="var(--ink)" strokeWidth={2.5} />
      {[model.vessels, model.stores, model.beds].map((lanes, which) =>
        lanes.length === 0 ? null : (
          <g key={which}>
            {lanes.map(({ id, x, name }, nth) => (
              <LaneFoot key={id} x={x} name={name} nth={nth} />
            ))}
            <text x={lanes[0]!.x - 20} y={GROUND + 84} className="fill-soft text-[14px]">
              {["made in", "kept in", "put on"][which]}
            </text>
          </g>
        ),
      )}
    </svg>
  );
};
