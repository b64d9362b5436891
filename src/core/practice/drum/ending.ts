import type { Judged } from "../judgement";
import { isQuick, type DrumName } from "../yard/drums";
import { BULGES_AT_BAR, lastMoment, type Course } from "./course";
import type { Deed } from "./deeds";
import type { PracticeDrum } from "./setup";

/** What became of a drum. */
export type Outcome =
  | "used-in-time"
  | "used-too-soon"
  | "used-too-late"
  | "used-spoilt"
  | "thrown-out-rightly"
  | "thrown-out-past"
  | "thrown-out-sound"
  | "burst"
  | "left-standing";

const RIGHT: readonly Outcome[] = ["used-in-time", "thrown-out-rightly"];
const HARMFUL: readonly Outcome[] = ["used-spoilt", "burst"];
export const isRightOutcome = (outcome: Outcome): boolean => RIGHT.includes(outcome);
/** It would have hurt someone or spoilt a bed. */
export const isHarmfulOutcome = (outcome: Outcome): boolean => HARMFUL.includes(outcome);

export interface Ended {
  readonly outcome: Outcome;
  readonly hour: number;
  /** What it brought and what it cost, coins; a fill by the book costs ten. */
  readonly gain: Readonly<Record<"worth" | "inputs" | "looks" | "care" | "standing", number>>;
  readonly net: number;
  readonly judged: readonly Judged[];
}

/** Coins: what goes in, a drum used at its best, a look, an act of care, a day of the vessel. */
export const COINS = {
  inputs: 10,
  worth: 40,
  look: 0.15,
  care: { "stir": 0.1, "vent": 0.1, "warm": 1, "feed": 1.5, "air-on": 0.1 },
} as const;
const DAY_COINS: Record<DrumName, number> = {
  "extract": 0.1,
  "serum": 0.12,
  "tea": 0.8,
  "leaf-mould brew": 0.6,
  "juice": 0.2,
  "shell": 0.08,
  "leaf soak": 0.08,
};
/** A bed that got rot is set back, coins. */
const SPOILT_HARM = 25;
/** Unfinished sugar on a bed feeds moulds and draws ants, coins. */
const RAW_HARM = 4;

/** Coins to clean up after a drum that burst. */
const BURST_HARM = 6;

/** Coins that a use brings: all in its window, a part before it, less and less after it, harm where it is off. */
function worthOf(name: DrumName, { way, closing, isOff }: { way: number; closing: number; isOff: boolean }): number {
  if (isOff) return -SPOILT_HARM;
  if (way < 1) return COINS.worth * 0.5 * Math.max(0, (way - 0.5) / 0.5) ** 2 - RAW_HARM * (1 - way);
  if (closing <= 1) return COINS.worth;
  return isQuick(name)
    ? Math.max(-2, COINS.worth * (0.35 - 0.35 * (closing - 1)))
    : COINS.worth * Math.max(0.1, 0.55 - 0.25 * (closing - 1));
}

/** Whether a drum will not come any more: it was too cold to bloom. One that stands still can be fed. */
const isLost = (course: Course): boolean => course.events.some(({ event }) => event === "no-bloom");

function outcomeOf(drum: PracticeDrum, deeds: readonly Deed[], course: Course): Outcome {
  const { isOff, way, closing } = lastMoment(course);
  if (course.events.some(({ event }) => event === "burst")) return "burst";
  const end = deeds.find((deed) => deed.kind === "end");
  if (!end) return "left-standing";
  if (end.ending === "throw-out") {
    if (isOff || isLost(course)) return "thrown-out-rightly";
    if (closing > 1) return "thrown-out-past";
    return "thrown-out-sound";
  }
  return isOff ? "used-spoilt" : way < 1 ? "used-too-soon" : closing > 1 ? "used-too-late" : "used-in-time";
}

const JUDGED: Readonly<Record<Outcome, readonly Judged[]>> = {
  "used-in-time": [
    { judgement: "too-soon", isRight: true },
    { judgement: "too-late", isRight: true },
    { judgement: "sound-thrown", isRight: true },
  ],
  "used-too-soon": [{ judgement: "too-soon", isRight: false }],
  "used-too-late": [{ judgement: "too-late", isRight: false }],
  "used-spoilt": [{ judgement: "spoilt-used", isRight: false }],
  "thrown-out-rightly": [{ judgement: "spoilt-used", isRight: true }],
  "thrown-out-past": [{ judgement: "too-late", isRight: false }],
  "thrown-out-sound": [{ judgement: "sound-thrown", isRight: false }],
  "burst": [{ judgement: "caution", isRight: false }],
  "left-standing": [{ judgement: "too-late", isRight: false }],
};

/** What became of a drum that has ended, and what it brought. @param course up to its last hour */
export function endingOf(drum: PracticeDrum, deeds: readonly Deed[], course: Course): Ended {
  const last = lastMoment(course);
  const outcome = outcomeOf(drum, deeds, course);
  const isUsed = outcome.startsWith("used-");
  const gain = {
    worth: isUsed ? worthOf(drum.name, last) : outcome === "burst" ? -BURST_HARM : 0,
    inputs: -COINS.inputs,
    looks: -COINS.look * deeds.filter(({ kind }) => kind === "look").length,
    care: -deeds.reduce((sum, deed) => sum + (deed.kind === "care" ? COINS.care[deed.care] : 0), 0),
    standing: -(DAY_COINS[drum.name] * last.hour) / 24,
  };
  const bulged = course.moments.some(({ pressureBar }) => pressureBar >= BULGES_AT_BAR);
  const wasVented = outcome !== "burst" && deeds.some((deed) => deed.kind === "care" && deed.care === "vent");
  return {
    outcome,
    hour: last.hour,
    gain,
    net: Object.values(gain).reduce((sum, coins) => sum + coins, 0),
    judged: [
      ...JUDGED[outcome],
      ...(bulged && outcome !== "burst" ? [{ judgement: "caution" as const, isRight: wasVented }] : []),
    ],
  };
}
