import type { ApplyCaution } from "@/core/apply/cautions";
import { USES, type UseId } from "@/core/book/uses";
import type { DomainError } from "@/core/errors";
import type { FileFault } from "@/formats/csv/fileFault";
import type { HoldReason } from "@/core/stock/lotState";
import type { WaterReason } from "@/core/water/chlorine";
import { sayCaution } from "@/words/en/caution";
import { sayThinStarter } from "@/words/en/strength";
import { sayState } from "@/words/en/verdict";
import { sayWaterReason } from "@/words/en/water";
import { sayFileFault } from "../fileFaults";
import type { Speech } from "../speech";
import { DOMAIN } from "./domain";
import { sayHold } from "./holds";

/** What somebody asked for and the farm does not have. */
const THINGS = {
  "application": "application",
  "batch": "batch",
  "bin": "worm bin",
  "device": "device",
  "entry": "entry in this batch's log",
  "equipment": "equipment",
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
  "plot": "plot",
  "prepared-water": "prepared water",
  "programme": "programme",
  "recipe-version": "version of this recipe",
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

const NAME_THEM = "Which plants are they? Name each, such as nettle, comfrey.";
const sayReasons = (reasons: readonly WaterReason[]) => reasons.map(sayWaterReason).join(" ");
const sayOnHand = (left: Left | null, name: string, say: Speech) =>
  left
    ? `The shed holds ${say.stock(left.amount, left.unit)} of ${name.toLowerCase()}`
    : `There is no ${name.toLowerCase()} in the shed`;
const held = (hold: HoldReason) => ` that may go in; a lot is on hold: ${sayHold(hold)}`;

function sayReasonWanted(because: ReasonWanted, say: Speech): Said {
  switch (because.code) {
    case "caution":
      return `${sayCaution(because.caution, say)} ${because.inFull ? "This is blocked. To go on, give a full reason. Your name and reason are saved." : "Give a reason. It is saved with the application."}`;
    case "not-ready":
      return `Its state is "${sayState(because.verdict).toLowerCase()}". Give a reason to strain it now. It is saved with the batch.`;
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

/** All that the farm refuses, in words: by code, from the figures that explain it. */
export const REFUSALS = {
  "not-found": ({ thing }: { thing: Thing }) => `There is no such ${THINGS[thing]}.`,
  "no-farm": () => "Set up the farm first.",
  "reason-needed": ({ because }: { because: ReasonWanted }, say: Speech): Said => sayReasonWanted(because, say),
  "domain": ({ error }: { error: Pick<DomainError, "code" | "params"> }, say: Speech) =>
    (DOMAIN[error.code] as (of: unknown, say: Speech) => string)(error.params, say),
  "sent-before": () => "This was saved already, as it was first sent. Load the page anew and correct it there.",

  // Moments and days
  "in-future": () => "This lies in the future.",
  "harvest-before-planting": () => "It can’t be picked before it is planted.",
  "harvest-ends-early": () => "The harvest can’t end before it begins.",
  "ended-before-planting": () => "It can’t be cleared before it is planted.",
  "shares-do-not-match": ({ plots, shares }: { plots: number; shares: number }) =>
    `${shares} shares were sent for ${plots} plots. Load the page again.`,
  "use-not-of-method": ({ method }: { method: string }) =>
    `There is no known use of ${method.toLowerCase()}. Choose another.`,
  "day-ahead": () => "This date is in the future.",
  "day-over": () => "This date is in the past. Choose today or later.",
  "before-start": () => "This lies before the batch was started.",
  "too-long-ago": () => "That is more than two months ago.",
  "not-there-yet": () => "It had not come in on that day.",
  "received-ahead": () => "A lot can't come in on a day that has not been.",
  "expires-early": () => "The use-by date is before the date received.",
  "opened-early": () => "It was opened before it was received. Check both dates.",
  "collected-backwards": () => "Collecting can't end before it began.",
  "not-made-yet": () => "It was not made by then.",
  "no-time-zone": ({ zone }: { zone: string }) => `"${zone}" is not a time zone.`,
  "no-date": () => "A date such as 2031-03-02.",

  // What is asked and was not said
  "needed": () => "Fill this in.",
  "which-water": () => "Choose the water.",
  "which-water-thins": () => "Choose the water for dilution.",
  "which-plants": () => NAME_THEM,
  "which-vessel": () => "Which vessel is it in?",
  "strain-first": ({ meshMm }: { meshMm: number }, say: Speech) =>
    `Strain it to ${say.number(meshMm)} mm, look that no leaf is in it and that the nozzle drips evenly; then tick this.`,
  "which-rinse": () => "Where did the rinse go?",
  "rinse-over-yield": () => "What came off has the rinse in it: it can't be less than the rinse.",
  "what-was-seen": () => "Say what you see, write a note, or take a picture.",
  "which-entry": () => "Say which entry is withdrawn.",
  "which-answer": () => "Which is it?",
  "how-many-kg": () => "How many kilograms?",
  "yield-kg": () => "How many kilograms came off?",
  "yield-l": () => "How much came off?",
  "how-much-went-in": () => "How much went in?",
  "how-the-ball-holds": () => "Press a handful to a ball: how does it hold?",
  "what-has-changed": () => "What has changed? It is kept with the record.",
  "one-strip-field": () => "Read at least one of the two fields of the strip.",
  "both-ends": () => "Give both ends, or neither.",
  "ends-crossed": () => "The warmest is cooler than the coolest.",
  "injector-ratio": () => "An injector needs its ratio: parts of water to one of stock.",
  "nothing-goes-in": () => "Add at least one ingredient.",
  "nothing-went-in": () => "Nothing has gone in.",
  "used-in-batch-only": () => "A tool is used in a batch, and only used there.",
  "no-such-word": () => "A handful of it is not judged by such a word.",
  "same-as-before": () => "That is what it says already.",

  // Names
  "name-taken": ({ name }: { name: string }) => `There is a "${name}" already.`,
  "name-of-book": ({ name }: { name: string }) => `Ruchka knows ${name.toLowerCase()} already: add stock of it.`,
  "name-of-device": ({ name }: { name: string }) =>
    `“${name}” is a sensor that sends by itself. Give the logger another name.`,
  "name-of-unit": ({ name }: { name: string }) =>
    `"${name}" is a unit already. Call ours something else: big ${name}, tin ${name}.`,
  "farm-set-up": () => "This farm is set up already. Reload the page.",

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
  "end-used": ({ what }: { what: string }) => `Some of ${what} is used, poured or counted already. Undo that first.`,
  "end-vessel-washed": ({ vessel }: { vessel: string }) => `${vessel} has been washed since. Undo the washing first.`,
  "end-vessel-taken": ({ vessel }: { vessel: string }) => `${vessel} has been filled again since.`,
  "vessel-holds-batch": ({ vessel }: { vessel: string }) => `${vessel} still holds a batch.`,
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
    `${vessel} has no air, and ${method.toLowerCase()} needs it all the way.`,
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
    `${vessel} has held ${method.toLowerCase()}: it is kept for dung from then on. Take another vessel.`,
  "over-brim": ({ takesL, vessel, holdsL }: { takesL: number; vessel: string; holdsL: number }, say: Speech) =>
    `This needs ${say.volume(takesL)} with solids; ${vessel} holds ${say.volume(holdsL)}. Use less water.`,
  "no-room-left": ({ vessel, roomL }: { vessel: string; roomL: number }, say: Speech) =>
    roomL < 0.05 ? `${vessel} is full.` : `Only ${say.volume(roomL)} more fit into ${vessel}.`,
  "more-than-stands": ({ standsL }: { standsL: number }, say: Speech) => `Only ${say.volume(standsL)} stand in it.`,
  "more-than-it-gives": () => "The yield is too high for this batch. Check the number.",

  // Batches and mixings
  "batch-closed": ({ as, by }: { as: "strained" | "discarded"; by: string }) =>
    `This batch was ${as === "strained" ? "strained" : "thrown away"} already, by ${by}.`,
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
  "checks-left": ({ left }: { left: string }) => `Not yet: ${left.toLowerCase()}.`,
  "answer-stops": ({ then }: { then: string }) => then,
  "not-ticked": () => "It was not ticked.",
  "steps-left": ({ next }: { next: string }) => `Still to do: ${next.toLowerCase()}.`,

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

  // Shed
  "water-is-no-lot": () => "Water is booked as a source, not as a lot.",
  "counts-otherwise": ({ name }: { name: string }) => `${name} counts as another ingredient.`,
  "lot-barred": ({ hold }: { hold: HoldReason }) => `It is not taken in: ${sayHold(hold)}.`,
  "short-of-stock": ({ left, name, hold }: { left: Left | null; name: string; hold: HoldReason | null }, say: Speech) =>
    `${sayOnHand(left, name, say)}${hold ? held(hold) : ""}.`,
  "short-of-lot": ({ left }: { left: Left }, say: Speech) =>
    `Only ${say.stock(left.amount, left.unit)} are left of this lot.`,
  "lot-counted-wrong": ({ left }: { left: Left }, say: Speech) =>
    `${say.stock(left.amount, left.unit)} are left by now: count it again.`,
  "more-than-came-in": ({ more }: { more: Left }, say: Speech) =>
    `Then ${say.stock(more.amount, more.unit)} more would have gone out of this lot than was added.`,
  "line-is-a-correction": () => "Count the lot instead: this line is itself a putting right.",
  "line-corrected": () => "Someone just corrected this line. Reload the page.",
  "no-weighing": ({ measure }: { measure: string }) => `No weighing of ${measure} is left.`,
  "plan-ended": () => "This plan has ended already.",

  // Stores
  "short-of-store": ({ leftL }: { leftL: number }, say: Speech) => `The store holds ${say.volumeLeft(leftL)}.`,
  "short-for-plots": ({ takesL, leftL }: { takesL: number; leftL: number }, say: Speech) =>
    `That takes ${say.volumeLeft(takesL)} and the store holds ${say.volumeLeft(leftL)}: leave plots out, or go weaker.`,
  "keeps-no-longer": ({ method }: { method: string }) =>
    `${method} is alive and fading: nobody's word makes it keep longer.`,
  "lid-bursts": ({ method }: { method: string }): Said => [
    `${method} makes gas: a tight lid bursts. Breathable or vented.`,
    "It makes gas: breathable or vented.",
  ],
  "not-sour-enough": ({ ph }: { ph: number }, say: Speech) =>
    `pH ${say.number(ph, 3)} is no longer sour enough to keep it: write it down as off, or read again.`,
  "use-barred": ({ caution }: { caution: ApplyCaution }, say) => sayCaution(caution, say),

  // Water
  "treatment-fails": ({ reasons }: { reasons: readonly WaterReason[] }) => sayReasons(reasons),
  "short-of-water": ({ leftL, wantedL }: { leftL: number; wantedL: number }, say: Speech) =>
    `Only ${say.volume(leftL)} of this water is left; ${say.volume(wantedL)} goes in.`,

  // Files and pictures
  "no-photograph": () => "This is no photograph that can be read. Take another.",
  "no-times": () =>
    "No column of times was found in it. Ruchka reads ISO times and the usual ways with days, months and a clock.",
  "no-figures": ({ column }: { column: string }) => `“${column}” has no figures.`,
  "file-too-slow": () => "This file takes too long to read. Send a part of it.",
  "file-unreadable": ({ fault }: { fault: FileFault }, say: Speech) => sayFileFault(fault, say),
  "rows-wrong": (
    { wrong, rows, line, faults }: { wrong: number; rows: number; line: number; faults: readonly FileFault[] },
    say: Speech,
  ): Said => [
    `${wrong} of ${rows} rows are wrong, the first in line ${line}: nothing was written.`,
    faults.map((fault) => sayFileFault(fault, say)).join(" "),
  ],
} as const satisfies Record<string, (params: never, say: Speech) => Said>;
