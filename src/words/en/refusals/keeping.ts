import type { ApplyCaution } from "@/core/apply/cautions";
import type { FileFault } from "@/formats/csv/fileFault";
import type { HoldReason } from "@/core/stock/lotState";
import type { WaterReason } from "@/core/water/chlorine";
import { sayCaution } from "@/words/en/caution";
import { sayFileFault } from "../../fileFaults";
import type { Speech } from "../../speech";
import { sayHold } from "../holds";
import { held, sayOnHand, sayReasons, type Left, type Said } from "./wanted";
import { inText } from "@/formats/grammar";

/** Stock, containers, water, files. */
export const OF_KEEPING = {
  "held-done": () => "Somebody has seen to this one already.",
  // Shed
  "stock-corrected": ({ name }: { name: string }) =>
    `What it took of ${inText(name)} was corrected in stock since. Correct it there.`,
  "lot-used": ({ name }: { name: string }) => `Some of this ${inText(name)} is used already. Correct it in stock.`,
  "lot-of-log": () => "It came out of a batch. Cross it out in the log of the batch.",
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
  "water-used": () => "Some of this water is used already.",
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
