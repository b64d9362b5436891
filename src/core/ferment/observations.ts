import type { Act, PhInstrument, PhSpot, SignKind } from "../book/words";

/** What was logged of a batch, at an hour of it. Corrected entries never reach the core. */
export type Observation = { readonly hour: number } & (
  | { readonly kind: "ph"; readonly value: number; readonly instrument: PhInstrument; readonly spot: PhSpot }
  | { readonly kind: SignKind; readonly word: string }
  | { readonly kind: "act"; readonly act: Act }
);

export type PhObservation = Extract<Observation, { kind: "ph" }>;
export type SignObservation = Extract<Observation, { kind: SignKind }>;

/** Outside this a meter is broken, or stood in something else than the brew. */
const PH_BELIEVED = { min: 2, max: 9 } as const;

/** pH readings that stand for the batch: mid-depth and believable, oldest first. */
export const countedPh = (observations: readonly Observation[]): PhObservation[] =>
  observations
    .filter((item): item is PhObservation => item.kind === "ph")
    .filter((item) => item.spot === "mid-depth" && item.value >= PH_BELIEVED.min && item.value <= PH_BELIEVED.max)
    .toSorted((a, b) => a.hour - b.hour);

/** Signs seen or smelt, oldest first. */
export const signsOf = (observations: readonly Observation[]): SignObservation[] =>
  observations
    .filter((item): item is SignObservation => item.kind !== "ph" && item.kind !== "act")
    .toSorted((a, b) => a.hour - b.hour);
