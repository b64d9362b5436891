import { PLANT_FERMENT } from "../../ferment/models/acids";
import { basis, from, perBasis } from "../amounts";
import { cues, D, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method } from "../types";

export const legumeLeafFerment: Method = {
  id: "legume-leaf-ferment",
  name: "Legume-leaf ferment",
  shortName: "Legume ferment",
  family: "acid",
  purpose: "Protein-rich leaf in a sweet bath, for leaf growth in a week.",
  goals: [
    { goal: "leaf-growth", weight: 3, why: "Nitrogen from legume leaf, ready in a week." },
    { goal: "compost", weight: 1, why: "What is too old goes on hot compost." },
  ],
  basis: "coconut-water",
  lid: "airlock",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Closed, vented, out of the sun and out of children's reach.",
  fillShare: from(0.75, 0.8, 0.85),
  headspaceFor: "gas and floating leaf",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "Coconut water",
      stance: "Three litres of coconut water; sweetened water does where there is none.",
      readiness: ripens({ ...PLANT_FERMENT, midpointD: 3.2, targetPh: 4.4 }, 6),
      ingredients: [
        basis("coconut-water", "the sweet bath"),
        perBasis("molasses", from(0.0033, 0.005, 0.0067), "food"),
        perBasis("local-starter", 0.033, "starts the souring", { leastShare: 0.01 }),
        perBasis("legume-leaf", from(0.1, 0.2, 0.33), "what is extracted", { bagged: true }),
      ],
      uses: [
        rate("drench-growing", [50, 50, 100], 7, "06 to 10 or 15 to 18 o'clock. More often sours the soil."),
        rate("foliar", [50, 75, 100], 7, "06 to 10 or 15 to 18 o'clock."),
        rate("compost", [0, 10, 50], 7, "What is too old."),
      ],
    },
  ],
  steps: [
    step("bath", "Coconut water in, or sweetened water free of chlorine.", "The sugar in it is the first food.", [
      "coconut-water",
    ]),
    step("sweeten", "Stir in molasses and starter.", "Spread out before the leaf goes in.", [
      "molasses",
      "local-starter",
    ]),
    step("leaf", "Shred the leaf, press it under.", "What floats moulds. Leaf you can name only.", ["legume-leaf"]),
    step(
      "close",
      "Close it, vented, label it, note the time.",
      "A week, out of the sun and out of children's reach.",
      [],
    ),
  ],
  stages: [stage("souring", "Souring", [0, null], "airlock", "Closed, vented.")],
  cues: [
    ...cues("smell", ["raw sweet", "fresh green"], "not-yet", "it has hardly begun"),
    ...cues("smell", ["yogurt-sour", "cidery", "yeasty"], "ready", "the souring went clean"),
    ...cues("smell", ["sulphur", "ammonia"], "failed", "the protein rots"),
    ...rotten,
  ],
  tending: [
    task("vented", "Vent, or look at the airlock", D, [D], "Gas builds up. Open it slowly, from the side."),
    task("read-ph", "Measure pH halfway down", 3 * D, [4 * D], "The forecast stays wide. One reading puts it right."),
  ],
  yieldPerBasis: from(0.85, 0.95, 1.05),
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 60 * D,
    afterH: null,
    container: "closed, loosened now and then",
    place: "cool and dark, out of children's reach",
  },
  residues: ["compost", "top dressing"],
  cautions: ["gas-pressure", "poisonous-plants", "lifting", "chlorine", "mould", "not-for-people"],
  comfortC: { low: 22, high: 30 },
  work: { fillMin: 40, dayMin: 3, closeMin: 25 },
  risk: { level: "some", why: "Protein turns to ammonia if it does not sour fast." },
  drawsOut: { minerals: from(0.3, 0.5, 0.8), sugarLeft: from(0, 0.15, 0.4) },
  lookAlike: {
    sugar: "coconut water's own and a spoon of molasses",
    water: "coconut water",
    air: "none: closed",
    time: "7 days, by smell",
  },
  sureness: "One recipe only, from hot places: elsewhere trust the meter, not the seven days.",
};
