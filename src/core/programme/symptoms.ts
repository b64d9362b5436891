import type { GoalId } from "../book/goals";

/** What a grower sees or what has happened, and would like to give something against. */
export const SYMPTOM_IDS = [
  "pale-leaves",
  "yellow-lower-leaves",
  "poor-fruit-set",
  "blossom-end",
  "wilting",
  "heat-or-drought",
  "cupped-leaves",
  "mildew",
  "pests",
  "tired-bed",
  "transplant-shock",
  "cold-spell",
] as const;
export type SymptomId = (typeof SYMPTOM_IDS)[number];

/** Causes that nothing brewed helps against: each is looked for first. */
export const CAUSE_IDS = [
  "too-wet",
  "too-dry",
  "cold-soil",
  "heat",
  "ph-off",
  "salt",
  "compacted",
  "root-damage",
  "no-pollination",
  "swings-of-water",
  "herbicide",
  "too-much-nitrogen",
  "shade",
  "still-air",
  "age",
] as const;
export type CauseId = (typeof CAUSE_IDS)[number];

export interface Symptom {
  /** To rule out first, the likeliest first. */
  readonly ruleOut: readonly CauseId[];
  /** What may help where it is none of those; none where nothing brewed does. */
  readonly goals: readonly GoalId[];
}

export const SYMPTOMS: Readonly<Record<SymptomId, Symptom>> = {
  "pale-leaves": { ruleOut: ["cold-soil", "too-wet", "ph-off", "root-damage", "herbicide"], goals: ["leaf-growth"] },
  "yellow-lower-leaves": { ruleOut: ["age", "too-wet", "shade", "root-damage"], goals: ["leaf-growth"] },
  "poor-fruit-set": {
    ruleOut: ["no-pollination", "heat", "cold-soil", "too-much-nitrogen"],
    goals: ["flowering", "calcium"],
  },
  "blossom-end": { ruleOut: ["swings-of-water", "root-damage", "salt"], goals: ["calcium"] },
  "wilting": { ruleOut: ["too-dry", "too-wet", "root-damage", "heat", "salt"], goals: [] },
  "heat-or-drought": { ruleOut: ["too-dry", "salt"], goals: ["wake-soil"] },
  // Cupped and twisted leaves after manure, hay, straw or compost are a herbicide until a bean test says otherwise.
  "cupped-leaves": { ruleOut: ["herbicide", "heat", "too-wet"], goals: [] },
  "mildew": { ruleOut: ["still-air", "shade", "swings-of-water"], goals: ["pests"] },
  "pests": { ruleOut: ["too-much-nitrogen", "too-dry"], goals: ["pests"] },
  "tired-bed": { ruleOut: ["compacted", "ph-off", "salt", "herbicide"], goals: ["wake-soil"] },
  "transplant-shock": { ruleOut: ["too-dry", "cold-soil", "root-damage"], goals: ["settle-seedlings", "rooting"] },
  "cold-spell": { ruleOut: ["cold-soil", "too-wet"], goals: [] },
};
