import { basis, from } from "../amounts";
import { answer, cues, notYet, rotten, step } from "../lines";
import type { Method, Step } from "../types";
import { doneAfter, preparation } from "./preparation";

/** From the pot to the drum: soft, cooled, mashed. The leaf-mould brew does the same with potatoes that nobody boiled ahead. */
export const POTATO_AFTER_BOILING: readonly Step[] = [
  step("soft", "Does a fork go through?", "Raw starch feeds slowly.", [], {
    prepares: "potato",
    everyMin: 5,
    answers: [
      notYet("still hard", "Five minutes more, then try again."),
      answer("it falls apart", "Soft enough: off the fire."),
    ],
  }),
  step("cool", "Cool it to hand warm, the lid off.", "Hot mash kills what it should feed.", [], {
    prepares: "potato",
    waitMin: 30,
    waitFor: "cooling",
  }),
  step("mash", "Mash by hand or blend, with its own water.", "Lumps float about unused.", [], {
    prepares: "potato",
    checks: ["No warmer than the hand", "No lumps left"],
  }),
];

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
      { waitMin: 20, waitFor: "boiling" },
    ),
    ...POTATO_AFTER_BOILING,
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
