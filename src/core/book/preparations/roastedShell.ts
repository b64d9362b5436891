import { basis, from } from "../amounts";
import { cues, rotten, step } from "../lines";
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
    step("peel", "Peel the membrane out, rinse, dry.", "Membrane rots in the vinegar.", ["shell-raw"]),
    step("roast", "Roast to light brown, stirring.", "It burns off the last of the skin; black is too far.", [], {
      waitMin: 20,
    }),
    step("crush", "Cool, then crush: eye cover on.", "Finer is faster. Hot shell spits in acid.", [], { waitMin: 30 }),
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
