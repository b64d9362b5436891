import { findRecipe } from "../../src/core/book";
import { minimumAgeD } from "../../src/core/book/recipe";
import { assess } from "../../src/core/judge/assess";
import type { BatchInput } from "../../src/core/judge/batchInput";
import type { LogItem, SignItem } from "../../src/core/judge/log";
import { METHODS, type Drum, type DrumName } from "./drums";
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

const RECIPES = Object.fromEntries(METHODS.map(({ name, method, school }) => [name, findRecipe(method, school)]));

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

const ROT = new Set(["putrid", "sulphur"]);
const SOUR = new Set(["cidery", "yogurt-sour"]);
const smells = (log: readonly LogItem[]) => log.filter((item): item is SignItem => item.kind === "smell");
const words = (log: readonly LogItem[], kind: string) =>
  log.filter((item): item is SignItem => item.kind === kind).map(({ word }) => word);

/** A calm grower with the book's rule: least days, the sign, a second look, the nose; two rotten looks to throw out. */
export const byCalmRule: Decider = (name, { nowH, log }, ownsPh) => {
  const wait = (ask: Decision["ask"] = null): Decision => ({ act: "wait", ask });
  const use: Decision = { act: "use", ask: null };
  const nose = smells(log);
  const last = nose.at(-1)?.word;
  const quick = name === "tea" || name === "leaf-mould brew";
  const again = (wanted: Wanted) => ({ hour: nowH + (quick ? 3 : 20), wanted });
  const rotten = nose.filter(({ word }) => (ROT.has(word) && name !== "leaf soak" ? true : word === "putrid"));
  if (rotten.length > 1) return { act: "throw-out", ask: null };
  if (words(log, "film").filter((word) => word === "coloured mould").length > 1) return { act: "throw-out", ask: null };
  if (last && (last === "putrid" || (ROT.has(last) && name !== "leaf soak"))) return wait(again("smell"));
  switch (name) {
    case "extract":
    case "serum": {
      if (nowH < (name === "extract" ? 14 : 7) * 24) return wait();
      const phs = log.filter((item) => item.kind === "ph").map((item) => item.value);
      const sour = phs.slice(-2).filter((value) => value <= 4.05).length;
      if (ownsPh) {
        if (sour === 2 && last && SOUR.has(last)) return use;
        return sour > 0 ? wait(again("ph")) : wait();
      }
      const two = nose.slice(-2).filter(({ word }) => SOUR.has(word)).length;
      return two === 2 ? use : two === 1 ? wait(again("smell")) : wait();
    }
    case "tea":
      if (nowH > 60) return { act: "compost", ask: null };
      if (nowH < 24) return wait();
      return last === "earthy" || last === "neutral" ? use : wait(again("smell"));
    case "leaf-mould brew": {
      const foam = words(log, "surface").at(-1);
      if (foam === "full head" || foam === "thick fine head") return use;
      if (foam === "collapsing" || foam === "flat") return { act: "compost", ask: null };
      return foam === "patches" ? wait(again("look")) : wait();
    }
    case "juice": {
      if (nowH < 5 * 24) return wait();
      const ready = (word?: string) => word === "fruity" || word === "yeasty";
      const floats = words(log, "solids").at(-1) === "floating";
      if (ready(last) && (floats || ready(nose.at(-2)?.word))) return use;
      return ready(last) ? wait(again("smell")) : wait();
    }
    case "shell": {
      if (nowH < 7 * 24) return wait();
      const still = words(log, "surface")
        .slice(-2)
        .filter((word) => word === "still" || word === "flat").length;
      return still === 2 ? use : still === 1 ? wait(again("look")) : wait();
    }
    case "leaf soak": {
      if (nowH < 14 * 24) return wait();
      const dark = words(log, "liquid")
        .slice(-2)
        .filter((word) => word === "dark").length;
      return dark === 2 ? use : dark === 1 ? wait(again("look")) : wait();
    }
  }
};

const DAYS_H: Record<DrumName, number> = {
  "extract": 14 * 24,
  "serum": 8 * 24,
  "tea": 30,
  "leaf-mould brew": 48,
  "juice": 6 * 24,
  "shell": 10 * 24,
  "leaf soak": 10 * 24,
};
/** Days alone. */
export const byDays: Decider = (name, { nowH }) => ({ act: nowH >= DAYS_H[name] ? "use" : "wait", ask: null });

/** Knows the hour, and still has to sleep and be there: what no decider can better. */
export const byTheTruth: Decider = (_name, { nowH }, _ownsPh, drum) => {
  if (nowH >= drum.offFromH) return { act: "throw-out", ask: null };
  if (nowH > drum.closesH) return { act: "compost", ask: null };
  if (nowH >= drum.opensH) return { act: "use", ask: null };
  return { act: "wait", ask: Number.isFinite(drum.opensH) ? { hour: drum.opensH + 0.2, wanted: "look" } : null };
};
