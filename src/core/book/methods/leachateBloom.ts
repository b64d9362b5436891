import { LEACHATE_BLOOM } from "../../ferment/models/blooms";
import { basis, from, perBasis, unstated } from "../amounts";
import { cues, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method } from "../types";

export const leachateBloom: Method = {
  id: "leachate-bloom",
  name: "Activated worm leachate",
  shortName: "Leachate bloom",
  family: "bloom",
  purpose: "Wakes the run-off of a worm bed with sugar and air until it heads up.",
  goals: [
    { goal: "wake-soil", weight: 3, why: "Goes on every crop, by the tank." },
    { goal: "leaf-growth", weight: 2, why: "Brings the soluble part of the bed's feed with it." },
    { goal: "before-planting", weight: 2, why: "Neat on a bare bed." },
  ],
  basis: "water",
  lid: "open",
  aerated: true,
  vesselUse: "food-safe",
  vesselNote: "Open tank or drum with air at the bottom. Shade.",
  fillShare: from(0.7, 0.78, 0.85),
  headspaceFor: "a thick, fine-celled head",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Bubbled with molasses",
      stance: "Two to five litres of leachate and half a litre of molasses to a hundred of water.",
      readiness: ripens(LEACHATE_BLOOM),
      ingredients: [
        basis("water", "the bath"),
        perBasis("molasses", from(0.004, 0.005, 0.005), "food"),
        perBasis("leachate", from(0.02, 0.03, 0.05), "the living part", { leastShare: 0.01 }),
        unstated("bacterial-starter", "How much starter? Its bottle says; growers don't.", "a head start"),
      ],
      uses: [
        rate("drench-growing", [0, 5, 10], 7, "On any crop, neat at the strongest."),
        rate("drench-bare", [0, 1, 10], 7, "Neat where nothing grows yet."),
        rate("compost", [0, 0, 5], 7, "Not once it is foul."),
      ],
    },
  ],
  steps: [
    step(
      "water",
      "Run the water in, free of chlorine; let it come to 20 °C or more.",
      "A cold tank takes days to warm.",
      ["water"],
    ),
    step(
      "air",
      "Air on, strong enough to roll the whole tank.",
      "The bloom eats the oxygen faster than it dissolves by itself.",
      [],
    ),
    step("sweeten", "Thin the molasses in a pail and stir it in.", "Thick syrup lies on the floor.", ["molasses"], {
      waitMin: 15,
      waitFor: "mixing",
    }),
    step(
      "leachate",
      "Leachate in, fresh, not one that smells foul.",
      "Under one part in a hundred the bloom takes far longer.",
      ["leachate", "bacterial-starter"],
    ),
    step("note", "Label it and note the time.", "The clock starts with the leachate.", []),
  ],
  stages: [stage("blooming", "Blooming", [0, null], "open", "Air on all the way, until it is used.")],
  cues: [
    ...cues("smell", ["raw sweet"], "not-yet", "sugar is left"),
    ...cues("smell", ["fruity", "yeasty"], "ready", "fermenting fruit is its smell at the peak"),
    ...cues("surface", ["thick fine head"], "ready", "an off-white, fine-celled head is its sign"),
    ...cues("surface", ["collapsing", "flat"], "past", "food and oxygen are gone"),
    ...cues("smell", ["sulphur", "ammonia"], "failed", "it has turned foul"),
    ...rotten,
  ],
  tending: [
    task(
      "look",
      "Is the air on? Look at the head, smell it",
      6,
      [12],
      "Its peak lasts half a day; a missed look may miss it.",
    ),
  ],
  yieldPerBasis: from(0.95, 0.98, 1),
  yieldUnit: "L",
  keeping: {
    from: "ready",
    living: true,
    shelfH: 12,
    afterH: { leaves: 1, soil: 12, hardEnd: 12 },
    container: "open; the can it goes out in",
    place: "nowhere: it is used at once",
  },
  residues: ["nothing but lees: compost"],
  cautions: [
    "electricity-at-water",
    "tank-gas",
    "sugar-regrowth",
    "lifting",
    "chlorine",
    "mould",
    "runoff",
    "not-for-people",
  ],
  comfortC: { low: 20, high: 30 },
  work: { fillMin: 35, dayMin: 15, closeMin: 30 },
  risk: { level: "some", why: "Half a day past its peak it is foul and must not be used." },
  drawsOut: { minerals: from(0.8, 0.9, 1), sugarLeft: from(0, 0.1, 0.3) },
  lookAlike: {
    sugar: "half a litre of molasses a hundred, eaten up",
    water: "all of it",
    air: "pump on all the way",
    time: "2 days in summer, by head and smell",
  },
  sureness: "The two days of summer are well agreed. What it does beyond watering is not.",
};
