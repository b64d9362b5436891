import { PLANT_FERMENT } from "../../ferment/models/acids";
import { basis, perBasis } from "../amounts";
import { D, onceTask, stage, ripens } from "../lines";
import type { Range } from "../range";
import type { Method, School, UseRate } from "../types";

const READINESS = ripens(PLANT_FERMENT, 14);

const USES: readonly UseRate[] = [
  {
    use: "drench-growing",
    partsWater: { strongest: 32, default: 250, weakest: 500 },
    everyD: 7,
    note: "Start low, at 4 mL/L; up to 30 mL/L only after a clear patch test.",
  },
  {
    use: "foliar",
    partsWater: { strongest: 32, default: 250, weakest: 500 },
    everyD: 7,
    note: "Weekly when weak, fortnightly when strong.",
  },
  {
    use: "injector",
    partsWater: { strongest: 100, default: 250, weakest: 500 },
    everyD: 14,
    note: "95 to 280 L of concentrate to the hectare is what growers put on.",
  },
  {
    use: "compost",
    partsWater: { strongest: 0, default: 20, weakest: 50 },
    everyD: 7,
    note: "Neat is fine on a heap.",
  },
];

/** Schools differ in how much plant goes in, kg to the litre of water, and in nothing else. */
const school = (id: string, name: string, stance: string, plantKgPerL: Range): School => ({
  id,
  name,
  stance,
  readiness: READINESS,
  uses: USES,
  ingredients: [
    basis("water", "the bath"),
    perBasis("molasses", 0.01, "food for the culture"),
    perBasis("lactic-culture", { low: 0.01, default: 0.01, high: 0.02 }, "starts the souring", { leastShare: 0.005 }),
    perBasis("plant", plantKgPerL, "what is extracted", { bagged: true }),
  ],
});

export const culturedExtract: Method = {
  id: "cultured-extract",
  name: "Cultured plant extract",
  shortName: "Plant extract",
  purpose: "Leaf growth from greens and legumes; flowering and fruit from flowers and fruit; rooting from roots.",
  family: "acid",
  goals: [
    { goal: "leaf-growth", weight: 3, why: "Greens and legumes give up nitrogen and growth stuff in soft acid." },
    { goal: "flowering", weight: 2, why: "Made from flowers it is what growers give around the turn." },
    { goal: "fruiting", weight: 3, why: "Made from fruit or roots it carries potassium." },
    { goal: "settle-seedlings", weight: 1, why: "Very weak, after the first true leaf." },
    { goal: "rooting", weight: 3, why: "Made from roots or willow tips; weak, at the foot." },
    { goal: "pests", weight: 1, why: "Of bitter or hot plants, they say; thinly shown. Never nicotine plants." },
    { goal: "compost", weight: 1, why: "Keeps a heap sour and working." },
  ],
  basis: "water",
  lid: "airlock",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Food-safe, closed with an airlock, or opened to vent every day or two. Shade and warmth.",
  fillShare: { low: 0.8, default: 0.85, high: 0.9 },
  headspaceFor: "gas, and the film that rises with it",
  cautiousSchool: "equal-parts",
  schools: [
    // One part of chopped plant by volume, weighed at its bulk density of 0.3 kg/L.
    school("equal-parts", "Equal parts", "Plant, molasses and culture one part each to a hundred of water.", {
      low: 0.003,
      default: 0.003,
      high: 0.03,
    }),
    school("more-plant", "More plant", "The same with five parts of chopped plant; others go from three to ten.", {
      low: 0.009,
      default: 0.015,
      high: 0.03,
    }),
  ],
  steps: [
    {
      id: "water",
      text: "Run the water in, free of chlorine, at 20 to 28 °C.",
      why: "Chlorine kills the culture; cold water costs days.",
      adds: ["water"],
    },
    {
      id: "sweeten",
      text: "Thin the molasses in a pail of warm water and stir it in.",
      why: "Thick syrup lies on the floor and feeds nothing.",
      adds: ["molasses"],
    },
    {
      id: "culture",
      text: "Shake the lactic culture, measure it, stir it in.",
      why: "It settles in its bottle.",
      adds: ["lactic-culture"],
    },
    {
      id: "plant",
      text: "Chop the plant, hard stems fine; into a weighted mesh bag, fully under.",
      why: "What floats out of the liquid grows mould.",
      adds: ["plant"],
    },
    {
      id: "close",
      text: "Close it with the airlock filled, label it, note the time.",
      why: "The clock starts when the last living thing is in.",
      adds: [],
    },
  ],
  stages: [
    stage("souring", "Souring", [0, 7], "airlock", "It works: gas through the lock, sweetness going."),
    stage(
      "finishing",
      "Finishing",
      [7, null],
      "airlock",
      "Quiet; the pH creeps down. Lift the bag before long storage.",
    ),
  ],
  cues: [
    { kind: "smell", word: "raw sweet", says: "not-yet", because: "the molasses is not eaten yet" },
    { kind: "smell", word: "fresh green", says: "not-yet", because: "it has hardly begun" },
    { kind: "smell", word: "cidery", says: "ready", because: "that is the smell of a finished extract" },
    { kind: "smell", word: "yogurt-sour", says: "ready", because: "the souring went clean" },
    { kind: "smell", word: "putrid", says: "failed", because: "something else than the culture took it" },
    { kind: "smell", word: "sulphur", says: "failed", because: "something else than the culture took it" },
    { kind: "film", word: "coloured mould", says: "failed", because: "coloured mould can be poisonous" },
  ],
  tending: [
    {
      act: "vented",
      text: "Vent, or look at the airlock",
      everyH: 48,
      fromH: 24,
      ifMissed: "Gas builds up. Open it slowly, from the side, now.",
    },
    {
      act: "read-ph",
      text: "Measure pH halfway down",
      everyH: 96,
      fromH: 96,
      ifMissed: "The forecast stays wide. One reading puts it right.",
    },
    onceTask(
      "bag-out",
      "Lift the bag out before it is kept long",
      [28 * D],
      "Leaf left in goes on rotting in it.",
      4 * D,
    ),
  ],
  yieldPerBasis: { low: 0.9, default: 0.95, high: 1 },
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    afterH: null,
    shelfH: 24 * 180,
    container: "sealed once it is quiet, dark",
    place: "cool and dark, out of children's reach",
  },
  residues: ["compost", "top dressing"],
  cautions: ["gas-pressure", "poisonous-plants", "salty-plants", "lifting", "chlorine", "mould", "not-for-people"],
  comfortC: { low: 20, high: 28 },
  work: { fillMin: 45, dayMin: 2, closeMin: 30 },
  risk: { level: "low", why: "The meter tells plainly when it is sour enough." },
  drawsOut: { minerals: { low: 0.2, default: 0.4, high: 0.7 }, sugarLeft: { low: 0, default: 0.1, high: 0.3 } },
  lookAlike: {
    sugar: "a little molasses, eaten up",
    water: "a hundred parts",
    air: "none: sealed with an airlock",
    time: "1 to 3 weeks, by pH",
  },
  sureness: "The pH rule is firm. The days are an average over many farms, and vary by half either way.",
};
