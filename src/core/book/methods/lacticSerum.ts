import { RICE_WASH, SALTED_RICE_WASH, SOUR_MILK } from "../../ferment/models/acids";
import { basis, from, perBasis } from "../amounts";
import { cues, D, onceTask, rate, ripens, rotten, stage, step, task } from "../lines";
import type { Cue, Method } from "../types";

const CUES: readonly Cue[] = [
  ...cues("smell", ["raw sweet", "fresh green"], "not-yet", "it has hardly soured"),
  ...cues("smell", ["yogurt-sour"], "ready", "clean and tangy like plain yogurt"),
  ...cues("smell", ["sulphur", "ammonia"], "failed", "something else than the culture took it"),
  ...cues("film", ["white fuzzy"], "past", "it stood open too long; skim, taste nothing, use it on compost"),
  ...rotten,
];

const salted = {
  uses: [
    rate("drench-growing", [20, 100, 1000], 14, "Count the salt: it stays in the soil."),
    rate("foliar", [100, 500, 1000], 14, "The salted recipe goes to 1:100."),
    rate("seedling", [500, 1000, 2000], 21, "Weak; the salt."),
    rate("compost", [0, 10, 50], 7, "Against smell."),
  ],
};
const plain = [
  rate("drench-growing", [10, 100, 1000], 14, "The rice-wash recipe pours 1:10."),
  rate("foliar", [100, 500, 1000], 14, "Cautious; nothing to count but the acid."),
  rate("compost", [0, 10, 50], 7, "Against smell."),
];

