import type { FermentBatch } from "../batch";
import type { BedModel } from "../models/types";
import type { Course } from "../temperature/course";
import { hourOfValue, valueAt } from "../temperature/grid";
import { cardinalShare } from "../temperature/rate";
import { stepLiquid } from "../temperature/vessel";
import { ripePhase } from "./soak";
import type { Features, Runner } from "./trajectory";

const KILLING_DOSE_CH = 24;
/** Past its best by so much a bed has cooled to the air, and plain thermal time goes on, d. */
const COOLED_AFTER_D = 1.5;
/** A bed runs into its own lack of air: heat grows no further than this with the rate. */
const MOST_HEAT_RATE = 1.5;

/** A packed starter: it heats itself while it works, the more the larger it is. */
export function bedRunner(batch: FermentBatch, model: BedModel, course: Course): Runner {
  const { hours, airC, theta, tauH } = course;
  const steps = (hours.length - 1) / 2;
  const opened = new Uint8Array(steps);
  for (const { type, hour } of batch.events ?? [])
    if (type === "opened" && hour > 0 && hour <= hours[2 * steps]!)
      opened[Math.min(steps - 1, Math.ceil(hour / 3) - 1)] = 1;
  const riseK = model.greatestRiseK * Math.cbrt((batch.volumeL ?? model.volumeL) / 40);
  const atReference = cardinalShare(model.temperatures.referenceC, model.temperatures);
  return (u, v, featureHours) => {
    const pace = Math.exp(u);
    const lagD = model.lagD * Math.exp(v);
    const working = (e: number) => {
      const x = 1 / (1 + Math.exp(-(e - model.heatMidD - lagD + model.lagD) / model.heatWidthD));
      return 4 * x * (1 - x);
    };
    const nodes = new Float64Array(steps + 1);
    const progress = new Float64Array(steps + 1);
    const core = new Float64Array(steps + 1);
    const neededD = (mark: number) => mark - model.lagD + lagD;
    const stopD = neededD(model.peakD) + COOLED_AFTER_D;
    const perShare = pace / atReference;
    let [e, celsius, dose, last] = [0, batch.startC ?? airC[0]!, 0, 0];
    core[0] = celsius;
    for (let k = 0; k < steps; k += 1) {
      const a = airC[2 * k]!;
      const m = airC[2 * k + 1]!;
      const c = airC[2 * k + 2]!;
      const h = hours[2 * k + 2]! - hours[2 * k]!;
      const alive = dose > 0 ? Math.exp(-dose / KILLING_DOSE_CH) : 1;
      const r0 = perShare * alive * cardinalShare(celsius, model.temperatures);
      const heat0 = riseK * working(e) * Math.min(MOST_HEAT_RATE, r0);
      const middleC = stepLiquid(celsius, a + heat0, m + heat0, h / 2, tauH);
      const middleE = e + (r0 * h) / 48;
      const r1 = perShare * alive * cardinalShare(middleC, model.temperatures);
      const heat1 = riseK * working(middleE) * Math.min(MOST_HEAT_RATE, r1);
      celsius = stepLiquid(celsius, a + heat1, c + heat1, h, tauH);
      e += (r1 * h) / 24;
      if (opened[k]) celsius = (celsius + c) / 2;
      dose += Math.max(0, celsius - model.temperatures.maxC) * h;
      nodes[k + 1] = hours[2 * k + 2]!;
      progress[k + 1] = e;
      core[k + 1] = celsius;
      last = k + 1;
      if (e > stopD) break;
    }
    const ran = nodes.subarray(0, last + 1);
    const done = progress.subarray(0, last + 1);
    const stoppedH = nodes[last]!;
    const afterwards = (hour: number) => pace * (valueAt(hours, theta, hour) - valueAt(hours, theta, stoppedH));
    const progressAt = (hour: number) =>
      hour <= stoppedH ? valueAt(ran, done, hour) : progress[last]! + afterwards(hour);
    const hourOf = (mark: number) => {
      const need = neededD(mark);
      const within = hourOfValue(ran, done, need);
      if (Number.isFinite(within)) return within;
      return hourOfValue(hours, theta, valueAt(hours, theta, stoppedH) + (need - progress[last]!) / pace);
    };
    return {
      startH: hourOf(model.startD),
      peakH: hourOf(model.peakD),
      endH: hourOf(model.endD),
      crashH: Infinity,
      features: featureHours.map((hour): Features => {
        const at = progressAt(hour);
        const coreC = hour <= stoppedH ? valueAt(ran, core.subarray(0, last + 1), hour) : valueAt(hours, airC, hour);
        return { coreC, phase: ripePhase(at + model.lagD - lagD, model.startD, model.endD), gas: working(at) };
      }),
    };
  };
}
