import { basis, from, perBasis } from "../amounts";
import { rate, rotten, cues, stage, step } from "../lines";
import type { Method } from "../types";

export const milkSpray: Method = {
  id: "milk-spray",
  name: "Dilute milk or whey",
  shortName: "Milk spray",
  family: "fresh",
  purpose: "Fresh milk or whey, thin, on leaves.",
  goals: [
    { goal: "leaf-growth", weight: 1, why: "A thin film on the leaf; growers use it on powdery ones." },
    { goal: "calcium", weight: 1, why: "A little, at once." },
    {
      goal: "pests",
      weight: 2,
      why: "A thin film on the leaf against powdery mildew; it does nothing for what is in the leaf.",
    },
    { goal: "compost", weight: 2, why: "Surplus and spoiled milk." },
  ],
  basis: "water",
  lid: "open",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "The can or knapsack it goes out in, or a clean pail.",
  fillShare: from(0.8, 0.88, 0.9),
  headspaceFor: "carrying",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Fresh",
      stance: "Eight to thirty millilitres to the litre, mixed and used the same hour.",
      readiness: { type: "fresh", readyH: 0.05, freshH: 6 },
      ingredients: [basis("water", "thins it"), perBasis("milk", from(0.008, 0.015, 0.03), "the film")],
      uses: [
        rate("foliar", [0, 0, 1], 14, "As mixed; in sun it dries better, but not at noon."),
        rate("compost", [0, 0, 5], 7, "What is left."),
      ],
    },
  ],
  steps: [
    step("water", "Water in, free of chlorine.", "Little lives in it to be killed, but the leaf likes it.", ["water"]),
    step("milk", "Stir in the milk or whey, fresh.", "Sour milk clots in the nozzle.", ["milk"]),
  ],
  stages: [stage("fresh", "Fresh", [0, null], "open", "Mixed, and out it goes.")],
  cues: [
    ...cues("smell", ["neutral"], "ready", "it is fresh"),
    ...cues("smell", ["yogurt-sour"], "past", "it has turned: compost"),
    ...cues("liquid", ["thick"], "not-yet", "it is not stirred through"),
    ...rotten,
  ],
  tending: [],
  yieldPerBasis: from(0.99, 1, 1),
  yieldUnit: "L",
  keeping: {
    from: "made",
    living: true,
    shelfH: 6,
    // Growers say "fresh"; the hours are judged.
    afterH: { leaves: 3, soil: 6, hardEnd: 24 },
    container: "the can it goes out in",
    place: "nowhere: it is used fresh",
  },
  residues: ["compost"],
  cautions: ["milk", "spray-mist", "kitchen-apart", "not-for-people", "runoff"],
  comfortC: { low: 5, high: 30 },
  work: { fillMin: 10, dayMin: 0, closeMin: 10 },
  risk: { level: "low", why: "Nothing ripens; at worst it smells." },
  drawsOut: { minerals: from(1, 1, 1), sugarLeft: from(0.9, 1, 1) },
  lookAlike: { sugar: "milk sugar only", water: "nearly all", air: "no matter", time: "none: used fresh" },
  sureness: "Widely done, thinly shown.",
};