export const lacticSerum: Method = {
  id: "lactic-serum",
  name: "Lactic serum",
  shortName: "Lactic serum",
  family: "acid",
  purpose: "A clean sour culture: on soil and leaf, against smell, and to start other brews.",
  goals: [
    { goal: "smell", weight: 3, why: "Bedding, heaps, drains: it sours what stinks." },
    { goal: "compost", weight: 2, why: "A heap takes it neat." },
    { goal: "wake-soil", weight: 2, why: "Weak and often." },
    { goal: "leaf-growth", weight: 1, why: "Every two or three weeks, very thin." },
    { goal: "ingredient", weight: 3, why: "Starts cultured extract and others." },
  ],
  makes: "lactic-culture",
  basis: "rice-wash",
  lid: "airlock",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Food-safe, out of the sun, at room warmth.",
  fillShare: from(0.75, 0.82, 0.88),
  headspaceFor: "gas and film",
  cautiousSchool: "salted-rice",
  schools: [
    {
      id: "salted-rice",
      name: "Salted rice wash",
      stance: "Salt on day 0, sugar on day two by the first volume; closed throughout. Keeps weeks.",
      readiness: ripens(SALTED_RICE_WASH, 7),
      ingredients: [
        basis("rice-wash", "the first rinse only, 20 to 40 g of rice to 100 mL"),
        perBasis("sea-salt", from(0.015, 0.0165, 0.018), "holds back what should not grow"),
        perBasis("brown-sugar", from(0.025, 0.0275, 0.03), "feeds the second half", { onDay: 2 }),
      ],
      ...salted,
    },
    {
      id: "plain-rice",
      name: "Plain rice wash",
      stance: "Nothing added, lightly covered, two or three days. A different product: label it so.",
      lid: "breathable",
      readiness: ripens(RICE_WASH, 2),
      ingredients: [basis("rice-wash", "one volume of rice rinsed in two or three of water")],
      uses: plain,
      steps: [
        step("rinse", "Take the first rinse of the rice, cloudy.", "Later rinses carry too little.", ["rice-wash"]),
        step(
          "cover",
          "Cloth over it, shade, label it “plain”.",
          "It is not the salted one and doesn't keep like it.",
          [],
        ),
      ],
      stages: [stage("souring", "Souring", [0, null], "breathable", "A thin film and a slight sourness.")],
      cues: [
        ...CUES.filter(({ says }) => says !== "past"),
        ...cues("smell", ["vinegar"], "past", "it has gone on to vinegar"),
        ...cues("film", ["thin pale"], "ready", "a thin film is its sign"),
      ],
      tending: [task("look", "Smell it; is there a film?", D, [D], "It is past in days: use it, or start the next.")],
      keeping: {
        from: "ready",
        living: false,
        shelfH: 4 * D,
        afterH: null,
        container: "lightly covered",
        place: "cool",
      },
      lookAlike: { sugar: "none", water: "the rinse itself", air: "breathes under a cloth", time: "2 to 3 days" },
    },
    {
      id: "milk",
      name: "Rice wash, then milk",
      stance: "One part of soured rice wash to ten of milk; the clear yellow serum under the curd.",
      basis: "milk",
      lid: "breathable",
      readiness: ripens(SOUR_MILK, 4),
      ingredients: [
        basis("milk", "what is soured"),
        perBasis("rice-wash", 0.1, "soured three to five days first; starts the milk", { leastShare: 0.05 }),
        perBasis("brown-sugar", from(0.45, 0.55, 0.6), "as much as the serum weighs, to keep it without a cold place", {
          optional: true,
          onDay: 7,
        }),
      ],
      uses: [
        rate("drench-growing", [100, 500, 1000], 14, "The serum recipe goes to 1:1000."),
        rate("foliar", [500, 1000, 1000], 14, "Very thin."),
        rate("compost", [0, 10, 50], 7, "Against smell."),
      ],
      steps: [
        step("milk", "Milk in, at room warmth.", "Cold milk stands for days before it starts.", ["milk"]),
        step(
          "wash",
          "Stir in the soured rice wash: clean sour, three to five days old.",
          "It starts the milk. Not one that smells of anything else.",
          ["rice-wash"],
        ),
        step("cover", "Cloth over it, shade, label it.", "It must breathe; flies must not get in.", []),
        step("draw", "When the curd floats, draw off the clear yellow serum from below.", "Curd left in it rots.", [], {
          onDay: 5,
        }),
        step(
          "keep",
          "Keep it cold, or stir in its own weight of brown sugar.",
          "Warm and plain, it goes in days.",
          ["brown-sugar"],
          { onDay: 7 },
        ),
      ],
      stages: [
        stage("curdling", "Curdling", [0, 3], "breathable", "It thickens and sours."),
        stage("parting", "Parting", [3, null], "breathable", "Curd up, serum clear below. Don't stir.", {
          signs: [["liquid", ["separated"]]],
        }),
      ],
      cues: [
        ...CUES,
        ...cues("liquid", ["separated"], "ready", "the curd floats on clear serum"),
        ...cues("liquid", ["thick"], "not-yet", "it has set but not parted"),
      ],
      tending: [
        task(
          "look",
          "Has the curd parted? Then draw the clear serum off from below",
          D,
          [2 * D],
          "Left for weeks the curd sinks again and clouds it.",
        ),
      ],
      yieldPerBasis: from(0.5, 0.65, 0.8),
      keeping: {
        from: "strained",
        living: false,
        shelfH: 60 * D,
        afterH: null,
        container: "closed, loosened now and then",
        place: "cold, or with its weight of sugar, out of children's reach",
      },
      residues: ["compost: the curd", "feed for pigs or hens where your code allows it"],
      lookAlike: {
        sugar: "none till it is kept",
        water: "none: milk",
        air: "breathes under a cloth",
        time: "5 to 7 days, by curd",
      },
    },
  ],
  steps: [
    step(
      "rinse",
      "Take the first rinse of the rice, cloudy; read its litres.",
      "The sugar on day two goes by this volume, not by what is left.",
      ["rice-wash"],
    ),
    step("salt", "Weigh the salt, dissolve it.", "Too little lets rot in; too much is what the soil gets.", [
      "sea-salt",
    ]),
    step("close", "Close it with the lock filled, label it, note the time.", "The clock starts here.", []),
    step(
      "sugar",
      "Day two: weigh the sugar by the first volume, stir it in, close again.",
      "The culture has eaten the rice sugar by now.",
      ["brown-sugar"],
      { onDay: 2 },
    ),
  ],
  stages: [
    stage("salted", "Salted", [0, 2], "airlock", "Quiet; slightly sour at the end."),
    stage("sugared", "Sugared", [2, null], "airlock", "Gas through the lock, then quiet.", { act: "fed" }),
  ],
  cues: CUES,
  tending: [
    onceTask(
      "fed",
      "Feed it: the sugar of the recipe, by the first volume",
      [2 * D, 4 * D],
      "Late sugar still helps until day four; after that it is a plain salted wash.",
    ),
    task("vented", "Vent, or look at the airlock", 2 * D, [3 * D], "Gas builds up. Open it slowly, from the side."),
    task("read-ph", "Measure pH halfway down", 2 * D, [5 * D], "The forecast stays wide. One reading puts it right."),
  ],
  yieldPerBasis: from(0.92, 0.97, 1),
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 45 * D,
    afterH: null,
    container: "sealed once it is quiet",
    place: "cool and dark, out of children's reach",
  },
  residues: ["compost"],
  cautions: ["gas-pressure", "breathable-lid", "sodium", "lifting", "mould", "kitchen-apart", "not-for-people"],
  comfortC: { low: 20, high: 28 },
  work: { fillMin: 20, dayMin: 2, closeMin: 15 },
  risk: { level: "low", why: "The nose knows it; it costs little to start again." },
  drawsOut: { minerals: from(0.9, 0.95, 1), sugarLeft: from(0.05, 0.2, 0.5) },
  lookAlike: {
    sugar: "a little, on day two",
    water: "rice rinse, salted",
    air: "none: closed",
    time: "7 to 9 days, by pH and smell",
  },
  sureness: "Salted and plain rice wash are two products under one name. Dilutions lie fifty times apart.",
};
