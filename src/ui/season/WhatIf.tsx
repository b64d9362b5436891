"use client";
import { useState } from "react";
import { pinnedSeason } from "@/core/plan/hand/move";
import { seasonIf, WHAT_IFS, type SeasonWhatIf } from "@/core/plan/hand/whatIf";
import type { PlanBody, Season } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import { sayMoney } from "@/formats/amounts";
import { counted } from "@/formats/grammar";
import type { FarmView } from "@/services/farm";
import { sayWhatIf } from "@/words/said";
import { Button } from "../kit/Button";
import { Fold } from "../kit/Fold";
import { usePlanner } from "./usePlanner";

/** So long each is tried, ms. */
const TRY_MS = 3000;
/** What would be, were there one thing more or less: tried beside the plan, which stays as it is. */
export const WhatIf = ({
  season,
  plan,
  farm,
}: {
  readonly season: Season;
  readonly plan: PlanBody;
  readonly farm: FarmView;
}) => {
  const planner = usePlanner(1);
  const [answer, setAnswer] = useState<{ change: SeasonWhatIf; unmet: number; cost: number } | null>(null);
  const now = verifyPlan(season, plan).score;
  const ask = (change: SeasonWhatIf): void => {
    setAnswer(null);
    planner.start(seasonIf(pinnedSeason(season, plan, new Set()), change), TRY_MS, (tried, found) => {
      if (found) setAnswer({ change, unmet: found.unmet.length, cost: tried.score.cost });
    });
  };
  const fewer = answer ? now.unmetNeeds - answer.unmet : 0;
  return (
    <Fold title="What if …">
      <div className="flex flex-wrap gap-2">
        {WHAT_IFS.map((one) => (
          <Button key={one} disabled={planner.progress !== null} onClick={() => ask(one)}>
            {sayWhatIf(one, farm.units)}
          </Button>
        ))}
      </div>
      <p role="status">
        {planner.progress
          ? `Trying … ${Math.round(planner.progress.share * 100)} %`
          : answer
            ? `${sayWhatIf(answer.change, farm.units)}: ${
                fewer === 0
                  ? "as many applications are met"
                  : fewer > 0
                    ? counted(fewer, { one: "one more application is met", other: "# more applications are met" })
                    : counted(-fewer, { one: "one application less is met", other: "# applications less are met" })
              }; cost ${sayMoney(answer.cost * 100, farm.currency)} instead of ${sayMoney(now.cost * 100, farm.currency)}.`
            : "The plan stays as it is."}
      </p>
    </Fold>
  );
};
