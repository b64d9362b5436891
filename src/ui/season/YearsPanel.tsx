"use client";
import type { PlanBody, Season, SeasonPlan } from "@/core/plan/season";
import type { YearsOfPlan } from "@/core/plan/years";
import { sayMoney } from "@/formats/amounts";
import { counted } from "@/formats/grammar";
import { formatNumber } from "@/formats/numbers";
import type { FarmView } from "@/services/farm";
import type { SeasonSpeech } from "@/words/said";
import { Button } from "../kit/Button";
import { Fold } from "../kit/Fold";
import { Refusal } from "../kit/Refusal";
import { useYears, type YearsState } from "./useYears";

interface YearsPanelProps {
  readonly season: Season;
  readonly plan: PlanBody;
  readonly cost: number;
  readonly farm: FarmView;
  readonly say: SeasonSpeech;
  readonly onShow: (plan: SeasonPlan) => void;
}
/** Those that go unmet most often are named; more are seldom read. */
const MOST_NAMED = 6;
const mean = (count: number): string => formatNumber(Math.round(count * 10) / 10, 3);

const AtRisk = ({ season, fares, say }: { readonly fares: YearsOfPlan } & Pick<YearsPanelProps, "season" | "say">) => {
  const days = new Map(season.needs.map(({ id, preferredDay }) => [id, preferredDay]));
  const most = Object.entries(fares.missed)
    .filter(([, times]) => times < fares.years)
    .toSorted(([, one], [, other]) => other - one);
  if (most.length === 0) return null;
  return (
    <>
      <p className="font-semibold">Not sure every year</p>
      <ul className="text-[0.92rem]">
        {most.slice(0, MOST_NAMED).map(([need, times]) => (
          <li key={need}>
            {say.need(need)}, {say.day(days.get(need)!)}: missed in {times} of {fares.years} years
          </li>
        ))}
      </ul>
      {most.length > MOST_NAMED ? (
        <p className="text-[0.92rem] text-soft">
          and {counted(most.length - MOST_NAMED, { one: "one more", other: "# more" })}
        </p>
      ) : null}
    </>
  );
};

const Told = ({
  state: { told, spread },
  season,
  cost,
  farm,
  say,
  onShow,
}: { readonly state: Extract<YearsState, { state: "told" }> } & Omit<YearsPanelProps, "plan">) => {
  const { now, robust } = told;
  return (
    <>
      <p>
        <span className="font-semibold">
          {mean(now.meanUnmet)} of {season.needs.length} applications missed
        </span>{" "}
        in a year on average, {now.worstUnmet} in the worst.
      </p>
      <AtRisk season={season} fares={now} say={say} />
      {robust ? (
        <>
          <p>
            A plan with more room for cold weeks would miss {mean(robust.fares.meanUnmet)} on average,{" "}
            {robust.fares.worstUnmet} in the worst, for {sayMoney(robust.plan.score.cost * 100, farm.currency)} instead
            of {sayMoney(cost * 100, farm.currency)}.
          </p>
          <Button onClick={() => onShow(robust.plan)}>Show that plan</Button>
        </>
      ) : (
        <p>No plan was found that would miss fewer.</p>
      )}
      <p className="text-[0.92rem] text-soft">
        {spread === "station"
          ? "How much days differ is taken from your weather station."
          : "How much days differ is a judgement for temperate places; a weather station of your own would tell."}{" "}
        Hours, cans and gathering are not counted again. Rough.
      </p>
    </>
  );
};

/** How the plan would fare in ten years of this farm's weather, and a plan that would fare better. */
export const YearsPanel = (props: YearsPanelProps) => {
  const { state, ask } = useYears();
  return (
    <Fold title="Ten years of weather">
      <p className="text-[0.92rem] text-soft">
        Carries this plan out in ten made-up years of your climate, each day as it comes: cold weeks make brews late.
      </p>
      <Button disabled={state.state === "busy"} onClick={() => void ask(props.season, props.plan)}>
        Try the plan in ten years
      </Button>
      {state.state === "refused" ? <Refusal error={state.error} /> : null}
      <div role="status" className="grid gap-2">
        {state.state === "busy" ? <p>Trying …</p> : null}
        {state.state === "told" ? <Told state={state} {...props} /> : null}
      </div>
    </Fold>
  );
};
