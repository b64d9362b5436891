import type { QuestionKind } from "@/core/practice/answers";
import type { SMELLS } from "@/core/book/words";

/** Words that a helper may type for a smell, in place of the one that is logged. */
const SMELL_WORDS: Readonly<Record<(typeof SMELLS)[number], RegExp>> = {
  "raw sweet": /\b(sweet|molasses|syrup|sugar)/i,
  "fresh green": /\b(green|cut grass|hay)/i,
  "yeasty": /\b(yeast|beer|bread)/i,
  "fruity": /\b(fruit|apple|banana)/i,
  "cidery": /\b(cider|wine)/i,
  "yogurt-sour": /\b(yogh?urt|sour milk|cheese)/i,
  "vinegar": /\bvinegar/i,
  "earthy": /\b(earth|soil|forest)/i,
  "neutral": /\b(nothing|no smell|neutral)/i,
  "fishy": /\bfish/i,
  "ammonia": /\b(ammonia|urine|stable|cat)/i,
  "sulphur": /\b(eggs?|sul(ph|f)ur|sewer|drain)/i,
  "putrid": /\b(rot|rotten|putrid|dead|corpse|vomit)/i,
};

const KINDS: readonly (readonly [RegExp, QuestionKind])[] = [
  [/\b(smells?|stinks?|reeks?)\b/i, "smells"],
  [/\bhow (long|many days)\b|\bkeeps?\b|\blast\b/i, "how-long"],
  [/\bhow (much|strong|many)\b|\bdose\b|\bcan take\b/i, "how-much"],
  [/\bwhat (goes|is) in\b|\brecipe\b|\bmade of\b/i, "what-goes-in"],
  [/\b(may|can|could) i\b|\bput (this|it) on\b|\bon (the )?\w+ today\b|\bsafe\b/i, "may-use"],
];

/** Reads a question as it was typed: its kind and a smell where it names one; null for what is not there. */
export function readAsked(text: string): {
  readonly kind: QuestionKind | null;
  readonly smell: (typeof SMELLS)[number] | null;
} {
  const smell =
    (Object.keys(SMELL_WORDS) as (typeof SMELLS)[number][]).find((word) => SMELL_WORDS[word].test(text)) ?? null;
  return { kind: KINDS.find(([words]) => words.test(text))?.[1] ?? null, smell };
}
