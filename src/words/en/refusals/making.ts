import { USES, type UseId } from "@/core/book/uses";
import type { Speech } from "../../speech";
import { type Said } from "./wanted";
import { counted, inText } from "@/formats/grammar";

/** Vessels, batches, fillings, recipes, and what is gathered for them. */
export const OF_MAKING = {
  // Vessels and room
  "vessel-filled": ({ vessel }: { vessel: string }): Said => [
    `${vessel} was just filled. Choose another vessel. Your text is saved.`,
    "Just filled.",
  ],
  "vessel-mixing": ({ vessel, by }: { vessel: string; by: string }): Said => [
    `${vessel} is being filled by ${by} step by step. Finish or cancel that one first.`,
    "Being filled.",
  ],
  "not-ended": () => "This batch still runs.",
  "job-begun": () => "Some of this job is done already. Set those steps to “not done” first.",
  "check-stands": () => "This was written down more than ten minutes ago. Look again, and write down what you find.",
  "version-used": ({ name }: { name: string }) => `${name}: a newer version, a plan or your farm’s choice rests on it.`,
  "drawn-since": () => "This was drawn anew since. Change it on the map.",
  "end-used": ({ what }: { what: string }) => `Some of ${what} is used, poured or counted already. Undo that first.`,
  "end-vessel-washed": ({ vessel }: { vessel: string }) => `${vessel} has been washed since. Undo the washing first.`,
  "end-vessel-taken": ({ vessel }: { vessel: string }) => `${vessel} has been filled again since.`,
  "vessel-holds-batch": ({ vessel }: { vessel: string }) => `${vessel} still holds a batch.`,
  "season-moved": ({ rules }: { rules: number }) =>
    `The farm has changed since this plan was made: ${counted(rules, { one: "one thing in it does not hold any more", other: "# things in it do not hold any more" })}. Plan again, then use it.`,
  "vessel-planned": (
    { vessel, method, from, until }: { vessel: string; method: string; from: string; until: string },
    say: Speech,
  ) =>
    `${vessel} is taken by ${method} from ${say.day(from)} to about ${say.day(until)}. Choose another day or another vessel.`,
  "vessel-dirty": ({ vessel }: { vessel: string }): Said => [
    `${vessel} is not washed. Wash it first.`,
    "Wash it first.",
  ],
  "vessel-without-air": ({ vessel, method }: { vessel: string; method: string }): Said => [
    `${vessel} has no air, and ${inText(method)} needs it all the way.`,
    "This vessel has no air.",
  ],
  "farm-not-set-up": () => "There is no farm here yet. Set it up first.",
  "last-person": () => "Somebody has to stay. Add another person first.",
  "recording-as": ({ name }: { name: string }) => `You are recording as ${name}. Change the person at the top first.`,
  "state-of-kind": () => "A person or a sensor can be put away, not lent or repaired.",
  "put-off-back": () => "Choose a later time.",
  "put-off-far": () => "Choose a time within 7 days.",
  "put-off-why": () => "Say why it can wait.",
  "vessel-away": ({ vessel, state }: { vessel: string; state: "lent" | "repair" | "retired" }) =>
    `${vessel} is ${{ lent: "lent out", repair: "in repair", retired: "put away" }[state]}. Bring it back first: Farm, Vessels.`,
  "vessel-of-dung": ({ vessel, held: method }: { vessel: string; held: string }) =>
    `${vessel} has held ${inText(method)}: it is kept for dung from then on. Take another vessel.`,
  "over-brim": ({ takesL, vessel, holdsL }: { takesL: number; vessel: string; holdsL: number }, say: Speech) =>
    `This needs ${say.volume(takesL)} with solids; ${vessel} holds ${say.volume(holdsL)}. Use less water.`,
  "no-room-left": ({ vessel, roomL }: { vessel: string; roomL: number }, say: Speech) =>
    roomL < 0.05 ? `${vessel} is full.` : `Only ${say.volume(roomL)} more fit into ${vessel}.`,
  "more-than-stands": ({ standsL }: { standsL: number }, say: Speech) => `Only ${say.volume(standsL)} stand in it.`,
  "more-than-it-gives": () => "The yield is too high for this batch. Check the number.",

  // Batches and mixings
  "batch-closed": ({ as, by }: { as: "strained" | "discarded" | "taken-back"; by: string }) =>
    as === "taken-back"
      ? `The start of this batch was undone, by ${by}.`
      : `This batch was ${as === "strained" ? "strained" : "thrown away"} already, by ${by}.`,
  "start-logged": () =>
    "Something was written down of this batch since. Cross that out first, or throw the batch away.",
  "never-started": () => "The start of this batch was undone. Fill the vessel anew.",
  "entry-moved-stock": () => "Stock went with this entry. Cross it out and log it anew.",
  "batch-held": (): Said => [
    "On hold for a bad sign. If the entry was wrong, correct it. If not, put the batch on hot compost, away from water.",
    "On hold: do not strain it for use.",
  ],
  "batch-failed": (): Said => [
    "This batch failed and can harm crops and people. Put it on hot compost, away from water.",
    "Failed: only to be thrown away.",
  ],
  "discard-yields-nothing": () => "What is thrown away yields nothing.",
  "no-ingredient": ({ method }: { method: string }) => `${method} is no ingredient of any recipe.`,
  "ring": ({ name, batchId }: { name: string; batchId: number }) =>
    `${name} (batch ${batchId}) was itself made with this batch: one can't feed the other in a ring. Use another lot.`,
  "clash": ({ why }: { why: string }) => why,
  "beds-and-elsewhere": () => "Beds and what is not on the plan go one after the other: choose one or the other.",
  "use-not-there": ({ plot, use }: { plot: string; use: UseId }) =>
    `${USES[use].name}: that is no use for ${plot}. Choose another way.`,
  "step-twice": () => "Two steps have one key. Load the page again.",
  "step-done": ({ by }: { by: string }) => `${by} has done this step already. Load the page again.`,
  "step-is-put-on": () => "This comes out of a store: it is put on, and taken back, on the field.",
  "same-store-twice": () => "These are one store. Choose another to go with it.",
  "residue-in-shed": () => "It is in stock as a lot. Correct its amount there.",
  "entry-corrected": () => "Someone just corrected this entry. Reload the page.",
  "mixing-given-up": () => "Someone cancelled this filling.",
  "mixing-finished": () => "Someone finished this filling; the batch runs.",
  "checks-left": ({ left }: { left: string }) => `Not yet: ${inText(left)}.`,
  "answer-stops": ({ then }: { then: string }) => then,
  "not-ticked": () => "It was not ticked.",
  "steps-left": ({ next }: { next: string }) => `Still to do: ${inText(next)}.`,

  // Recipes
  "version-unconfirmed": ({ what }: { what: string }) => `Not confirmed yet: ${what}`,
  "version-moved": ({ last }: { last: number }): Said => [
    `Someone saved version ${last} just now. Your text is kept; look at theirs, then save yours as the next.`,
    "There is a newer version.",
  ],
  "recipe-refused": ({ texts }: { texts: readonly string[] }): Said => [texts[0]!, ...texts],

  // Plants, worms, gathering
  "poisonous": ({ why }: { why: string }) =>
    `${why} It goes into no brew, for whatever reason. Leave it, and wash your hands.`,
  "plants-are-picked": () => "Write plants down as a picking, so that each is named and checked.",
  "castings-unfit": ({ why }: { why: string }) => why,
} as const satisfies Record<string, (params: never, say: Speech) => Said>;
