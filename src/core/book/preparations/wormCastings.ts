import { PLANT_SOAK } from "../../ferment/models/slow";
import { basis, from, perBasis } from "../amounts";
import { cues, D, rotten, step, task, ripens } from "../lines";
import type { Method } from "../types";
import { preparation } from "./preparation";

export const wormCastings: Method = {
  ...preparation("The living part of every castings tea."),
  id: "worm-castings",
  name: "Worm castings",
  shortName: "Castings",
  purpose: "Scraps through worms.",
  makes: "castings",
  basis: "scraps",
  lid: "breathable",
  vesselNote: "A worm bed with a drain, in shade, moist, never waterlogged.",
  fillShare: from(0.6, 0.8, 0.9),
  headspaceFor: "air over the bed",
  comfortC: { low: 15, high: 27 },
  schools: [
    {
      id: "standard",
      name: "Worm bed",
      stance: "Half their own weight a day is what worms eat; castings after two to four months.",
      readiness: ripens(
        // Worms, not microbes alone: slow and even; fitted to two to four months in a bed of common size.
        {
          ...PLANT_SOAK,
          id: "worm_bed",
          temperatures: { referenceC: 22, minC: 2, optimumC: 25, maxC: 35 },
          lagD: 7,
          startD: 60,
          peakD: 90,
          endD: Infinity,
          horizonH: 6000,
          setting: "solid_bed",
          smellTable: null,
          daysRuleH: 2160,
        },
        45,
      ),
      ingredients: [
        basis("scraps", "what worms eat", { roomLPerUnit: 1.2 }),
        perBasis("dry-leaves", from(0.1, 0.2, 0.3), "bedding, and air", { roomLPerUnit: 4 }),
      ],
      uses: [],
    },
  ],
  steps: [
    step("bed", "Moist bedding first, worms on it.", "They hide from wet scraps.", ["dry-leaves"]),
    step("feed", "Scraps in thin layers, no meat, nothing salty or sour.", "Thick layers heat up and drive them out.", [
      "scraps",
    ]),
    step(
      "part",
      "Heap under a light, scrape off 5 to 10 mm, wait some minutes, scrape again.",
      "They dive from light; the castings come off clean.",
      [],
      { waitMin: 8 },
    ),
  ],
  tending: [
    task(
      "look",
      "Moist? Eaten up? Feed thinly",
      3 * D,
      [3 * D],
      "Dry they leave, wet they drown; sprinkle, or add dry leaves.",
    ),
  ],
  cues: [
    ...cues("texture", ["crumbles"], "ready", "a moist ball holds, then crumbles"),
    ...cues("smell", ["earthy"], "ready", "fresh soil is its smell"),
    ...cues("smell", ["fresh green"], "not-yet", "scraps are left"),
    ...cues("texture", ["dripping"], "not-yet", "too wet: add dry leaves"),
    ...cues("smell", ["ammonia", "sulphur"], "failed", "rancid: it stood without air"),
    ...rotten,
  ],
  yieldPerBasis: from(0.2, 0.3, 0.45),
  yieldUnit: "kg",
  keeping: {
    from: "strained",
    living: false,
    shelfH: 180 * D,
    afterH: null,
    container: "breathable, moist",
    place: "shade",
  },
  residues: ["worms and seeds: back to the bed"],
  cautions: ["herbicide", "lifting", "not-for-people"],
  work: { fillMin: 30, dayMin: 3, closeMin: 90 },
  risk: { level: "low", why: "Slow, and the nose tells." },
  lookAlike: { sugar: "none", water: "moist", air: "breathes", time: "2 to 4 months" },
  sureness: "Months depend on worms, warmth and scraps.",
};
