import { basis, from, perBasis } from "../amounts";
import { cues, rotten, step } from "../lines";
import type { Method } from "../types";
import { doneAfter, preparation } from "./preparation";

export const riceWash: Method = {
  ...preparation("The first rinse of rice is what lactic serum is made from."),
  id: "rice-wash",
  name: "Rice wash",
  shortName: "Rice wash",
  purpose: "The cloudy first rinse of rice; the rice goes in the pot after.",
  makes: "rice-wash",
  basis: "water",
  lid: "open",
  vesselNote: "A clean bowl or pail, kept for food.",
  schools: [
    {
      id: "standard",
      name: "First rinse",
      stance: "Twenty to forty grams of rice to a hundred millilitres, once.",
      readiness: doneAfter(0.2, 12),
      ingredients: [
        basis("water", "the rinse"),
        perBasis("rice", from(0.2, 0.3, 0.4), "lends its starch; cook it after"),
      ],
      uses: [],
    },
  ],
  steps: [
    step("water", "Water in, free of chlorine.", "Chlorine kills what lives on the grain.", ["water"]),
    step(
      "rub",
      "Rub the rice in it until the water is milk white; pour the rice off.",
      "Only the first rinse is rich enough.",
      ["rice"],
    ),
    step("read", "Read the litres and write them down.", "Salt and sugar later go by this volume.", []),
  ],
  cues: [
    ...cues("liquid", ["cloudy"], "ready", "it is white with starch"),
    ...cues("liquid", ["clear"], "not-yet", "it is a later rinse: too thin"),
    ...cues("smell", ["yogurt-sour"], "past", "it has begun to sour: use it as started"),
    ...rotten,
  ],
  yieldPerBasis: from(0.85, 0.92, 0.97),
  yieldUnit: "L",
  keeping: {
    from: "made",
    living: false,
    shelfH: 12,
    afterH: null,
    container: "covered",
    place: "cool; used the same day",
  },
  residues: ["the rice: cook it"],
  cautions: ["chlorine", "kitchen-apart", "not-for-people"],
  work: { fillMin: 10, dayMin: 0, closeMin: 2 },
  lookAlike: { sugar: "none", water: "the rinse itself", air: "no matter", time: "none: minutes" },
  sureness: "Recipes agree on the dilution within a factor of two.",
};
