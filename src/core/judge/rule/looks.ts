import type { Recipe } from "../../book/recipe";
import type { CueMeaning } from "../../book/types";
import { countsAsPh, isSign, type LogItem, type PhItem, type SignItem } from "../log";
import { isRot, WARNING_SMELLS } from "../wordClasses";

/** What a word says of this method's batch; a smell that the method should not have warns, where its book is silent. */
export type SignMeaning = CueMeaning | "warns";

export interface ReadSign {
  readonly sign: SignItem;
  readonly says: SignMeaning;
  readonly because: string;
}

/** What one person wrote down at one time: however often a word is tapped, it is one look. */
export interface Look {
  readonly hour: number;
  readonly by: string | undefined;
  /** Every word that was tapped, and those of them that say something of this method's batch. */
  readonly words: readonly SignItem[];
  readonly signs: readonly ReadSign[];
  /** pH that stands for the batch. */
  readonly ph: readonly PhItem[];
}

/** Whether somebody smelt it at this look. */
export const hasSmell = ({ words }: Look): boolean => words.some(({ kind }) => kind === "smell");

/** Hour of the last look at which somebody smelt it; null for none. */
export const lastSmeltH = (looks: readonly Look[]): number | null => looks.findLast(hasSmell)?.hour ?? null;

/** Lines so near each other, by one person, are of one look, h. */
const ONE_LOOK_H = 0.75;

const WARNS: Readonly<Record<string, string>> = {
  fishy: "this brew should not smell of fish; smell it once more before anything is done",
  ammonia: "this brew should not smell of ammonia; smell it once more before anything is done",
  vinegar: "a brew on air should not be sour: its air may have been short",
};

/** What a word means here: by the recipe, else by what no such brew should smell of; null where it says nothing. */
export function meaningOf(
  recipe: Recipe,
  { kind, word }: Pick<SignItem, "kind" | "word">,
): Omit<ReadSign, "sign"> | null {
  const cue = recipe.cues.find((candidate) => candidate.kind === kind && candidate.word === word);
  if (cue) return { says: cue.says, because: cue.because };
  if (kind === "film" && word === "maggots") return { says: "failed", because: "flies laid in it; it goes on no crop" };
  if (kind !== "smell") return null;
  // Soaks of leaf and dung may smell of ammonia or fish and be none the worse.
  const isRank =
    recipe.readiness.type === "ripens" &&
    (recipe.readiness.model.cls === "soak" || recipe.readiness.model.cls === "char");
  if (isRot(kind, word) && !isRank) return { says: "failed", because: "no brew of this kind should smell of rot" };
  const warns = (WARNING_SMELLS.includes(word) && !isRank) || (word === "vinegar" && recipe.aerated);
  return warns ? { says: "warns", because: WARNS[word]! } : null;
}

/** A log as looks, in the order of the clock. */
export function looksOf(recipe: Recipe, log: readonly LogItem[]): Look[] {
  const looks: { hour: number; by: string | undefined; words: SignItem[]; signs: ReadSign[]; ph: PhItem[] }[] = [];
  for (const item of log.toSorted((a, b) => a.hour - b.hour)) {
    if (item.kind !== "ph" && !isSign(item)) continue;
    const before = looks.findLast((look) => look.by === item.by && item.hour - look.hour < ONE_LOOK_H);
    const look = before ?? { hour: item.hour, by: item.by, words: [], signs: [], ph: [] };
    if (!before) looks.push(look);
    if (item.kind === "ph") {
      if (countsAsPh(item)) look.ph.push(item);
    } else {
      look.words.push(item);
      const meaning = meaningOf(recipe, item);
      if (meaning) look.signs.push({ sign: item, ...meaning });
    }
  }
  return looks;
}
