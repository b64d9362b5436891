import { traitsOf } from "../models/classes";
import { valueAt } from "../temperature/grid";
import { overStarts, weightWhere, type Belief, type PossibleStart } from "./belief";
import { tellsOf } from "../evidence/likelihood";

export type StuckCode =
  "too_hot_now" | "cold" | "cold_no_bloom" | "overheated" | "high_asymptote" | "slow" | "not_within_horizon";

export interface Stuck {
  readonly codes: readonly StuckCode[];
  /** Chance that it does not become ready within the horizon. */
  readonly chanceNever: number;
  /** Acid ferments: chance that it settles above its target. */
  readonly chanceSettlesHigh: number;
  readonly meanRate24: number;
  /** Chance that it stands in cold that hardly lets it move. */
  readonly chanceCold: number;
}

const HOT_MARGIN_C = 1;
const COLD_RATE = 0.25;
const NO_BLOOM_RATE = 0.6;
const OVERHEAT_CH = 12;
const SLOW_SD = 1.3;
/** Said only where hardly a place that it may stand in leaves it open. */
const SURE = 0.8;

/** Mean of the rate over the last day, by its values each hour. */
function meanRate({ course, shiftH }: PossibleStart, nowH: number): number {
  const toH = nowH + shiftH;
  const fromH = Math.max(0, toH - 24);
  if (toH <= fromH) return valueAt(course.hours, course.rate, toH);
  const steps = Math.ceil(toH - fromH);
  let sum = 0;
  for (let step = 0; step <= steps; step += 1)
    sum += valueAt(course.hours, course.rate, fromH + ((toH - fromH) * step) / steps) * (step % steps === 0 ? 0.5 : 1);
  return sum / steps;
}

/** Whether a batch will come in at all, and if not, why. */
export function stuckOf(belief: Belief): Stuck {
  const { nowH, batch, u } = belief;
  const { model } = batch;
  const meanRate24 = overStarts(belief, (start) => meanRate(start, nowH));
  const chanceCold = overStarts(belief, (start) => (meanRate(start, nowH) < COLD_RATE ? 1 : 0));
  const chanceNever = weightWhere(belief, ({ path }) => !Number.isFinite(path.startH));
  const chanceSettlesHigh = weightWhere(belief, ({ path }) => path.settlesHigh === true);
  const maxC = "maxC" in model.temperatures ? model.temperatures.maxC : Infinity;
  const chanceHot = overStarts(belief, ({ course, shiftH }) =>
    valueAt(course.hours, course.liquidC, nowH + shiftH) > maxC - HOT_MARGIN_C ? 1 : 0,
  );
  const overheatCH = overStarts(belief, ({ course, shiftH }) =>
    valueAt(course.hours, course.overheatCH, nowH + shiftH),
  );
  const isHot = chanceHot > SURE;
  const phs = belief.taken.filter(({ type }) => type === "ph").length;
  const told = belief.taken.filter((observation) => tellsOf(observation, model)).length;
  const { slowsInCold: slowsInTheCold } = traitsOf(model);
  const found: [StuckCode, boolean][] = [
    ["too_hot_now", isHot],
    ["cold", slowsInTheCold && chanceCold > SURE && !isHot],
    ["cold_no_bloom", model.cls === "bloom" && meanRate24 < NO_BLOOM_RATE && chanceNever > 0.3 && !isHot],
    ["overheated", Number.isFinite(maxC) && overheatCH > OVERHEAT_CH],
    ["high_asymptote", model.cls === "acid" && chanceSettlesHigh > 0.5 && phs >= 2],
    ["slow", told >= 2 && u.mean < u.priorMean - SLOW_SD * u.priorSd],
    ["not_within_horizon", chanceNever > 0.5],
  ];
  return {
    codes: found.filter(([, holds]) => holds).map(([code]) => code),
    chanceNever,
    chanceSettlesHigh,
    meanRate24,
    chanceCold,
  };
}
