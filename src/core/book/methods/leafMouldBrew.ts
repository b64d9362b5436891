import { STARCH_BLOOM } from "../../ferment/models/blooms";
import { basis, from, perBasis } from "../amounts";
import { cues, rate, rotten, stage, step, task, ripens } from "../lines";
import { POTATO_AFTER_BOILING } from "../preparations/boiledPotato";
import type { Method } from "../types";

export const leafMouldBrew: Method = {
  id: "leaf-mould-brew",
  name: "Leaf-mould starch brew",
  shortName: "Leaf-mould brew",
  family: "bloom",
  purpose: "The life of a wood floor, raised on potato starch, for bare beds and tired soil.",
  goals: [
    { goal: "before-planting", weight: 3, why: "Up to five times on the bare bed, with or just ahead of rain." },
    { goal: "wake-soil", weight: 3, why: "Local leaf-mould life, by the drum, for the price of a few potatoes." },
    { goal: "perennials", weight: 2, why: "Round trees, weak." },
    { goal: "compost", weight: 1, why: "A spent brew still wakes a heap." },
  ],
  basis: "water",
  lid: "breathable",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Lid lying on, no air pump. Out of the sun, warm; a thermostat heater in the cold months.",
  fillShare: from(0.78, 0.82, 0.88),
  headspaceFor: "the foam, which is how it is judged",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Potato and sea salt",
      stance: "Boiled potato, measured salt, a handful of live leaf mould to twenty litres.",
      readiness: ripens(STARCH_BLOOM),
      ingredients: [
        basis("water", "the bath"),
        perBasis("potato", from(0.0075, 0.013, 0.02), "starch, the food"),
        perBasis("sea-salt", from(0.00075, 0.00075, 0.001), "minerals; measured, as sodium stays in soil"),
        perBasis("leaf-mould", from(0.004, 0.005, 0.008), "the living part, a handful to 20 L", {
          bagged: true,
          leastShare: 0.002,
        }),
      ],
      uses: [
        rate(
          "drench-bare",
          [0, 2, 5],
          null,
          "Five times before planting if you can; nobody states how far apart. Water it in, or let rain do it.",
        ),
        rate("drench-growing", [10, 20, 40], 21, "One recipe goes to 1:10. Neat on growing roots burns them."),
        rate("seed-mix", [100, 100, 200], null, "To wet the mix once."),
        rate("foliar", [20, 20, 40], 21, "Finely strained."),
        rate("compost", [0, 0, 5], 7, "Where a spent brew goes."),
      ],
    },
  ],
  steps: [
    step("boil", "Boil the potato 20 minutes, just covered with water.", "Raw starch feeds slowly.", [], {
      waitMin: 20,
      waitFor: "boiling",
      prepares: "potato",
    }),
    ...POTATO_AFTER_BOILING,
    step(
      "water",
      "Run the water in, free of chlorine, at 18 to 28 °C.",
      "Chlorine kills the mould; under 14 °C it never blooms.",
      ["water"],
    ),
    step(
      "salt",
      "Weigh the salt. Not by the handful.",
      "A handful is three or four times too much, and sodium stays.",
      ["sea-salt"],
    ),
    step("food", "Knead the mash through a fine bag in the water.", "The starch must come out; the skins stay in.", [
      "potato",
    ]),
    step(
      "mould",
      "Live leaf mould in a fine bag; massage it out in the water until it clouds.",
      "What clouds the water is what grows.",
      ["leaf-mould"],
    ),
    step(
      "cover",
      "Lay the lid on, label it, note the time. No air pump.",
      "It makes its own foam; that is how you will judge it.",
      [],
    ),
  ],
  stages: [
    stage("quiet", "Quiet", [0, 1], "breathable", "A scum and the first ring of bubbles."),
    stage(
      "heading",
      "Heading up",
      [1, null],
      "breathable",
      "Patches, then a full head; look every six hours from now, nights too.",
      { signs: [["surface", ["ring at the wall", "patches", "full head", "thick fine head"]]] },
    ),
  ],
  cues: [
    ...cues("surface", ["still", "ring at the wall", "fine bubbles", "patches"], "not-yet", "it has not headed up yet"),
    ...cues("surface", ["full head", "thick fine head"], "ready", "a full head of foam is its peak"),
    ...cues("surface", ["collapsing"], "past", "six hours past the head it is clearly weaker"),
    ...cues("surface", ["flat"], "past", "a day past the head it is almost spent"),
    ...cues("smell", ["sulphur"], "failed", "it went the wrong way"),
    ...rotten,
  ],
  tending: [
    task("look", "Look at the foam", 6, [24], "The peak lasts a few hours. Past it, pour it on compost or bare soil."),
  ],
  yieldPerBasis: from(0.95, 0.97, 0.99),
  yieldUnit: "L",
  keeping: {
    from: "ready",
    living: true,
    shelfH: 6,
    // Six hours past it is clearly weaker, a day past almost spent; four for leaves is judged.
    afterH: { leaves: 4, soil: 6, hardEnd: 24 },
    container: "open; the can it goes out in",
    place: "nowhere: it is used at its head",
  },
  residues: ["compost", "under the mulch"],
  cautions: ["breathable-lid", "sodium", "root-burn", "lifting", "chlorine", "mould", "runoff", "not-for-people"],
  comfortC: { low: 18, high: 28 },
  work: { fillMin: 50, dayMin: 15, closeMin: 25 },
  risk: { level: "some", why: "A peak of a few hours, often at night; in the cold it never comes." },
  drawsOut: { minerals: from(0.3, 0.5, 0.8), sugarLeft: from(0, 0.1, 0.3) },
  lookAlike: {
    sugar: "none: starch of boiled potato",
    water: "all of it",
    air: "none pumped, lid lying on",
    time: "1 to 4 days by warmth, by foam",
  },
  sureness: "Foam is a good sign here. How often to pour it before planting no one has settled.",
};
