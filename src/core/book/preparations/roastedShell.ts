import { basis, from } from "../amounts";
import { answer, cues, notYet, rotten, step } from "../lines";
import type { Method } from "../types";
import { doneAfter, preparation } from "./preparation";

export const roastedShell: Method = {
  ...preparation("Clean, roasted shell is what vinegar draws calcium from."),
  id: "roasted-shell",
  name: "Roasted shells",
  shortName: "Roasted shells",
  purpose: "Shells freed of membrane, dried, roasted and crushed.",
  makes: "eggshell",
  basis: "shell-raw",
  lid: "open",
  vesselNote: "A dry pan or an oven tray; a mortar after.",
  schools: [
    {
      id: "standard",
      name: "Light brown",
      stance: "Roasted to light brown, not to black.",
      readiness: doneAfter(2, 24 * 365),
      ingredients: [basis("shell-raw", "saved over weeks", { roomLPerUnit: 5 })],
      uses: [],
    },
  ],
  steps: [
    step("peel", "Peel the membrane out and rinse.", "Membrane rots in the vinegar.", ["shell-raw"], {
      checks: ["No skin left inside", "Rinsed"],
    }),
    step("dry", "Spread it to dry, in the sun or a warm oven.", "Wet shell steams and does not roast.", [], {
      everyMin: 60,
      answers: [notYet("still damp", "An hour more."), answer("dry", "It snaps clean.")],
    }),
    step("roast", "Roast in a dry pan or on a tray, stirring.", "It burns off the last of the skin.", [], {
      waitMin: 20,
      waitFor: "roasting",
    }),
    step("colour", "What colour is it?", "White is too little, black too far.", [], {
      everyMin: 5,
      answers: [
        notYet("still white", "Five minutes more, stirring."),
        answer("light brown", "Off the fire."),
        answer("some is black", "Pick the black ones out for the compost; the rest serves."),
      ],
    }),
    step("cool", "Let it cool, spread out.", "Hot shell cracks skin, and spits in acid.", [], {
      waitMin: 30,
      waitFor: "cooling",
    }),
    step("crush", "Crush it, as fine as you have patience for.", "Finer is faster.", [], {
      checks: ["Cold to the hand", "Mask and goggles on", "No piece larger than a fingernail"],
    }),
  ],
  cues: [
    ...cues("smell", ["fishy"], "not-yet", "membrane is left: roast on"),
    ...cues("smell", ["neutral"], "ready", "nothing is left to rot"),
    ...cues("texture", ["crumbles"], "ready", "it breaks between the fingers"),
    ...rotten,
  ],
  yieldPerBasis: from(0.85, 0.92, 0.96),
  yieldUnit: "kg",
  keeping: { from: "made", living: false, shelfH: 24 * 365, afterH: null, container: "a dry jar", place: "dry" },
  residues: ["dust: compost"],
  cautions: ["hot-pan", "shellfish", "kitchen-apart", "not-for-people"],
  work: { fillMin: 30, dayMin: 0, closeMin: 20 },
  lookAlike: { sugar: "none", water: "none", air: "no matter", time: "two hours" },
  sureness: "Plain work; how brown matters little.",
};
