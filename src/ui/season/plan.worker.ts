import { fullDrumHabit, reorderHabit } from "@/core/plan/habit";
import { Planning } from "@/core/plan/planSeason";
import { factsOf } from "@/core/plan/reasons/facts";
import { Mender } from "@/core/plan/reasons/mend";
import type { PlanBody, Season, SeasonPlan } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import { robustPlan } from "@/core/plan/years/robustPlan";
import type { FromPlanner, HabitTold, ToPlanner, UnmetTold } from "./planTalk";

/** A slice of search, ms: between two of them what was sent gets in. */
const SLICE_MS = 40;
/** A better plan is sent at most so often, ms. */
const SHOW_MS = 500;
/** Seasons that are made for trying what would mend something; on large ones each takes a while. */
const MENDS = { small: 20, large: 4, largeFrom: 1500 } as const;

const tell = (message: FromPlanner): void => self.postMessage(message);

function explained(season: Season, plan: SeasonPlan): UnmetTold[] {
  const mender = new Mender(season, plan, season.needs.length > MENDS.largeFrom ? MENDS.large : MENDS.small);
  return plan.unmet.map((one) => ({
    ...one,
    facts: one.reasons.map((reason) => factsOf(season, plan, one.need, reason)),
    mend: one.level === "competition" ? mender.mendOf(one) : null,
  }));
}

let run = 0;
let isStopped = false;

async function plan({ season, ms, seed, id }: Extract<ToPlanner, { type: "plan" }>): Promise<void> {
  run += 1;
  const mine = run;
  isStopped = false;
  const planning = new Planning(season, { ms, seed }, () => performance.now());
  let shownMs = -Infinity;
  for (let isOver = false; !isOver && !isStopped;) {
    const until = performance.now() + SLICE_MS;
    while (!isOver && performance.now() < until) isOver = planning.step();
    tell({ type: "progress", id, progress: planning.progress });
    if (planning.hasNews && performance.now() - shownMs > SHOW_MS) {
      tell({ type: "plan", id, plan: planning.best() });
      shownMs = performance.now();
    }
    await new Promise((resolve) => setTimeout(resolve, 0));
    if (mine !== run) return;
  }
  tell({ type: "ended", id, plan: planning.finish(isStopped ? "asked" : "time") });
}

function explain({ season, plan: last, id }: Extract<ToPlanner, { type: "explain" }>): void {
  const told = (habit: PlanBody): HabitTold => {
    const { unmetNeeds, cost, starts } = verifyPlan({ ...season, previous: null }, habit).score;
    return { unmetNeeds, cost, starts };
  };
  const habits = { fullDrum: told(fullDrumHabit(season)), reorder: told(reorderHabit(season)) };
  tell({ type: "found", id, found: { unmet: explained(season, last), ...habits } });
}

function carryOut({ season, plan: body, years, ms, id }: Extract<ToPlanner, { type: "years" }>): void {
  tell({ type: "years", id, told: robustPlan(season, body, years, { ms, seed: 1 }, () => performance.now()) });
}

self.addEventListener("message", ({ data }: MessageEvent<ToPlanner>) => {
  if (data.type === "stop") isStopped = true;
  else if (data.type === "explain") explain(data);
  else if (data.type === "years") carryOut(data);
  else void plan(data);
});
