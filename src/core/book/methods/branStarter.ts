import { BRAN_BED } from "../../ferment/models/slow";
import { basis, from, perBasis, unstated } from "../amounts";
import { cues, D, rate, rotten, stage, step, task, ripens } from "../lines";
import type { Method } from "../types";

export const branStarter: Method = {
  id: "bran-starter",
  name: "Solid bran starter",
  shortName: "Bran starter",
  family: "solid",
  purpose: "Leaf-mould life kept dry-handed on bran: for heaps, beds, and to steep as a spray.",
  goals: [
    { goal: "compost", weight: 3, why: "Starts a heap." },
    { goal: "before-planting", weight: 2, why: "Raked into the bed." },
    { goal: "wake-soil", weight: 2, why: "Carries leaf-mould life dry." },
    { goal: "smell", weight: 1, why: "Strewn on bedding." },
  ],
  basis: "bran",
  lid: "airlock",
  aerated: false,
  vesselUse: "food-safe",
  vesselNote: "Airtight with a gas lock, packed without hollows, out of the sun.",
  fillShare: from(0.75, 0.85, 0.9),
  headspaceFor: "gas",
  cautiousSchool: "standard",
  schools: [
    {
      id: "standard",
      name: "One, one and two",
      stance: "Leaf mould, bran and dry leaves one, one and two by volume, wet to a wrung sponge.",
      readiness: ripens(BRAN_BED, 7),
      // By volume 1 : 1 : 2 at 0.25, 0.25 and 0.1 kg/L; packed it settles to two thirds, and the water goes into the gaps.
      ingredients: [
        basis("bran", "food and body", { roomLPerUnit: 2.7 }),
        perBasis("leaf-mould", from(0.8, 1, 1.2), "the living part, with white threads", {
          roomLPerUnit: 2.7,
          leastShare: 0,
        }),
        perBasis("dry-leaves", from(0.6, 0.8, 1), "keeps it open", { roomLPerUnit: 6.7 }),
        // 50 to 60 % water in the whole, with what the mould brings.
        perBasis("sugar-water", from(1.4, 1.8, 2.4), "to a wrung sponge: hand shiny, no drip", { roomLPerUnit: 0 }),
        unstated(
          "lactic-culture",
          "How much live ferment? Nobody states it; a cup to a bucket is what hands do.",
          "sours it fast",
        ),
      ],
      uses: [
        rate("incorporate", [0, 0, 0], 60, "A few handfuls to the square metre, raked in."),
        rate("compost", [0, 0, 0], null, "A handful to a bucket of scraps."),
      ],
    },
  ],
  steps: [
    step("mix", "Mask on: leaf mould, bran and dry leaves, mixed dry.", "Bran and mould dust are bad for lungs.", [
      "bran",
      "leaf-mould",
      "dry-leaves",
    ]),
    step(
      "wet",
      "Sugared water a little at a time until a handful holds, hand shiny, no drip.",
      "Dripping, it rots; dry, it sleeps.",
      ["sugar-water", "lactic-culture"],
    ),
    step("pack", "Pack it without hollows, close it with the lock filled, label it.", "Hollows mould.", []),
  ],
  stages: [stage("working", "Working", [0, null], "airlock", "It warms itself for some days.")],
  cues: [
    ...cues("warmth", ["warm"], "ready", "warm, beery and threaded is how it should be"),
    ...cues("smell", ["yeasty"], "ready", "beery and yeasty is its smell"),
    ...cues("texture", ["white threads"], "ready", "white threads run through it"),
    ...cues("texture", ["dripping"], "not-yet", "too wet: mix in dry leaves"),
    ...cues("texture", ["dry"], "not-yet", "too dry: sprinkle sugared water"),
    ...rotten,
  ],
  tending: [
    task("vented", "Look at the gas lock; fill its water", 2 * D, [D], "A dry lock lets air in and mould with it."),
    task("look", "Warm? Smell it through the lock", 3 * D, [4 * D], "A cold one wants a warmer place."),
  ],
  yieldPerBasis: from(6.5, 8, 10),
  yieldUnit: "L",
  keeping: {
    from: "closed",
    living: false,
    shelfH: 90 * D,
    afterH: null,
    container: "airtight, or dried in shade",
    place: "cool and dark",
  },
  residues: ["nothing left"],
  cautions: ["char-dust", "gas-pressure", "lifting", "mould", "not-for-people"],
  comfortC: { low: 20, high: 30 },
  work: { fillMin: 60, dayMin: 2, closeMin: 20 },
  risk: { level: "some", why: "Too wet it rots, and only the nose tells." },
  drawsOut: { minerals: from(1, 1, 1), sugarLeft: from(0, 0.1, 0.3) },
  lookAlike: {
    sugar: "in the wetting water",
    water: "to a wrung sponge",
    air: "airtight with a lock",
    time: "7 to 10 days",
  },
  sureness: "How to steep it for a spray, and how much live ferment, is told by no one.",
};
