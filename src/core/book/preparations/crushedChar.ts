import { basis, from } from "../amounts";
import { answer, cues, notYet, rotten, step } from "../lines";
import type { Method } from "../types";
import { doneAfter, preparation } from "./preparation";

export const crushedChar: Method = {
  ...preparation("Charged char and the char-and-green liquid start from it."),
  id: "crushed-char",
  name: "Crushed char",
  shortName: "Crushed char",
  purpose: "Charcoal of clean wood, wetted and crushed to pea size or finer.",
  makes: "char",
  basis: "char-lump",
  lid: "open",
  vesselNote: "A sack to beat, a 6 mm sieve, a pail of water.",
  schools: [
    {
      id: "standard",
      name: "Wetted, under 6 mm",
      stance: "Pea size for soil; powder only where a liquid asks for it.",
      readiness: doneAfter(1, 24 * 365),
      ingredients: [basis("char-lump", "black char of untreated wood", { roomLPerUnit: 5 })],
      uses: [],
    },
  ],
  steps: [
    step(
      "sort",
      "Pick out white ash and anything half burnt. No treated wood, no barbecue briquettes.",
      "Ash is caustic; glue and salts of treated wood are poison.",
      ["char-lump"],
      { checks: ["Black only: no white ash", "No treated wood, no barbecue briquettes"] },
    ),
    step("wet", "Wet it before it is broken.", "The dust is bad for lungs.", [], {
      checks: ["Wet through: no dust rises"],
    }),
    step("crush", "Crush in a sack and sieve to 6 mm.", "Water gets into small pieces faster.", []),
    step("size", "How large is the largest piece?", "What is larger than a pea floats for weeks.", [], {
      answers: [
        notYet("larger than a pea", "Back into the sack with what stays on the sieve."),
        answer("a pea or smaller", "Right for soil."),
        answer("powder", "Right for a liquid; keep it wet."),
      ],
    }),
  ],
  cues: [
    ...cues("texture", ["crumbles"], "ready", "clean char snaps and crumbles"),
    ...cues("texture", ["white threads"], "failed", "it stood damp with something else in it"),
    ...cues("texture", ["dry"], "not-yet", "wet it before it dusts"),
    ...rotten,
  ],
  yieldPerBasis: from(0.8, 0.9, 0.97),
  yieldUnit: "kg",
  keeping: {
    from: "made",
    living: false,
    shelfH: 24 * 365,
    afterH: null,
    container: "a sack",
    place: "dry, away from fire",
  },
  residues: ["ash: apart, never with urine"],
  cautions: ["char-dust", "caustic-ash", "not-for-people"],
  work: { fillMin: 40, dayMin: 0, closeMin: 10 },
  lookAlike: { sugar: "none", water: "wetted only", air: "no matter", time: "an hour" },
  sureness: "Size is a matter of patience.",
};
