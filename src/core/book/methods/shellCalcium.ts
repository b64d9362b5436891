import { SHELL_IN_ACID } from "../../ferment/models/slow";
import { basis, from, perBasis } from "../amounts";
import { cues, D, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method, School } from "../types";

const USES = [
  rate("foliar", [500, 1000, 1000], 14, "In early growth, and again at fruit set."),
  rate(
    "drench-growing",
    [100, 500, 1000],
    14,
    "The soil recipe pours 1:10, near 1.5 g of calcium and much sour to the litre.",
  ),
  rate("injector", [500, 1000, 1000], 14, "Alone in the tank: phosphate and sulphate drop out with it."),
];

/** Growers measure vinegar against shell; the book counts shell against vinegar, which is what fills the vessel. */
const school = (id: string, name: string, vinegarLPerKg: number, stance: string): School => ({
  id,
  name,
  stance,
  readiness: ripens({ ...SHELL_IN_ACID, lPerKg: vinegarLPerKg }, 7),
  uses: USES,
  ingredients: [basis("vinegar", "dissolves the shell"), perBasis("eggshell", 1 / vinegarLPerKg, "gives the calcium")],
});

export const shellCalcium: Method = {
  id: "shell-calcium",
  name: "Shell calcium in vinegar",
  shortName: "Shell calcium",
  family: "mineral",
  purpose: "Calcium that leaves can take, from roasted shells.",
  goals: [
    { goal: "calcium", weight: 3, why: "About 16 g of dissolved calcium a litre with 5 % vinegar." },
    { goal: "fruiting", weight: 2, why: "Against blossom-end rot, from fruit set on, with even watering." },
    { goal: "settle-seedlings", weight: 1, why: "Early calcium, 1:1000." },
  ],
  basis: "vinegar",
  lid: "breathable",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote:
    "Glass, crock or food-safe plastic, never bare metal. Cloth over it, never a tight lid; air moving in the room.",
  fillShare: from(0.5, 0.6, 0.67),
  headspaceFor: "foam: at least a third stays empty",
  cautiousSchool: "four-to-one",
  schools: [
    school(
      "four-to-one",
      "Four to one",
      4,
      "Four litres of vinegar to a kilogram of shell: quicker, and most of the shell serves again.",
    ),
    school(
      "ten-to-one",
      "Ten to one",
      10,
      "Ten litres to a kilogram: less shell to gather, twice the wait, the same strength in the end.",
    ),
  ],
  steps: [
    step(
      "clean",
      "Look at the shells before the vinegar. What is not so yet is made so first: Roasted shells, among the methods.",
      "Membrane rots; hot shell spits in acid.",
      [],
      {
        prepares: "eggshell",
        checks: [
          "No skin left inside",
          "Dry",
          "Roasted to light brown, not black",
          "Crushed, no piece larger than a fingernail",
          "Cold to the hand",
        ],
      },
    ),
    step("vinegar", "Vinegar in first, gloves and goggles on.", "You pour shell into acid, not acid onto shell.", [
      "vinegar",
    ]),
    step(
      "shell",
      "Add the shell slowly, a handful at a time, letting the foam fall.",
      "It gives off ten litres of gas to the litre of vinegar and climbs out of a full jar.",
      ["eggshell"],
    ),
    step("cover", "Cloth tied over it. Never close it tight. Label it.", "Sealed, it would burst anything.", []),
  ],
  stages: [
    stage("fizzing", "Fizzing", [0, 3], "breathable", "Most of the gas comes now."),
    stage("slow", "Slow", [3, null], "breathable", "Fine bubbles from the shells, then none.", {
      signs: [["surface", ["fine bubbles", "still", "flat"]]],
    }),
  ],
  cues: [
    ...cues(
      "surface",
      ["fine bubbles", "full head", "patches", "ring at the wall"],
      "not-yet",
      "the acid still works on the shell",
    ),
    ...cues("surface", ["still", "flat"], "ready", "no more bubbles: acid or shell is used up"),
    ...cues("solids", ["spongy"], "ready", "the shell is eaten through; what is left crumbles between the fingers"),
    ...cues("smell", ["vinegar"], "not-yet", "free acid is left"),
    ...cues("smell", ["neutral"], "ready", "the acid is spent"),
    ...rotten,
  ],
  tending: [
    task(
      "look",
      "Bubbles? Shell left?",
      2 * D,
      [2 * D],
      "Nothing is lost: bubbles stop when acid or shell is used up.",
    ),
    task(
      "read-ph",
      "Read pH: over 5.5 nine tenths of the acid is used",
      7 * D,
      [7 * D],
      "Shell left and pH under 4: wait. No shell left and pH under 4: add shell.",
    ),
  ],
  yieldPerBasis: from(0.88, 0.93, 0.97),
  yieldUnit: "L",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 365 * D,
    afterH: null,
    container: "closed once no bubble comes for a week",
    place: "cool and dark, out of children's reach",
  },
  residues: ["shell left over: dried, it serves again", "compost"],
  cautions: [
    "acid-gas",
    "breathable-lid",
    "acid-hands",
    "strong-vinegar",
    "shell-dust",
    "shellfish",
    "hot-pan",
    "not-for-people",
  ],
  comfortC: { low: 15, high: 28 },
  work: { fillMin: 90, dayMin: 1, closeMin: 20 },
  risk: { level: "low", why: "Chemistry, not biology. It foams and gasses; it must not be sealed." },
  drawsOut: { minerals: from(0.02, 0.05, 0.1), sugarLeft: from(1, 1, 1) },
  lookAlike: {
    sugar: "none",
    water: "none: vinegar",
    air: "open to it, never sealed",
    time: "1 to 3 weeks, by bubbles and pH",
  },
  sureness: "The chemistry is exact; the days go with how finely you crush.",
};
