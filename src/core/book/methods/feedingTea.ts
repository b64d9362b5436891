import { basis, from, perBasis, unstated } from "../amounts";
import { cues, rate, rotten, stage, step, task } from "../lines";
import type { Method } from "../types";

export const feedingTea: Method = {
  id: "feeding-tea",
  name: "Feeding tea",
  shortName: "Feeding tea",
  family: "bloom",
  purpose: "Nutrients more than microbes: richer stuff steeped with air for half a day to a day.",
  goals: [
    { goal: "leaf-growth", weight: 2, why: "Feeds within the day; salts want watching." },
    { goal: "flowering", weight: 2, why: "Guano or fish meal brings phosphorus around the turn." },
    { goal: "fruiting", weight: 1, why: "As a feed, where potassium comes from elsewhere." },
  ],
  basis: "water",
  lid: "open",
  aerated: true,
  vesselUse: "food-safe",
  vesselNote: "As for castings tea: open, stones at the very bottom, shade.",
  fillShare: from(0.75, 0.8, 0.85),
  headspaceFor: "foam, which fish and meals make plenty of",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Steeped with air",
      stance: "The tea's rig, richer food, a shorter steep. Growers name the amendments and weigh few of them.",
      // Twelve to twenty-four hours of steeping under air; a day more and it is no longer fresh (judged).
      readiness: { type: "fresh", readyH: 12, freshH: 36 },
      ingredients: [
        basis("water", "the bath"),
        perBasis("castings", from(0.012, 0.025, 0.06), "the living part"),
        perBasis("fish-hydrolysate", from(0.001, 0.002, 0.003), "nitrogen, fast"),
        perBasis("kelp-meal", from(0.0015, 0.002, 0.0025), "potassium, trace elements"),
        perBasis("rock-dust", from(0.001, 0.00125, 0.0015), "minerals to hold on to", { optional: true }),
        unstated(
          "guano",
          "How much guano? No one states it. Start under 5 g/L and read the conductivity.",
          "phosphorus",
        ),
      ],
      uses: [
        rate(
          "drench-growing",
          [1, 4, 10],
          14,
          "Read the conductivity of the mix; stay under 2 mS/cm unless you know the crop.",
        ),
        rate("drench-bare", [1, 2, 10], 14, "Watered in."),
        rate("compost", [0, 1, 5], 7, "Where one that smells fishy still may go."),
      ],
    },
  ],
  steps: [
    step("water", "Run the water in, free of chlorine, at 21 to 27 °C.", "Chlorine kills what you are growing.", [
      "water",
    ]),
    step("air", "Stones to the floor, pump above the water line, air on.", "Fish and meals rot without air.", []),
    step(
      "premix",
      "Mix fish, meals and dust in a pail of water, then pour them in.",
      "Lumps sink onto the stones and rot there.",
      ["fish-hydrolysate", "kelp-meal", "rock-dust", "guano"],
      { waitMin: 20, waitFor: "mixing" },
    ),
    step("castings", "Castings last, in a bag hung mid-water or loose.", "They want the food spread out already.", [
      "castings",
    ]),
    step(
      "note",
      "Label it, note the time, and read the conductivity before it goes out.",
      "It is strong: salts scorch.",
      [],
    ),
  ],
  stages: [stage("steeping", "Steeping", [0, null], "open", "Air on all the way.")],
  cues: [
    ...cues("smell", ["raw sweet", "fishy"], "not-yet", "the food is not taken up yet"),
    ...cues("smell", ["neutral", "earthy"], "ready", "the fish is taken up and the brew is sound"),
    ...cues("smell", ["sulphur", "ammonia"], "failed", "the air failed"),
    ...cues("surface", ["flat"], "past", "the bloom has gone"),
    ...rotten,
  ],
  tending: [
    task(
      "look",
      "Is the air on? Smell it",
      6,
      [6],
      "If the air stopped unseen, count the hours from when it last ran.",
    ),
  ],
  yieldPerBasis: from(0.92, 0.96, 0.99),
  yieldUnit: "L",
  keeping: {
    from: "air-off",
    living: true,
    shelfH: 4,
    afterH: { leaves: 1, soil: 4, hardEnd: 12 },
    container: "open; the can it goes out in",
    place: "nowhere: it is used at once",
  },
  residues: ["compost", "dug in round plants"],
  cautions: [
    "electricity-at-water",
    "sugar-regrowth",
    "fish-smell",
    "salts",
    "lifting",
    "chlorine",
    "mould",
    "runoff",
    "not-for-people",
  ],
  comfortC: { low: 21, high: 27 },
  work: { fillMin: 45, dayMin: 15, closeMin: 40 },
  risk: { level: "some", why: "Too strong, it scorches; without air it stinks within hours." },
  drawsOut: { minerals: from(0.2, 0.4, 0.7), sugarLeft: from(0, 0.1, 0.4) },
  lookAlike: { sugar: "none or little", water: "all of it", air: "pump on all the way", time: "12 to 24 hours" },
  sureness: "Amounts of the richer amendments are anyone's guess: measure the salts instead.",
};
