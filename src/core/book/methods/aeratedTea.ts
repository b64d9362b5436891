import { CHITIN_TEA, FUNGAL_TEA, SUGAR_TEA } from "../../ferment/models/blooms";
import { basis, from, perBasis, unstated } from "../amounts";
import { ripens, stage } from "../lines";
import type { Method, School, UseRate } from "../types";

const USES: readonly UseRate[] = [
  {
    use: "drench-bare",
    partsWater: { strongest: 0, default: 1, weakest: 10 },
    everyD: 7,
    note: "Neat on bare soil if there is plenty.",
  },
  {
    use: "drench-growing",
    partsWater: { strongest: 0, default: 1, weakest: 10 },
    everyD: 7,
    note: "Weekly in growth.",
  },
  {
    use: "foliar",
    partsWater: { strongest: 1, default: 1, weakest: 10 },
    everyD: 7,
    note: "Within an hour of the air stopping, strained.",
  },
  { use: "seedling", partsWater: { strongest: 10, default: 10, weakest: 20 }, everyD: 14, note: "Weak." },
  {
    use: "compost",
    partsWater: { strongest: 0, default: 0, weakest: 5 },
    everyD: 7,
    note: "Where a tea past its peak may still go.",
  },
];

const WATER = basis("water", "the bath");
const CASTINGS = perBasis("castings", from(0.012, 0.04, 0.06), "the living part");
const KELP = perBasis("kelp-meal", from(0.0015, 0.002, 0.0025), "slow food, trace elements", { optional: true });
const ROCK = perBasis("rock-dust", from(0.001, 0.00125, 0.0015), "minerals to hold on to", { optional: true });
const FISH = perBasis("fish-hydrolysate", from(0.001, 0.0015, 0.003), "protein, slow food", { optional: true });
const MOLASSES = perBasis("molasses", from(0.00025, 0.0015, 0.005), "quick food for bacteria");

const SCHOOLS: readonly School[] = [
  {
    id: "bacterial",
    name: "Bacterial-leaning",
    stance: "A little sugar; suits annuals. Half a per cent of molasses is the ceiling.",
    readiness: ripens(SUGAR_TEA),
    uses: USES,
    ingredients: [WATER, MOLASSES, ROCK, KELP, FISH, CASTINGS],
  },
  {
    id: "fungal",
    name: "Fungal-leaning",
    stance: "No sugar, kelp instead; said to suit shrubs, trees and perennials. The evidence is thin.",
    readiness: ripens(FUNGAL_TEA),
    uses: USES,
    ingredients: [
      WATER,
      { ...KELP, optional: false },
      ROCK,
      unstated("oat-flour", "How much oat flour? Growers name it and give no weight.", "food for fungi"),
      CASTINGS,
    ],
  },
  {
    id: "chitin",
    name: "With shell meal",
    stance: "Shell meal for the chitin eaters; takes two to three days and needs steady air.",
    readiness: ripens(CHITIN_TEA),
    uses: USES,
    ingredients: [
      WATER,
      MOLASSES,
      perBasis("shell-meal", from(0.0008, 0.001, 0.0012), "food for chitin eaters"),
      KELP,
      CASTINGS,
    ],
  },
];

