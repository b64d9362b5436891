import { basis, from } from "../amounts";
import { cues, rotten, step } from "../lines";
import type { Method } from "../types";
import { doneAfter, preparation } from "./preparation";

export const boiledPotato: Method = {
  ...preparation("Starch for the leaf-mould brew."),
  id: "boiled-potato",
  name: "Boiled potato",
  shortName: "Boiled potato",
  purpose: "Starch that microbes can take at once.",
  makes: "potato-mash",
  basis: "potato",
  lid: "open",
  vesselNote: "A kitchen pot, filled to two thirds with water over the potato.",
  schools: [
    {
      id: "standard",
      name: "Boiled soft, mashed",
      stance: "Twenty minutes from the boil, cooled, mashed or blended.",
      readiness: doneAfter(1, 24),
      ingredients: [basis("potato", "the starch", { roomLPerUnit: 1.6 })],
      uses: [],
    },
  ],
  steps: [
    step(
      "boil",
      "Scrub, cut, cover with water, boil 20 minutes until a fork goes through.",
      "Raw starch feeds slowly.",
      ["potato"],
      { waitMin: 20 },
    ),
    step("cool", "Cool to hand warm.", "Hot mash kills what it should feed.", [], { waitMin: 30 }),
    step("mash", "Mash by hand or blend, with its own water.", "Lumps float about unused.", []),
  ],
  cues: [
    ...cues("texture", ["dry"], "not-yet", "it is not soft yet"),
    ...cues("texture", ["crumbles"], "ready", "it falls apart under a fork"),
    ...cues("smell", ["yogurt-sour"], "past", "it has stood too long"),
    ...rotten,
  ],
  yieldPerBasis: from(0.95, 1, 1.1),
  yieldUnit: "kg",
  keeping: { from: "made", living: false, shelfH: 24, afterH: null, container: "covered", place: "cool" },
  residues: ["peel: compost"],
  cautions: ["hot-pan", "kitchen-apart", "not-for-people"],
  work: { fillMin: 15, dayMin: 0, closeMin: 10 },
  lookAlike: { sugar: "none", water: "boiled in it", air: "no matter", time: "an hour" },
  sureness: "Plain kitchen work.",
};
