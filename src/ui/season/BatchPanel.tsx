"use client";
import { mayHold } from "@/core/plan/mayHold";
import type { PlanBatch, PlanBody, Season } from "@/core/plan/season";
import type { Broken, Checked } from "@/core/plan/verify";
import { sayMoney, sayVolume, type UnitSystem } from "@/formats/amounts";
import { counted } from "@/formats/grammar";
import type { FarmView } from "@/services/farm";
import type { SeasonNames } from "@/words/said";
import { sayPlanRule, type SeasonSpeech } from "@/words/said";
import { Button } from "../kit/Button";
import { sayDate } from "./seasonSpeech";

/** What a move does to the plan: what breaks, what it costs, what goes unmet. */
export interface MoveTold {
  readonly broken: readonly Broken[];
  readonly before: Pick<Checked["score"], "cost" | "unmetNeeds">;
  readonly after: Pick<Checked["score"], "cost" | "unmetNeeds">;
}
interface BatchPanelProps {
  readonly season: Season;
  readonly plan: PlanBody;
  readonly batch: PlanBatch;
  readonly names: SeasonNames;
  readonly farm: FarmView;
  readonly units: UnitSystem;
  readonly say: SeasonSpeech;
  readonly move: {
    readonly startDay: number;
    readonly readyDay: number;
    readonly emptyDay: number;
    readonly vessel: string;
    readonly told: MoveTold;
  } | null;
  readonly isPinned: boolean;
  readonly mayTake: boolean;
  readonly onShift: (days: number) => void;
  readonly onStretch: (days: number) => void;
  readonly onVessel: (vessel: string) => void;
  readonly onPutBack: () => void;
  readonly onKeep: () => void;
  readonly onPin: () => void;
  readonly onForbid: (how: "vessel" | "week") => void;
  readonly onClose: () => void;
}

const Breaks = ({
  move,
  say,
  farm,
}: {
  readonly move: NonNullable<BatchPanelProps["move"]>;
  readonly say: SeasonSpeech;
  readonly farm: FarmView;
}) => {
  const { broken, before, after } = move.told;
  const byRule = new Map<string, Broken[]>();
  for (const one of broken) byRule.set(one.code, [...(byRule.get(one.code) ?? []), one]);
  const more = after.cost - before.cost;
  const lost = after.unmetNeeds - before.unmetNeeds;
  return (
    <div className="grid gap-2" role="status">
      {broken.length === 0 ? (
        <p className="font-semibold text-leaf">Breaks nothing.</p>
      ) : (
        <>
          <p className="font-semibold text-rust">
            {counted(broken.length, { one: "Breaks one thing", other: "Breaks # things" })}
          </p>
          <ul className="text-[0.92rem]">
            {[...byRule.values()].map((same) => (
              <li key={same[0]!.code}>
                {sayPlanRule(same[0]!)}
                {same.length > 1 ? ` (${same.length} times)` : ""}
                {same[0]!.at.startsWith("need ") ? ` ${say.need(same[0]!.at.slice(5))}.` : ""}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="text-[0.92rem] text-soft">
        {lost > 0
          ? counted(lost, { one: "One more application goes unmet. ", other: "# more applications go unmet. " })
          : ""}
        {Math.abs(more) < 0.005
          ? "It costs the same."
          : `It costs ${sayMoney(Math.abs(more) * 100, farm.currency)} ${more > 0 ? "more" : "less"}.`}
      </p>
    </div>
  );
};

/** A batch of the plan: what it is, where it could go instead, and what that would do. */
export const BatchPanel = (props: BatchPanelProps) => {
  const { season, batch, names, units, move, isPinned, mayTake, plan, say, farm } = props;
  const served = plan.applications.filter(({ draws }) => draws.some(({ from }) => from === batch.id)).length;
  const input = season.inputs.find(({ id }) => id === batch.input)!;
  const may = season.vessels.filter((vessel) => mayHold(input, vessel));
  return (
    <section aria-label="Chosen batch" className="grid gap-3 border-l-4 border-ink pl-4">
      <div>
        <h2 className="text-xl">
          {names.inputs[batch.input]}, {names.vessels[move?.vessel ?? batch.vessel]}
        </h2>
        <p className="text-soft">
          {batch.running ? "Running" : `Start ${sayDate(season, move?.startDay ?? batch.startDay)}`}; ready{" "}
          {sayDate(season, move?.readyDay ?? batch.readyDay)}; {sayVolume(batch.fillL, units)};{" "}
          {counted(served, { zero: "kept for later", one: "for one application", other: "for # applications" })}.
        </p>
      </div>
      {batch.running ? null : (
        <>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => props.onShift(-7)}>A week earlier</Button>
            <Button onClick={() => props.onShift(-1)}>A day earlier</Button>
            <Button onClick={() => props.onShift(1)}>A day later</Button>
            <Button onClick={() => props.onShift(7)}>A week later</Button>
          </div>
          <div className="flex flex-wrap items-center gap-2">
            <span className="text-[0.92rem]">
              Emptied {sayDate(season, move?.emptyDay ?? batch.emptyDay)}, frees its vessel:
            </span>
            <Button onClick={() => props.onStretch(-1)}>a day sooner</Button>
            <Button onClick={() => props.onStretch(1)}>a day later</Button>
          </div>
          <label className="grid gap-1 text-[0.92rem] font-semibold">
            Vessel
            <select
              className="min-h-11 rounded-[5px] border-[1.5px] border-line bg-chalk px-3 py-2"
              value={move?.vessel ?? batch.vessel}
              onChange={(event) => props.onVessel(event.target.value)}
            >
              {may.map(({ id }) => (
                <option key={id} value={id}>
                  {names.vessels[id]}
                </option>
              ))}
            </select>
          </label>
        </>
      )}
      {move ? (
        <>
          <Breaks move={move} say={say} farm={farm} />
          <div className="flex flex-wrap gap-2">
            <Button variant="strong" onClick={props.onKeep}>
              Plan around it
            </Button>
            <Button onClick={props.onPutBack}>Put it back</Button>
          </div>
        </>
      ) : (
        <div className="flex flex-wrap gap-2">
          {batch.running || !mayTake ? null : (
            <Button aria-pressed={isPinned} onClick={props.onPin}>
              {isPinned ? "Let it move" : "Pin it here"}
            </Button>
          )}
          {batch.running || !mayTake ? null : (
            <>
              <Button onClick={() => props.onForbid("vessel")}>Never in {names.vessels[batch.vessel]}</Button>
              <Button onClick={() => props.onForbid("week")}>Not started that week</Button>
            </>
          )}
          <Button variant="quiet" onClick={props.onClose}>
            Close
          </Button>
        </div>
      )}
    </section>
  );
};
