"use client";
import { sayMoney } from "@/formats/amounts";
import { counted } from "@/formats/grammar";
import { sayMoment } from "@/formats/times";
import type { SeasonView } from "@/services/season";
import { sayPlanRule, saySince } from "@/words/said";
import { Button } from "../kit/Button";
import { Link } from "../kit/Link";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import type { HabitTold } from "./planTalk";
import { sayDate } from "./seasonSpeech";
import type { SeasonHands } from "./useSeason";

interface SeasonHeadProps {
  readonly view: SeasonView;
  readonly hands: SeasonHands;
  readonly onTerms: () => void;
}

const Summary = ({ view, hands: { shown, score, isPlanned } }: Omit<SeasonHeadProps, "onTerms">) => {
  const all = view.season.needs.length;
  if (all === 0)
    return (
      <p>
        Nothing is wanted yet. Say in the{" "}
        <Link href="/field/programmes" className="thumb underline">
          schedules
        </Link>{" "}
        what your crops get.
      </p>
    );
  const habitOf = ({ unmetNeeds, starts, cost }: HabitTold): string =>
    `${all - unmetNeeds} of ${all}, with ${counted(starts, { one: "one batch", other: "# batches" })}, for ${sayMoney(cost * 100, view.farm.currency)}`;
  const when =
    shown.isTaken && view.plan
      ? `In use since ${sayMoment(new Date(view.plan.takenMs), new Date(view.nowMs), view.farm)}, by ${view.plan.byName}.`
      : isPlanned
        ? "Not in use yet."
        : "";
  return (
    <p>
      <span className="font-semibold">
        {all - score.unmetNeeds} of {all} applications planned
      </span>
      , {counted(score.starts, { one: "one batch", other: "# batches" })},{" "}
      {sayMoney(score.cost * 100, view.farm.currency)}. {when}
      {shown.found ? (
        <span className="block text-[0.92rem] text-soft">
          Making more in time, drum by drum, would meet {habitOf(shown.found.reorder)}. A full drum whenever one has run
          out would meet {habitOf(shown.found.fullDrum)}.
        </span>
      ) : null}
    </p>
  );
};

const Buttons = ({ view, hands, onTerms }: SeasonHeadProps) => {
  const { planner, shown, isPlanned, mayUndo, taking } = hands;
  const isBusy = planner.progress !== null;
  return (
    <span className="flex flex-wrap gap-2">
      {view.mayTake ? <Button onClick={onTerms}>Hours and cans</Button> : null}
      {mayUndo && !isBusy ? <Button onClick={hands.undo}>Undo</Button> : null}
      {isBusy ? (
        <Button variant="strong" onClick={planner.stop}>
          Stop and keep
        </Button>
      ) : (
        <Button variant={shown.isTaken || !isPlanned ? "strong" : "plain"} onClick={hands.plan}>
          {isPlanned ? "Plan again" : "Plan the season"}
        </Button>
      )}
      {!isBusy && !shown.isTaken && isPlanned && view.mayTake ? (
        <Button variant="strong" disabled={taking.busy} onClick={() => void hands.take()}>
          Use this plan
        </Button>
      ) : null}
    </span>
  );
};

/** So many changes are told one by one. */
const MOST_TOLD = 5;

/** What has changed since the plan in use was taken, and that it was planned anew for it; or what does not hold of a plan. */
const Changed = ({ view, hands: { planner, shown, broken, isPlanned, season } }: Omit<SeasonHeadProps, "onTerms">) => {
  const isAnew = view.plan !== null && !shown.isTaken && (view.since.length > 0 || view.proposal !== null);
  const rules = planner.progress || !isPlanned ? [] : [...new Set(broken.map(sayPlanRule))].slice(0, 3);
  if (view.plan && (view.since.length > 0 || (rules.length > 0 && shown.isTaken) || isAnew))
    return (
      <Notice tone="caution" title="The farm has changed since this plan was taken">
        <ul className="list-disc pl-5">
          {view.since.slice(0, MOST_TOLD).map((one) => {
            const said = saySince(one, view.names, (day) => sayDate(season, day));
            return <li key={said}>{said}</li>;
          })}
          {rules.map((rule) => (
            <li key={rule}>{rule}</li>
          ))}
        </ul>
        {isAnew
          ? "The rest was planned anew; what is near stays where it can. Look at what changes, then use it or undo."
          : "Plan again: what is near stays where it can."}
      </Notice>
    );
  return rules.length > 0 ? (
    <Notice tone="caution" title="This plan does not hold">
      {rules.join(" ")} Plan again: what is near stays where it can.
    </Notice>
  ) : null;
};

/** What a plan comes to, and what can be done with it. */
export const SeasonHead = ({ view, hands, onTerms }: SeasonHeadProps) => {
  const { season, planner, taking } = hands;
  const { progress } = planner;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
        <h1 className="text-2xl">
          The season, {sayDate(season, season.nowDay)} to {sayDate(season, season.days - 1)}
        </h1>
        <Buttons view={view} hands={hands} onTerms={onTerms} />
      </div>
      <Refusal error={taking.error} />
      <div aria-live="polite">
        {progress ? (
          <p>
            Planning … {Math.round(progress.share * 100)} %
            {progress.isBuilt ? `; so far ${sayMoney(progress.cost * 100, view.farm.currency)}` : ""}
          </p>
        ) : (
          <Summary view={view} hands={hands} />
        )}
      </div>
      <Changed view={view} hands={hands} />
    </>
  );
};
