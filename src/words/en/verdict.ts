import type { WarmerCase } from "@/core/judge/assess";
import type { NextAct, Verdict } from "@/core/judge/judged";
import type { VerdictState } from "@/core/judge/verdictState";
import { sayTemperature } from "@/formats/amounts";
import { sayForecastMoment } from "@/formats/times";
import { atHour, type Telling } from "./reasons";
import { inText } from "@/formats/grammar";

const STATE_WORDS: Record<VerdictState, string> = {
  early: "Too early",
  near: "Almost ready",
  ready: "Ready",
  peak: "Best now",
  past: "Past its best",
  stuck: "Stuck",
  spoiled: "Failed",
};

/** What a batch was judged when it was closed, within a sentence. @example sayVerdict("early"); // "too early" */
export const sayVerdict = (state: VerdictState): string => inText(STATE_WORDS[state]);

/** The verdict's heading: what failed for good, and what is held back until the doubt is settled, are told apart. */
export const sayState = ({ state, spoilt }: Pick<Verdict, "state" | "spoilt">): string =>
  spoilt === "hold" ? "On hold" : STATE_WORDS[state];

/** What warmth would change, or null where it would change nothing. */
export function sayWarmer(warmer: WarmerCase | null, telling: Telling): string | null {
  if (!warmer) return null;
  const { p10, p50, p90 } = warmer.start;
  const say = (hour: number) => {
    const at = atHour(telling, hour);
    return at <= telling.now ? "now" : sayForecastMoment(at, telling.now, telling.clock);
  };
  const span = p10 === null || p90 === null ? "" : `, most likely between ${say(p10)} and ${say(p90)}`;
  const when = p50 === null ? "it may still get ready" : `it is likely ready about ${say(p50)}${span}`;
  return `Kept at ${sayTemperature(warmer.atC, telling.units)} from now on, ${when}.`;
}

export const NEXT_WORDS: Record<NextAct, string> = {
  "read-ph": "Measure pH",
  "repeat-ph": "Measure pH again",
  "smell": "Smell it",
  "look": "Check it",
  "warm": "Warm it",
  "strain": "Strain",
  "use-now": "Use it now",
  "compost": "Compost it",
  "wait": "Wait",
  "feed": "Feed it",
  "catch-up": "Do what was missed",
  "cool": "Cool it",
  "stir": "Stir it",
};
