import { findRecipe } from "../../src/core/book";
import { minimumAgeD } from "../../src/core/book/recipe";
import { assess } from "../../src/core/judge/assess";
import type { BatchInput } from "../../src/core/judge/batchInput";
import { calmRule } from "../../src/core/practice/yard/calmRule";
import { SAID_HOURS, YARD_METHODS, type Drum, type DrumName } from "../../src/core/practice/yard/drums";
import type { Wanted } from "./people";

/** What a decider does at a look, and when it wants to be there again. */
export interface Decision {
  readonly act: "use" | "throw-out" | "wait" | "compost";
  readonly told?: string;
  /** Asks for a look at an hour; null leaves it to the usual visits. */
  readonly ask: { readonly hour: number; readonly wanted: Wanted } | null;
  readonly leastH?: number;
  readonly opens?: { readonly p10: number | null; readonly p50: number | null; readonly p90: number | null };
}
export type Decider = (name: DrumName, input: Omit<BatchInput, "recipe">, ownsPh: boolean, drum: Drum) => Decision;

const RECIPES = Object.fromEntries(YARD_METHODS.map(({ name, method, school }) => [name, findRecipe(method, school)]));

const WANTED: Partial<Record<string, Wanted>> = {
  "read-ph": "ph",
  "repeat-ph": "ph",
  "smell": "smell",
  "look": "look",
};

/** A grower who does what Ruchka's verdict says. */
export const byVerdict: Decider = (name, given, ownsPh) => {
  const recipe = RECIPES[name]!;
  const { verdict, forecast } = assess({ ...given, recipe });
  const { act, hour } = verdict.next;
  const wanted = WANTED[act];
  const canDo = wanted !== undefined && !(wanted === "ph" && !ownsPh);
  const ask = canDo ? { hour, wanted } : null;
  const opens = forecast.window.start;
  const leastH = 24 * minimumAgeD(recipe);
  const told = verdict.state === "spoiled" ? `spoiled-${verdict.spoilt}` : verdict.state;
  if (verdict.spoilt === "discard") return { act: "throw-out", told, ask: null, opens, leastH };
  if (verdict.state === "ready" || verdict.state === "peak") return { act: "use", told, ask: null, opens, leastH };
  if (verdict.state === "past") return { act: act === "compost" ? "compost" : "use", told, ask: null, opens, leastH };
  return { act: "wait", told, ask, opens, leastH };
};

/** A calm grower with the book's rule. */
export const byCalmRule: Decider = (name, { nowH, log }, ownsPh) => {
  const { act, again } = calmRule(name, nowH, log, ownsPh);
  return { act, ask: again && { hour: nowH + again.inH, wanted: again.wanted } };
};

/** Days alone. */
export const byDays: Decider = (name, { nowH }) => ({ act: nowH >= SAID_HOURS[name] ? "use" : "wait", ask: null });

/** Knows the hour, and still has to sleep and be there: what no decider can better. */
export const byTheTruth: Decider = (_name, { nowH }, _ownsPh, drum) => {
  if (nowH >= drum.offFromH) return { act: "throw-out", ask: null };
  if (nowH > drum.closesH) return { act: "compost", ask: null };
  if (nowH >= drum.opensH) return { act: "use", ask: null };
  return { act: "wait", ask: Number.isFinite(drum.opensH) ? { hour: drum.opensH + 0.2, wanted: "look" } : null };
};
