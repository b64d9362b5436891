import { DUNG_WITH_SUGAR } from "../../ferment/models/slow";
import { basis, from, perBasis } from "../amounts";
import { cues, D, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method } from "../types";

export const dungFlourFerment: Method = {
  id: "dung-flour-ferment",
  name: "Dung, sugar and pulse-flour ferment",
  shortName: "Dung ferment",
  family: "soak",
  purpose: "Aged dung woken with sugar and bean flour, in a week, for the soil.",
  goals: [
    { goal: "wake-soil", weight: 3, why: "Monthly on any field, weak." },
    { goal: "leaf-growth", weight: 2, why: "Nitrogen from dung and pulse flour." },
    { goal: "before-planting", weight: 2, why: "On the bare bed." },
  ],
  basis: "water",
  lid: "breathable",
  aerated: false,
  vesselUse: "manure",
  vesselNote: "A drum kept for dung. Cloth over it, shade.",
  fillShare: from(0.7, 0.78, 0.83),
  headspaceFor: "froth and stirring",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Seven days in the shade",
      stance: "A kilogram of aged dung, half of flour, half of raw sugar to ten litres; stirred.",
      readiness: ripens(DUNG_WITH_SUGAR, 5),
      ingredients: [
        basis("water", "the bath"),
        perBasis("dung-aged", 0.1, "the living part and the feed"),
        perBasis("pulse-flour", 0.05, "protein"),
        perBasis("raw-sugar", 0.05, "food"),
      ],
      uses: [
        rate("drench-growing", [10, 20, 30], 30, "Growers pour 1:10 monthly; start at 1:20. Soil only."),
        rate("drench-bare", [10, 10, 20], 30, "Watered in."),
        rate("compost", [0, 2, 10], 14, "Strong is fine."),
      ],
    },
  ],
  steps: [
    step("water", "Water in, free of chlorine.", "Chlorine kills what you are growing.", ["water"]),
    step("paste", "Stir flour and sugar to a paste first, no lumps, then thin it in.", "Lumps rot in the middle.", [
      "pulse-flour",
      "raw-sugar",
    ]),
    step(
      "dung",
      "Gloves on: crumble the aged dung in, stir until no lump is left.",
      "Aged, not fresh; its life is the start.",
      ["dung-aged"],
    ),
    step(
      "cover",
      "Cloth over it, shade, label it with the dung in its name.",
      "The interval before harvest hangs on that word.",
      [],
    ),
  ],
  stages: [stage("working", "Working", [0, null], "breathable", "Stirred morning and evening.")],
  cues: [
    ...cues("smell", ["raw sweet", "ammonia"], "not-yet", "the dung is not worked through yet"),
    ...cues("smell", ["yeasty", "yogurt-sour", "earthy"], "ready", "it has gone sour and calm"),
    ...cues("surface", ["flat", "collapsing"], "past", "the froth has gone"),
    ...cues("smell", ["sulphur"], "failed", "it went without air"),
    ...rotten,
  ],
  tending: [
    task(
      "stirred",
      "Stir it",
      12,
      [12, 7 * D],
      "Unstirred it goes without air and stinks; stir long and look again tomorrow.",
    ),
    task("look", "Smell it", D, [4 * D], "Two weeks is its end."),
  ],
  yieldPerBasis: from(0.82, 0.88, 0.94),
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 7 * D,
    afterH: null,
    container: "breathable cover",
    place: "shade, away from wells and from children",
  },
  residues: ["compost", "round trees"],
  cautions: [
    "manure",
    "sugar-regrowth",
    "herbicide",
    "breathable-lid",
    "lifting",
    "chlorine",
    "mould",
    "runoff",
    "not-for-people",
  ],
  comfortC: { low: 22, high: 32 },
  work: { fillMin: 50, dayMin: 8, closeMin: 40 },
  risk: { level: "high", why: "Dung: soil only, with the interval before harvest." },
  drawsOut: { minerals: from(0.3, 0.5, 0.8), sugarLeft: from(0, 0.1, 0.3) },
  lookAlike: { sugar: "raw sugar, eaten up", water: "ten parts", air: "cloth, stirred", time: "7 days" },
  sureness: "The week is agreed in warm places only.",
};
