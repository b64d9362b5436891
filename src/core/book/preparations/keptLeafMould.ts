import { basis, from } from "../amounts";
import { cues, D, rotten, step, task } from "../lines";
import type { Method } from "../types";
import { doneAfter, preparation } from "./preparation";

export const keptLeafMould: Method = {
  ...preparation("The living part of leaf-mould brew, soaks and bran starter."),
  id: "kept-leaf-mould",
  name: "Live leaf mould",
  shortName: "Leaf mould",
  purpose: "Damp, shaded, undisturbed litter with white threads, gathered and kept alive.",
  makes: "leaf-mould",
  basis: "leaf-mould",
  lid: "breathable",
  vesselNote: "A box or pail with a breathable lid, in the shade.",
  schools: [
    {
      id: "standard",
      name: "Gathered, kept moist",
      stance: "From under broad leaves that nobody has disturbed; a little from each place, and leave it to rest.",
      readiness: doneAfter(0.5, 60 * D),
      ingredients: [basis("leaf-mould", "gathered with its threads", { roomLPerUnit: 4 })],
      uses: [],
    },
  ],
  steps: [
    step(
      "gather",
      "Scrape the dry top aside; take the damp layer with white threads, no soil.",
      "The threads are what you want.",
      ["leaf-mould"],
    ),
    step(
      "keep",
      "Loose in a box, damp as a wrung sponge, breathable lid, shade.",
      "It dies dry, and sour without air.",
      [],
    ),
  ],
  tending: [
    task("look", "Damp? Threads still white?", 7 * D, [7 * D], "Sprinkle it; without threads it has lost its vigour."),
  ],
  cues: [
    ...cues("texture", ["white threads"], "ready", "it is alive"),
    ...cues("smell", ["earthy"], "ready", "a wood after rain"),
    ...cues("texture", ["dry"], "not-yet", "it sleeps: sprinkle it and wait some days"),
    ...cues("smell", ["ammonia", "sulphur"], "failed", "it stood without air"),
    ...rotten,
  ],
  yieldPerBasis: from(0.9, 1, 1),
  yieldUnit: "kg",
  keeping: {
    from: "made",
    living: false,
    shelfH: 60 * D,
    afterH: null,
    container: "breathable lid, moist",
    place: "shade, cool",
  },
  residues: ["nothing left"],
  cautions: ["herbicide", "char-dust", "not-for-people"],
  work: { fillMin: 45, dayMin: 1, closeMin: 5 },
  lookAlike: { sugar: "none", water: "damp", air: "breathes", time: "kept for weeks" },
  sureness: "What lives in it differs from wood to wood; what is best is unknown.",
};