export const aeratedTea: Method = {
  id: "aerated-tea",
  name: "Aerated castings tea",
  shortName: "Castings tea",
  purpose: "Puts living soil on leaves and round roots. Some growers find top-dressed castings do as well.",
  family: "bloom",
  goals: [
    { goal: "wake-soil", weight: 3, why: "Living soil, many times over, in a day." },
    { goal: "leaf-growth", weight: 2, why: "Weekly in growth, on soil and leaf." },
    { goal: "settle-seedlings", weight: 2, why: "Weak, at the root when they go out." },
    { goal: "rooting", weight: 2, why: "At the root when they go out; life rather than food." },
    { goal: "pests", weight: 1, why: "Some find fewer leaf troubles; the evidence is mixed." },
    { goal: "perennials", weight: 2, why: "The fungal recipe suits what stays standing; the evidence is thin." },
    { goal: "before-planting", weight: 1, why: "Neat on a bare bed." },
  ],
  basis: "water",
  lid: "open",
  aerated: true,
  vesselUse: "food-safe",
  vesselNote: "Open, with air stones weighted at the very bottom. Shade and warmth.",
  fillShare: { low: 0.75, default: 0.82, high: 0.88 },
  headspaceFor: "foam, and the stir of the air",
  cautiousSchool: "bacterial",
  schools: SCHOOLS,
  steps: [
    {
      id: "water",
      text: "Run the water in, free of chlorine, at 21 to 27 °C.",
      why: "Chlorine kills what you are growing.",
      adds: ["water"],
    },
    {
      id: "air",
      text: "Soak dry stones an hour and tie their weights short; stones to the floor, pump above the water line, air on: brisk, not violent.",
      why: "Without air the wrong things bloom.",
      adds: [],
    },
    {
      id: "food",
      text: "Stir in sugar and powders ahead of the castings.",
      why: "Put in late they settle on the stones.",
      adds: ["molasses", "rock-dust", "kelp-meal", "shell-meal", "fish-hydrolysate", "oat-flour"],
      waitMin: 15,
      waitFor: "mixing",
    },
    {
      id: "castings",
      text: "Castings last: loose if the air is strong and you strain after, else in a bag hung clear of wall and floor.",
      why: "A bag in weak air keeps the oxygen out.",
      adds: ["castings"],
    },
    {
      id: "note",
      text: "Label it and note the time. Keep the air on until it is used.",
      why: "The clock starts with the castings.",
      adds: [],
    },
  ],
  stages: [stage("brewing", "Brewing", [0, null], "open", "Air on all the way, until it is used.")],
  cues: [
    { kind: "smell", word: "raw sweet", says: "not-yet", because: "sugar is left" },
    { kind: "smell", word: "earthy", says: "ready", because: "the food is eaten and the brew is sound" },
    { kind: "smell", word: "neutral", says: "ready", because: "the food is eaten and the brew is sound" },
    { kind: "smell", word: "fishy", says: "not-yet", because: "food is left, or the air is short" },
    { kind: "smell", word: "sulphur", says: "failed", because: "the air failed" },
    { kind: "smell", word: "putrid", says: "failed", because: "the air failed" },
    { kind: "smell", word: "ammonia", says: "failed", because: "the air failed" },
    { kind: "surface", word: "flat", says: "past", because: "the bloom has gone" },
    { kind: "film", word: "coloured mould", says: "failed", because: "coloured mould can be poisonous" },
  ],
  tending: [
    {
      act: "look",
      text: "Is the air on? Smell it",
      everyH: 6,
      fromH: 6,
      ifMissed: "If the air stopped unseen, count the hours from when it last ran.",
    },
  ],
  yieldPerBasis: { low: 0.92, default: 0.96, high: 0.99 },
  yieldUnit: "L",
  keeping: {
    from: "air-off",
    living: true,
    afterH: { leaves: 1, soil: 4, hardEnd: 12 },
    shelfH: 4,
    container: "open; the can or knapsack it goes out in",
    place: "nowhere: it is used at once",
  },
  residues: ["compost", "dug in round plants"],
  cautions: [
    "electricity-at-water",
    "sugar-regrowth",
    "spray-mist",
    "lifting",
    "chlorine",
    "mould",
    "runoff",
    "not-for-people",
  ],
  comfortC: { low: 21, high: 27 },
  work: { fillMin: 45, dayMin: 15, closeMin: 40 },
  risk: { level: "some", why: "An hour without air undoes it, and the window lasts hours." },
  drawsOut: { minerals: { low: 0.05, default: 0.15, high: 0.3 }, sugarLeft: { low: 0, default: 0.05, high: 0.3 } },
  lookAlike: {
    sugar: "a splash or none, eaten up",
    water: "all of it",
    air: "pump on all the way",
    time: "1 to 3 days, by smell",
  },
  sureness: "The hours are well agreed at 24 °C. Foam proves little here: the air makes it too. Smell decides.",
};
