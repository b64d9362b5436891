import "server-only";
import { object } from "@/contracts/parts";
import { readScoring, readTrial, readTrials, readTrialSize, readTrialStart } from "../trials";
import { ID, NOTHING, view } from "../view";

const SIZE_ASKED = object(["scale", "difference", "spread", "looks", "inputs", "pairs"], {
  scale: { enum: ["ratio", "difference", "ordinal"] },
  difference: { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 },
  spread: { type: "number", exclusiveMinimum: 0, maximum: 1_000_000 },
  looks: { enum: ["several", "one", "any"] },
  inputs: { type: "integer", minimum: 1, maximum: 3 },
  pairs: { type: "integer", minimum: 0, maximum: 500 },
} as const);

export const TRIALS_VIEWS = {
  trials: view({ name: "trials", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readTrials(ctx, farm)),
  trial: view({ name: "trial", schema: object(["id"], { id: ID }), may: "viewer" }, ({ ctx, farm }, { id }) =>
    readTrial(ctx, farm, id),
  ),
  trialScoring: view(
    { name: "trialScoring", schema: object(["id"], { id: ID }), may: "helper" },
    ({ ctx, farm }, { id }) => readScoring(ctx, farm, id),
  ),
  trialStart: view({ name: "trialStart", schema: NOTHING, may: "grower" }, ({ ctx, farm }) =>
    readTrialStart(ctx, farm),
  ),
  /** How many pairs would tell. */
  trialSize: view({ name: "trialSize", schema: SIZE_ASKED, may: "grower" }, async (_frame, asked) =>
    readTrialSize(asked),
  ),
} as const;
