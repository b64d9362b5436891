import type { IngredientId } from "../book/ingredients";
import type { StockUnit } from "../book/range";
import type { StepAnswer, WaitKind } from "../book/types";

/** What is put in at a step: a line of the fill. */
export interface MixAmount {
  readonly ingredient: IngredientId;
  readonly part: "mix" | "cap";
  readonly unit: StockUnit;
  readonly planned: number;
  readonly live: boolean;
  /** What the others are counted against, what is counted against it, or neither. */
  readonly counted: "basis" | "by-basis" | "apart";
}

/** One thing to do, as large as the screen: wet hands read one at a time. */
export interface MixStep {
  readonly key: string;
  readonly title: string;
  readonly text: string;
  readonly why: string;
  readonly amount: MixAmount | null;
  /** Ticked one by one before the step is done; electricity and lids are never waved through. */
  readonly checks: readonly string[];
  readonly answers: readonly StepAnswer[];
  /** A clock runs so long after the step is done, min, with what it counts. */
  readonly wait: { readonly minutes: number; readonly what: WaitKind } | null;
  /** Done over and over, this many minutes apart, until the last answer fits. */
  readonly everyMin: number | null;
}

/** A step with nothing to weigh, tick or wait for but what is given. */
export const step = (key: string, title: string, text: string, why: string, rest: Partial<MixStep> = {}): MixStep => ({
  key,
  title,
  text,
  why,
  amount: null,
  checks: [],
  answers: [],
  wait: null,
  everyMin: null,
  ...rest,
});
