import type { Residue, ResidueAdvice, ResidueTo } from "@/core/recipe/residue";
import { speechOf, type Speech } from "../speech";

/** What is left of a batch. */
export const RESIDUE_WORDS: Readonly<Record<Residue, string>> = {
  solids: "solids of the sack",
  shell: "shell",
  curd: "curd",
  liquor: "liquor that drained off",
  foam: "foam",
  rinse: "rinse water",
  lees: "lees",
  other: "something else",
};

/** Where it goes. */
export const RESIDUE_TO_WORDS: Readonly<Record<ResidueTo, string>> = {
  "compost": "onto the compost",
  "hot-compost": "into a hot heap, away from water",
  "trees": "round trees or bananas",
  "under-mulch": "under the mulch of a bed",
  "dug-in": "dug into a bed",
  "second-steep": "steeped once more",
  "animals": "to animals, where your code allows it",
  "kept": "kept: it serves again",
  "nothing-left": "nothing was left",
};

/** Where a residue went, as batches keep it; what was typed before there were words for it stays as it was typed. */
export const sayResidueTo = (to: string): string =>
  Object.hasOwn(RESIDUE_TO_WORDS, to) ? RESIDUE_TO_WORDS[to as ResidueTo] : to;

/** What to know of a residue before it is carried off. */
export function sayResidueAdvice(advice: ResidueAdvice, say: Speech = speechOf("metric")): string {
  switch (advice.code) {
    case "not-on-food-beds":
      return "It holds dung or urine: round trees or into a hot heap, never on a bed whose leaves or roots are eaten.";
    case "feeds-trees":
      return "It is rich in nitrogen: compost, trees and bananas use it; near seedlings it scorches.";
    case "rescue-worms":
      return "Look for worms and their eggs first: back into the bin with them, before it dries.";
    case "seeds-may-sprout":
      return "Seeds in it sprout where it goes: under mulch, or into a hot heap.";
    case "shell-serves-again":
      return advice.leftKg === null
        ? "Shell that the acid left serves again: rinse it, dry it, keep it."
        : `About ${say.mass(advice.leftKg)} of shell is left by the acid that there was: rinse it, dry it, it serves again.`;
    case "steeps-again":
      return "Steeped in water for a few days it gives a second liquid, about half as strong. After that it is spent.";
    case "spent":
      return "Nothing more is in it.";
    case "liquor-is-strong":
      return "The liquor is strong food: onto compost or round trees, not onto seedlings.";
  }
}
