import { PLANT_SOAK } from "../../ferment/models/slow";
import { basis, from, perBasis, unstated } from "../amounts";
import { cues, D, onceTask, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method } from "../types";

export const charGreenLiquid: Method = {
  id: "char-green-liquid",
  name: "Char-and-green liquid",
  shortName: "Char-green liquid",
  family: "soak",
  purpose: "Two soaks side by side, greens and char, joined in equal volumes.",
  goals: [
    { goal: "leaf-growth", weight: 2, why: "Weekly, 1:8." },
    { goal: "before-planting", weight: 2, why: "Neat on an empty bed over castings." },
    { goal: "wake-soil", weight: 1, why: "Fine char goes in with it." },
  ],
  basis: "water",
  lid: "breathable",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Two vessels of half the size each, loose covers, shade. The amounts are for both together.",
  fillShare: from(0.75, 0.82, 0.88),
  headspaceFor: "greens that rise",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Two vessels",
      stance: "Vessel one half full of greens, vessel two fine char, each with a little compost and water; joined.",
      readiness: ripens({ ...PLANT_SOAK, startD: 7, peakD: 15 }, 7),
      ingredients: [
        basis("water", "half to each vessel"),
        perBasis("greens", from(0.05, 0.07, 0.1), "vessel one, half full of them"),
        perBasis("char", from(0.02, 0.04, 0.06), "vessel two; fine, no ash"),
        {
          ...unstated(
            "compost",
            "How much compost? “A little” is all that is said; split it over both vessels.",
            "starts both",
          ),
          optional: false,
        },
      ],
      uses: [
        rate("drench-growing", [8, 10, 20], 7, "Weekly."),
        rate("drench-bare", [0, 1, 8], null, "Neat on an empty bed, over castings."),
        rate("compost", [0, 2, 10], 7, "Strong is fine."),
      ],
    },
  ],
  steps: [
    step("greens", "Vessel one: greens to half, half of the compost.", "Greens alone go sour.", ["greens"]),
    step(
      "char",
      "Vessel two: fine char, wetted, no ash; the other half of the compost.",
      "Dry char dust is bad for lungs.",
      ["char", "compost"],
      { checks: ["Wet through: no dust rises", "Powder, or a pea at most", "No white ash"] },
    ),
    step(
      "water",
      "Water into both, free of chlorine; loose covers, shade; label both.",
      "They are one batch in two vessels.",
      ["water"],
    ),
    step(
      "join",
      "When both are done: equal volumes together, stirred.",
      "The char takes up what the greens gave.",
      [],
      {
        onDay: 7,
      },
    ),
  ],
  stages: [
    stage("apart", "Apart", [0, 7], "breathable", "Stirred every day or two."),
    stage("join", "To be joined", [7, null], "breathable", "When both smell calm.", {
      signs: [["smell", ["earthy"]]],
    }),
  ],
  cues: [
    ...cues("smell", ["fresh green"], "not-yet", "the greens have hardly begun"),
    ...cues("smell", ["earthy"], "ready", "calm and earthy in both"),
    ...cues("liquid", ["dark", "cloudy"], "ready", "dark one, cloudy the other"),
    ...cues("solids", ["floating"], "not-yet", "greens and char still float"),
    ...cues("smell", ["sulphur"], "failed", "it went without air"),
    ...rotten,
  ],
  tending: [
    task("stirred", "Stir both", 2 * D, [D, 15 * D], "Slower and smellier; stir them now."),
    onceTask(
      "joined",
      "When both smell calm: join them, equal volumes, stirred",
      [7 * D],
      "Apart, the char takes nothing up: join them before you draw any off.",
      8 * D,
    ),
  ],
  yieldPerBasis: from(0.8, 0.88, 0.94),
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 30 * D,
    afterH: null,
    container: "breathable cover",
    place: "shade",
  },
  residues: ["compost"],
  cautions: [
    "poisonous-plants",
    "tank-gas",
    "char-dust",
    "herbicide",
    "breathable-lid",
    "lifting",
    "chlorine",
    "mould",
    "not-for-people",
  ],
  comfortC: { low: 18, high: 30 },
  work: { fillMin: 60, dayMin: 4, closeMin: 40 },
  risk: { level: "some", why: "Two vessels to keep; strength unknown without a meter." },
  drawsOut: { minerals: from(0.2, 0.4, 0.7), sugarLeft: from(0, 0, 0) },
  lookAlike: { sugar: "none", water: "over both", air: "loose covers, stirred", time: "7 to 15 days" },
  sureness: "One grower's way; how much compost starts it nobody says.",
};
