/** What a grower wants of an input, in the order of the season. */
export const GOALS = {
  "before-planting": "Ready a bed before planting",
  "settle-seedlings": "Settle in seedlings",
  "rooting": "Rooting",
  "leaf-growth": "Leaf growth",
  "flowering": "Flowering",
  "fruiting": "Fruiting",
  "calcium": "Calcium",
  "wake-soil": "Wake tired soil",
  "perennials": "Perennials and trees",
  "pests": "Keep pests and mildew off",
  "compost": "Compost and litter",
  "smell": "Less smell",
  "ingredient": "Feeds other recipes",
} as const satisfies Record<string, string>;

export type GoalId = keyof typeof GOALS;
export const GOAL_IDS = Object.keys(GOALS) as readonly GoalId[];
