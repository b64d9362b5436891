import { SUGAR_DRAWN } from "../../ferment/models/slow";
import type { Method, School, UseRate } from "../types";
import { basis, fixedDose, perBasis } from "../amounts";
import { stage, ripens } from "../lines";
import type { Range } from "../range";

const READINESS = ripens(SUGAR_DRAWN, 5);

const USES: readonly UseRate[] = [
  {
    use: "drench-growing",
    partsWater: { strongest: 500, default: 1000, weakest: 2000 },
    everyD: 7,
    note: "One garden recipe pours 1:20, fifty times as strong: 5 % sugary juice. Patch-test before you leave the default.",
  },
  {
    use: "foliar",
    partsWater: { strongest: 500, default: 1000, weakest: 2000 },
    everyD: 7,
    note: "Early or at dusk. Patch-test anything stronger.",
  },
  {
    use: "seedling",
    partsWater: { strongest: 1000, default: 1500, weakest: 2000 },
    everyD: 14,
    note: "Never under 1:1000.",
  },
  {
    use: "injector",
    partsWater: { strongest: 500, default: 1000, weakest: 2000 },
    everyD: 14,
    note: "Pre-dilute to your injector's ratio.",
  },
];

const school = (id: string, name: string, stance: string, sugarPerPlant: Range): School => ({
  id,
  name,
  stance,
  readiness: READINESS,
  uses: USES,
  ingredients: [
    // Plant coated with sugar packs to about 0.45 kg/L under the hand; the sugar runs into the gaps.
    basis("plant", "gives the juice", { roomLPerUnit: 2.2 }),
    perBasis("brown-sugar", sugarPerPlant, "draws the juice"),
    {
      ingredient: "brown-sugar",
      amount: { type: "per-surface", thicknessM: { low: 0.003, default: 0.005, high: 0.006 }, unit: "kg" },
      role: "the cap that keeps air out",
    },
    fixedDose("vinegar", { low: 0.01, default: 0.02, high: 0.03 }, "wipes the rim, against ants", {
      optional: true,
      roomLPerUnit: 0,
    }),
  ],
});

export const plantJuice: Method = {
  id: "plant-juice",
  name: "Sugar-drawn plant juice",
  shortName: "Plant juice",
  purpose: "The sap of fast-growing tips, for growth; of flowers and fruit, for fruiting.",
  family: "sugar",
  goals: [
    { goal: "leaf-growth", weight: 3, why: "The sap of fast tips, drawn at dawn." },
    { goal: "flowering", weight: 2, why: "Made from flowers and buds." },
    { goal: "fruiting", weight: 2, why: "Made from ripe fruit." },
    { goal: "settle-seedlings", weight: 2, why: "Never stronger than 1:1000." },
    { goal: "rooting", weight: 1, why: "Of willow tips, never stronger than 1:1000." },
  ],
  basis: "plant",
  lid: "breathable",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Jar or crock filled two thirds, cloth or paper over it. Shade.",
  fillShare: { low: 0.6, default: 0.667, high: 0.75 },
  headspaceFor: "gas that lifts the plant",
  cautiousSchool: "equal-weight",
  schools: [
    school("equal-weight", "Equal weight", "As much sugar as plant: draws more and keeps better.", {
      low: 0.9,
      default: 1,
      high: 1.1,
    }),
    school("half-weight", "Half weight", "Half as much sugar as plant: cheaper, thinner, spoils sooner.", {
      low: 0.45,
      default: 0.5,
      high: 0.55,
    }),
  ],
  steps: [
    {
      id: "pick",
      text: "Pick growing tips before sunrise, dew on, unwashed; weigh them.",
      why: "Most sap is in them then; the sugar follows the real weight.",
      adds: [],
    },
    {
      id: "coat",
      text: "Chop coarsely and turn in the sugar until every face is coated.",
      why: "Bare faces rot.",
      adds: ["plant", "brown-sugar"],
    },
    {
      id: "pack",
      text: "Pack into the jar, two thirds full, pressed down.",
      why: "It rises when the gas comes.",
      adds: [],
    },
    { id: "cap", text: "Level it and lay the sugar cap on top.", why: "The cap keeps the air out.", adds: [] },
    {
      id: "cover",
      text: "Wipe the rim with vinegar, tie cloth or paper over it, label it.",
      why: "Ants come for the sugar; the gas must get out.",
      adds: ["vinegar"],
    },
  ],
  stages: [
    stage("drawing", "Drawing", [0, 2], "breathable", "The sugar wets through and the level sinks."),
    stage("working", "Working", [2, null], "breathable", "Small bubbles; the plant lifts off the juice.", {
      signs: [
        ["surface", ["fine bubbles", "ring at the wall", "patches"]],
        ["solids", ["floating"]],
      ],
    }),
  ],
  cues: [
    {
      kind: "film",
      word: "white fuzzy",
      says: "not-yet",
      because: "take the fuzz off with its sugar, lay fresh sugar on, press it under",
    },
    { kind: "smell", word: "raw sweet", says: "not-yet", because: "the sugar has not drawn yet" },
    { kind: "smell", word: "fresh green", says: "not-yet", because: "it has hardly begun" },
    { kind: "smell", word: "fruity", says: "ready", because: "sweet-sour with a hint of alcohol is the sign" },
    { kind: "smell", word: "yeasty", says: "ready", because: "sweet-sour with a hint of alcohol is the sign" },
    { kind: "solids", word: "floating", says: "ready", because: "the juice is out and the plant rides on it" },
    { kind: "smell", word: "vinegar", says: "past", because: "the alcohol is turning" },
    { kind: "smell", word: "putrid", says: "failed", because: "it has rotted" },
    { kind: "film", word: "coloured mould", says: "failed", because: "coloured mould can be poisonous" },
    { kind: "solids", word: "slimy", says: "failed", because: "it has rotted" },
  ],
  tending: [
    {
      act: "pressed-under",
      text: "Look, and press the plant under",
      everyH: 24,
      fromH: 24,
      untilH: 24 * 6,
      ifMissed: "What stood dry may grow fuzz. White fuzz: take it off, add sugar. Coloured: it is lost.",
    },
    {
      act: "look",
      text: "Smell it; does the plant float?",
      everyH: 24,
      fromH: 24 * 4,
      ifMissed: "Signs decide here. Look before you trust the days.",
    },
  ],
  yieldPerBasis: { low: 0.5, default: 0.7, high: 0.9 },
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    afterH: null,
    shelfH: 24 * 180,
    container: "breathable cover, a little sugar on top",
    place: "cool and dark, out of children's reach",
  },
  residues: ["compost", "a second, weaker steep in water"],
  cautions: ["poisonous-plants", "breathable-lid", "mould", "not-for-people"],
  comfortC: { low: 18, high: 25 },
  work: { fillMin: 60, dayMin: 3, closeMin: 25 },
  risk: { level: "some", why: "What stands out of the sugar moulds; ants find it." },
  drawsOut: { minerals: { low: 0.3, default: 0.5, high: 0.8 }, sugarLeft: { low: 0.6, default: 0.8, high: 0.95 } },
  lookAlike: {
    sugar: "as much as plant, dry; most of it stays",
    water: "none: the plant's own sap",
    air: "breathable cover, sugar cap",
    time: "5 to 7 days, by floating and smell",
  },
  sureness: "Days are well agreed between 20 and 25 °C. The dilution is not: recipes differ fifty times.",
};
