import type { FromSchema } from "json-schema-to-ts";
import { TRAJECTORY_INPUT, TRAJECTORY_OUTPUT } from "@/contracts/commands/model";
import { runnerFor } from "@/core/ferment/kinetics/runner";
import { courseOf } from "@/core/ferment/temperature/course";
import { fromFeatures, toBatch } from "./modelTerms";
import type { Task } from "./task";

type Input = FromSchema<typeof TRAJECTORY_INPUT>;

function run({ method, air, T0, u = 0, v = 0, batch = {}, at = [] }: Input) {
  const terms = toBatch({
    startHour: air.startHour ?? 9,
    ...batch,
    method,
    ambient: air.mean,
    amp: air.amp ?? 0,
    ...(T0 === undefined ? {} : { T0 }),
  });
  const path = runnerFor(terms, courseOf(terms, 0))(u, v, at);
  return {
    start: path.startH,
    peak: path.peakH,
    end: path.endH,
    crash: path.crashH,
    ...(path.sealH === undefined ? {} : { seal: path.sealH }),
    feats: path.features.map(fromFeatures),
  };
}

export const trajectoryTask: Task<Input> = {
  name: "trajectory",
  summary: "one run of the ferment model at a steady or daily waving air, in the model's own terms",
  input: TRAJECTORY_INPUT,
  output: TRAJECTORY_OUTPUT,
  example: { method: "A1_starch_bloom", air: { mean: 24 }, T0: 24, at: [36, 54.5, 72] },
  run,
};
