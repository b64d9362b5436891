import type { Recipe } from "../book/recipe";
import type { CueMeaning } from "../book/types";
import { signsOf, type LogItem } from "./log";

/** What a batch smells of now, and what it should or must not smell of next. */
export interface SmellAhead {
  readonly now: string;
  readonly next: readonly string[];
  /** What that next smell will say of it. */
  readonly says: "ready" | "past" | "failed";
}

/** Each smell in its order: before ready comes not yet, after it past, or failed where a method knows no past. */
const AFTER: Readonly<Record<CueMeaning, readonly SmellAhead["says"][]>> = {
  "not-yet": ["ready"],
  "ready": ["past", "failed"],
  "past": [],
  "failed": [],
};

/** Where the last smell stands in its method's order, and which comes next; null where none was smelt or none follows. */
export function smellAhead({ cues }: Recipe, log: readonly LogItem[]): SmellAhead | null {
  const smells = cues.filter(({ kind }) => kind === "smell");
  const last = signsOf(log).findLast(({ kind }) => kind === "smell");
  const cue = last && smells.find(({ word }) => word === last.word);
  if (!cue) return null;
  const found = AFTER[cue.says]
    .map((says) => ({ says, next: [...new Set(smells.filter((one) => one.says === says).map(({ word }) => word))] }))
    .find(({ next }) => next.length > 0);
  return found ? { now: cue.word, ...found } : null;
}
