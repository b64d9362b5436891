import type { ApplyCaution } from "@/core/apply/cautions";
import type { HoldReason } from "@/core/stock/lotState";
import type { WaterReason } from "@/core/water/chlorine";
import { sayCaution } from "@/words/en/caution";
import { sayThinStarter } from "@/words/en/strength";
import { sayState } from "@/words/en/verdict";
import { sayWaterReason } from "@/words/en/water";
import type { Speech } from "../../speech";
import { sayHold } from "../holds";
import { inText } from "@/formats/grammar";

/** What somebody asked for and the farm does not have. */
export const THINGS = {
  "application": "application",
  "batch": "batch",
  "bin": "worm bin",
  "device": "device",
  "entry": "entry in this batch's log",
  "equipment": "equipment",
  "draw": "draw of lots",
  "lot": "lot",
  "mark": "mark on the plan",
  "planting": "planting",
  "job": "job",
  "lot-line": "line",
  "method": "method",
  "mixing": "mixing",
  "own-ingredient": "ingredient of your own",
  "patch-test": "patch test",
  "person": "person",
  "place": "place",
  "plan": "plan",
  "pair": "pair in this trial",
  "plot": "plot",
  "trial": "trial",
  "code": "code in this trial",
  "prepared-water": "prepared water",
  "programme": "programme",
  "recipe-version": "version of this recipe",
  "session": "device that is signed in",
  "passkey": "passkey",
  "step": "step",
  "store": "store",
  "tool": "tool",
  "vessel": "vessel",
  "water": "water",
} as const;
export type Thing = keyof typeof THINGS;

type ThinStarter = Parameters<typeof sayThinStarter>[0];

/** Why an act goes on only with a reason that is kept. */
export type ReasonWanted =
  | { readonly code: "caution"; readonly caution: ApplyCaution; readonly inFull: boolean }
  | { readonly code: "not-ready"; readonly verdict: Parameters<typeof sayState>[0] }
  | { readonly code: "residue-on-food" }
  | { readonly code: "unknown-plant"; readonly why: string }
  | { readonly code: "resting-place"; readonly place: string; readonly until: string }
  | { readonly code: "worms-unfit"; readonly why: string }
  | { readonly code: "plastic-not-picked" }
  | { readonly code: "salt"; readonly gPerL: number; readonly mostGPerL: number }
  | { readonly code: "thin-starter"; readonly thin: ThinStarter }
  | { readonly code: "lot-held"; readonly left: Left | null; readonly name: string; readonly hold: HoldReason }
  | { readonly code: "water-unfit"; readonly water: string; readonly reasons: readonly WaterReason[] }
  | { readonly code: "water-not-yet"; readonly leftH: number };

/** An amount on the shelf. */
export interface Left {
  readonly amount: number;
  readonly unit: "kg" | "L";
}

/** One sentence for the whole; where its fields want words of their own, those follow in the order of the paths. */
export type Said = string | readonly [message: string, ...fields: string[]];

export const NAME_THEM = "Which plants are they? Name each, such as nettle, comfrey.";
export const sayReasons = (reasons: readonly WaterReason[]) => reasons.map(sayWaterReason).join(" ");
export const sayOnHand = (left: Left | null, name: string, say: Speech) =>
  left
    ? `The shed holds ${say.stock(left.amount, left.unit)} of ${inText(name)}`
    : `There is no ${inText(name)} in the shed`;
export const held = (hold: HoldReason) => ` that may go in; a lot is on hold: ${sayHold(hold)}`;

/** Why a reason is asked for, in words. */
export function sayReasonWanted(because: ReasonWanted, say: Speech): Said {
  switch (because.code) {
    case "caution":
      return `${sayCaution(because.caution, say)} ${because.inFull ? "This is blocked. To go on, give a full reason. Your name and reason are saved." : "Give a reason. It is saved with the application."}`;
    case "not-ready":
      return `Its state is "${inText(sayState(because.verdict))}". Give a reason to strain it now. It is saved with the batch.`;
    case "residue-on-food":
      return "It holds dung or urine, and that is where food grows. Take it round trees or into a hot heap, or give a reason.";
    case "unknown-plant":
      return [because.why, because.why, "Give a reason. It is saved."];
    case "resting-place":
      return [
        `${because.place} rests until ${say.day(because.until)}. Give a reason to gather now.`,
        "It is still resting.",
      ];
    case "worms-unfit":
      return [because.why, "Give a reason to use them anyway."];
    case "plastic-not-picked":
      return "Pick out plastic, labels and glass first; then tick this.";
    case "salt":
      return `Salt: ${say.perVolume(because.gPerL)}; growers use ${say.perVolume(because.mostGPerL)} at most, and it stays in the soil. Weigh it again, or say why.`;
    case "thin-starter":
      return `${sayThinStarter(because.thin)} Put in more of it, or less water, or say why.`;
    case "lot-held": {
      const words = `${sayOnHand(because.left, because.name, say)}${held(because.hold)}.`;
      return [`${words} Give a reason to use it anyway.`, words, "Give a reason to use it anyway."];
    }
    case "water-unfit":
      return `${because.water}: ${sayReasons(because.reasons)} Set it to stand first, or give a reason to use it now.`;
    case "water-not-yet":
      return `This water wants ${say.duration(because.leftH)} more. Wait, or give a reason to use it now.`;
  }
}
