import { CHAR_CHARGING } from "../../ferment/models/slow";
import { basis, from, perBasis } from "../amounts";
import { cues, D, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method } from "../types";

// Five parts char, one of molasses, five of manure to fifteen of water, by volume, at their bulk densities of 0.25 and 0.5 kg/L.
const CHAR_KG_PER_L = (5 / 15) * 0.25;
const MANURE_KG_PER_L = (5 / 15) * 0.5;

export const chargedChar: Method = {
  id: "charged-char",
  name: "Charged char",
  shortName: "Charged char",
  family: "char",
  purpose: "Char soaked full of food and life, so that it gives instead of taking.",
  goals: [
    { goal: "wake-soil", weight: 3, why: "Stays for years and holds what would wash away." },
    { goal: "before-planting", weight: 3, why: "Worked into the top 15 cm." },
    { goal: "perennials", weight: 1, why: "As a top dressing under mulch." },
    { goal: "compost", weight: 1, why: "The drained liquor, and char in bedding." },
  ],
  basis: "water",
  lid: "breathable",
  aerated: false,
  vesselUse: "manure",
  vesselNote: "A drum kept for manure, loose cover, weight on top to keep the char under.",
  fillShare: from(0.78, 0.85, 0.88),
  headspaceFor: "char that floats and the stirring",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Molasses and manure",
      stance: "Two weeks at least, four are better; judged by what still floats.",
      readiness: ripens(CHAR_CHARGING, 14),
      ingredients: [
        basis("water", "the bath"),
        perBasis(
          "manure-aged",
          from(MANURE_KG_PER_L * 0.8, MANURE_KG_PER_L, MANURE_KG_PER_L * 1.2),
          "food and life; soaked first",
        ),
        // Dry manure takes up its own bulk of water: 2 L to the kilogram at 0.5 kg/L.
        perBasis("soak-water", 2 * MANURE_KG_PER_L, "what the dry manure drinks; less where it is moist"),
        perBasis("molasses", 1 / 15, "food"),
        perBasis("char", from(CHAR_KG_PER_L * 0.8, CHAR_KG_PER_L, CHAR_KG_PER_L * 1.2), "what is charged; under 6 mm", {
          // Dry it floats: of 4 L of bulk to the kilogram half lies under, and half of that is water between the grains.
          roomLPerUnit: 3,
        }),
      ],
      uses: [
        rate("incorporate", [0, 0, 0], null, "4 L to the square metre, into the top 15 cm."),
        rate("top-dress", [0, 0, 0], null, "Half of that, under mulch."),
        rate("seed-mix", [10, 10, 20], null, "One part in ten of potting mix, by volume."),
        rate("compost", [0, 0, 10], null, "The liquor that drains off, as well."),
      ],
    },
  ],
  steps: [
    step(
      "wet",
      "Wet the char before you handle it, and look at its size.",
      "The dust is bad for lungs; ash is caustic; what is larger than a pea floats for weeks.",
      [],
      {
        prepares: "char",
        checks: [
          "Mask on",
          "Wet through: no dust rises",
          "Pieces of a pea or smaller",
          "Black only: no white ash, no treated wood",
        ],
      },
    ),
    step(
      "soak",
      "Soak the dry manure in its own volume of water for some hours, in a tub beside.",
      "Dry, it takes it from the bath and the char stays dry.",
      ["manure-aged", "soak-water"],
      { waitMin: 180, waitFor: "soaking" },
    ),
    step("water", "Water in, free of chlorine, and the molasses thinned in it.", "Syrup in lumps feeds the floor.", [
      "water",
      "molasses",
    ]),
    step(
      "char",
      "Char in; stir every half hour until it sinks.",
      "Air in its pores holds it up; that is what must go.",
      ["char"],
      { waitMin: 30, waitFor: "soaking" },
    ),
    step("cover", "Weight on top, loose cover, label it.", "What floats dries and charges nothing.", []),
  ],
  stages: [
    stage("sinking", "Sinking", [0, 1], "breathable", "Stir every half hour until most of it is under."),
    stage("charging", "Charging", [1, null], "breathable", "Every few days a stir; keep it under.", {
      signs: [["solids", ["sunk"]]],
    }),
  ],
  cues: [
    ...cues("solids", ["floating"], "not-yet", "char that floats still holds air"),
    ...cues("solids", ["sunk"], "ready", "almost nothing floats: the pores are full"),
    ...cues("smell", ["raw sweet", "ammonia"], "not-yet", "sugar and manure are not taken up yet"),
    ...cues("smell", ["earthy"], "ready", "earth is its smell when done"),
    ...cues("liquid", ["cloudy", "thick"], "ready", "cloudy or thick with life"),
    ...cues("smell", ["sulphur"], "failed", "it went without air: stir, and compost it if it stays"),
    ...rotten,
  ],
  tending: [
    task(
      "stirred",
      "Stir until it sinks",
      0.5,
      [0.5, 6],
      "What floats now floats for days; a long stir makes up for it.",
    ),
    task("stirred", "Stir, push what floats under", 3 * D, [2 * D], "It charges slower; nothing is lost."),
    task("look", "How much still floats?", 7 * D, [7 * D], "Two weeks is the least; it only gets better."),
  ],
  // Litres of wet char drained, per litre filled: char and manure keep their bulk, the liquor runs off.
  yieldPerBasis: from(0.35, 0.45, 0.6),
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 90 * D,
    afterH: null,
    container: "breathable, kept moist",
    place: "shade, under a sheet",
  },
  residues: ["compost: the liquor", "round trees: the liquor"],
  cautions: [
    "manure",
    "wounds",
    "char-dust",
    "caustic-ash",
    "herbicide",
    "breathable-lid",
    "lifting",
    "chlorine",
    "runoff",
    "not-for-people",
  ],
  comfortC: { low: 15, high: 30 },
  work: { fillMin: 90, dayMin: 3, closeMin: 60 },
  risk: { level: "some", why: "Manure's intervals go with it; uncharged it robs nitrogen at first." },
  drawsOut: { minerals: from(0.6, 0.8, 1), sugarLeft: from(0, 0.05, 0.2) },
  lookAlike: {
    sugar: "one part of molasses, eaten up",
    water: "three parts to one of char",
    air: "loose cover, stirred",
    time: "2 to 4 weeks, by sinking",
  },
  sureness: "The sink test is good; what char does in a given soil is slow to show.",
};
