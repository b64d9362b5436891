import type { FromSchema } from "json-schema-to-ts";
import {
  TRIAL_INPUT,
  TRIAL_OUTPUT,
  TRIAL_PLACE_INPUT,
  TRIAL_PLACE_OUTPUT,
  TRIAL_SIZE_INPUT,
  TRIAL_SIZE_OUTPUT,
} from "@/contracts/commands/trial";
import { convert } from "@/core/quantity/convert";
import { analyseTrial, placeTrial, sizeTrial, type PlaceAsked, type Trial, type TrialSizeAsked } from "@/core/trial";
import type { Task } from "./task";

type TrialInput = FromSchema<typeof TRIAL_INPUT>;
type SizeInput = FromSchema<typeof TRIAL_SIZE_INPUT>;
type PlaceInput = FromSchema<typeof TRIAL_PLACE_INPUT>;

export const trialTask: Task<TrialInput> = {
  name: "trial",
  summary: "whether an input helped: judged by what could have been drawn, with what stands in a claim's way",
  input: TRIAL_INPUT,
  output: TRIAL_OUTPUT,
  example: {
    measure: { kind: "weight", scale: "difference", smallest: 0.3 },
    applications: 4,
    pairs: [
      { with: 3.4, without: 3.1 },
      { with: 2.9, without: 2.7 },
      { with: 4.1, without: 3.3 },
      { with: 3.6, without: 3 },
      { with: 3, without: 2.5 },
      { with: 3.3, without: 3.2 },
      { with: 3.5, without: 3.1 },
    ],
  },
  run: (input) => analyseTrial(input as unknown as Trial),
};

export const trialSizeTask: Task<SizeInput> = {
  name: "trial-size",
  summary: "how many pairs of strips would tell, and how likely",
  input: TRIAL_SIZE_INPUT,
  output: TRIAL_SIZE_OUTPUT,
  example: { difference: 0.5, spread: 0.5 },
  run: (input) => sizeTrial(input as TrialSizeAsked),
};

function place({ guard, ...input }: PlaceInput) {
  const wantedM =
    guard === undefined ? undefined : typeof guard === "number" ? guard : convert(guard as never, "m").value;
  const asked = { ...input, ...(wantedM === undefined ? {} : { guard: wantedM }) } as PlaceAsked;
  const { guardM, ...placement } = placeTrial(asked);
  return { ...placement, guard: { value: guardM, unit: "m" } };
}
export const trialPlaceTask: Task<PlaceInput> = {
  name: "trial-place",
  summary: "draws lots for a trial: neighbours make a block, each block holds each arm alike",
  input: TRIAL_PLACE_INPUT,
  output: TRIAL_PLACE_OUTPUT,
  example: {
    units: Array.from({ length: 8 }, (_, nth) => ({ id: String(nth + 1), x: 1.5 * nth, y: 0 })),
    seed: 7,
    use: "foliar",
  },
  run: place,
};
