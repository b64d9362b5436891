import { calmRule } from "../yard/calmRule";
import { isQuick, SAID_HOURS, usualHoursOf, type DrumName } from "../yard/drums";
import type { Ended } from "./ending";
import { logOf, type Seen } from "./look";
import { BEGUN, careFor, end, endedOf, look, sightOf, wait, type Play } from "./play";
import { clockAt, looksOf, type PracticeDrum } from "./setup";

/** Somebody who plays by a rule of their own: looks, acts and lets time pass until the drum is over. */
export type Player = (drum: PracticeDrum) => Play;

const VISITS: readonly number[] = [8, 18];
const QUICK_VISITS: readonly number[] = [7, 12, 15, 19, 22];

/** Hours to the next visit: people sleep. */
export function toNextVisit(drum: PracticeDrum, hour: number): number {
  const visits = isQuick(drum.name) ? QUICK_VISITS : VISITS;
  for (let hours = 1; hours <= 24; hours += 1) if (visits.includes(clockAt(drum, hour + hours))) return hours;
  return 24;
}

const isRot = (name: DrumName, word: string): boolean =>
  word === "putrid" || (word === "sulphur" && name !== "leaf soak");

/** Recent pH above what would be sour, and no lower than days before: it stands still. */
function standsStill(seen: readonly Seen[]): boolean {
  const phs = seen.filter(({ ph }) => ph !== undefined);
  const last = phs.at(-1);
  const before = last && phs.findLast(({ hour }) => hour <= last.hour - 96);
  return last !== undefined && before !== undefined && last.ph! > 4.15 && last.ph! > before.ph! - 0.1;
}

/**
 * A calm grower: passes by daily, lifts the lid now and then and as the day comes near, goes by the book's rule with a second look, vents what
 * bulges, puts air back on, warms what is cold and slow, feeds what stands still, and throws out what smells rotten twice or never came.
 */
export const calm: Player = (drum) => calmly(drum, {});

/** What somebody who is calm otherwise leaves out. */
export interface Habit {
  /** Uses it at the first look that says so. */
  readonly isOnceEnough?: boolean;
  readonly leavesCold?: boolean;
  /** Never looks at the lid’s pressure, so what is tight stays tight. */
  readonly leavesTight?: boolean;
  /** Comes so much later than the sign, as a share of the usual time. */
  readonly lateBy?: number;
  /** Sees it from so many hours on, and leaves off at so many: a week of a drum’s time. */
  readonly fromH?: number;
  readonly untilH?: number;
}
export const calmly = (
  drum: PracticeDrum,
  { isOnceEnough, leavesCold, leavesTight, lateBy = 0, fromH = 0, untilH = Infinity }: Habit,
): Play => {
  // A lid that was closed tight is seen at the fill.
  let play = drum.fault === "tight-lid" && !leavesTight ? careFor(BEGUN, "vent") : BEGUN;
  let [lookedH, isWarm, isFed, saidUse] = [-Infinity, false, false, 0];
  const usualH = usualHoursOf(drum.name);
  const looks = looksOf(drum.name);
  for (;;) {
    play = wait(drum, play, toNextVisit(drum, play.hour));
    if (play.hour < fromH) continue;
    let sight = sightOf(drum, play);
    if (sight.isOver || play.hour >= untilH) return play;
    if (sight.outside.isPumpSilent) play = careFor(play, "air-on");
    const everyH = isQuick(drum.name) ? 3 : play.hour < 0.5 * usualH ? 72 : 20;
    if (play.hour < 0.3 * usualH || play.hour - lookedH < everyH) continue;
    lookedH = play.hour;
    const wants = looks.filter((one) =>
      one === "ph-strip" ? false : one === "ph-meter" ? play.hour >= 0.5 * usualH : one !== "dip" || !isWarm,
    );
    for (const one of wants) play = look(play, one);
    sight = sightOf(drum, play);
    const hasPh = looks.includes("ph-meter") && drum.name !== "shell";
    const { act } = calmRule(drum.name, play.hour, logOf(sight.seen), hasPh);
    saidUse = act === "use" ? saidUse + 1 : 0;
    // Sour drums are read twice by the rule itself.
    if (saidUse > (hasPh || isOnceEnough ? 0 : 1)) {
      play = wait(drum, play, Math.round(lateBy * usualH));
      return sightOf(drum, play).isOver ? play : end(play, "use");
    }
    if (act === "throw-out" || act === "compost") return end(play, "throw-out");
    const celsius = sight.seen.findLast((one) => one.celsius !== undefined)?.celsius;
    if (!isWarm && !leavesCold && celsius !== undefined && celsius < 17) {
      play = careFor(play, "warm");
      isWarm = true;
    }
    if (!isFed && play.hour > 1.3 * usualH && standsStill(sight.seen)) {
      play = careFor(play, "feed");
      isFed = true;
    }
    if (play.hour >= 0.97 * drum.untilH) return end(play, "throw-out");
  }
};

/** Somebody in a hurry: smells it now and then, and uses it at the first whiff that is not raw. */
export const careless: Player = (drum) => {
  let play = wait(drum, BEGUN, Math.round(0.4 * usualHoursOf(drum.name)));
  for (;;) {
    if (sightOf(drum, play).isOver) return play;
    play = look(play, "smell");
    const word = sightOf(drum, play).seen.at(-1)?.smell?.[0] ?? "";
    if (word !== "raw sweet" && word !== "fresh green") return end(play, "use");
    play = wait(drum, play, isQuick(drum.name) ? 8 : 48);
  }
};

/** Goes by the days that somebody once said, and never looks. */
export const daysOnly: Player = (drum) => {
  const play = wait(drum, BEGUN, SAID_HOURS[drum.name]);
  return sightOf(drum, play).isOver ? play : end(play, "use");
};

/** Trusts nothing: throws every drum out after some days. */
export const alwaysThrowsOut: Player = (drum) => {
  const play = wait(drum, BEGUN, Math.round(0.5 * usualHoursOf(drum.name)));
  return sightOf(drum, play).isOver ? play : end(play, "throw-out");
};

const FIRST_SIGNS: Readonly<Record<DrumName, (seen: Seen) => boolean>> = {
  "extract": ({ smell }) => smell?.some((word) => word === "cidery" || word === "yogurt-sour") === true,
  "serum": ({ smell }) => smell?.some((word) => word === "yogurt-sour" || word === "cidery") === true,
  "tea": ({ smell }) => smell?.some((word) => word === "earthy" || word === "neutral") === true,
  "leaf-mould brew": ({ surface }) => surface === "patches" || surface === "full head",
  "juice": ({ smell }) => smell?.some((word) => word === "fruity" || word === "yeasty") === true,
  "shell": ({ surface, smell }) => surface === "still" || smell?.includes("neutral") === true,
  "leaf soak": ({ liquid, smell }) => liquid === "dark" || smell?.includes("earthy") === true,
};
/** Looks daily from the first day and uses it at the first sign of readiness. */
export const atFirstSign: Player = (drum) => {
  let play = BEGUN;
  for (;;) {
    play = wait(drum, play, toNextVisit(drum, play.hour));
    if (sightOf(drum, play).isOver) return play;
    play = look(look(play, "smell"), "lid");
    const seen = sightOf(drum, play).seen.slice(-2);
    if (seen.some((one) => one.smell?.some((word) => isRot(drum.name, word)))) return end(play, "throw-out");
    if (seen.some(FIRST_SIGNS[drum.name])) return end(play, "use");
  }
};

export const PLAYERS = { calm, careless, daysOnly, alwaysThrowsOut, atFirstSign } as const;
export type PlayerName = keyof typeof PLAYERS;

/** How a player ends a drum. */
export function endedBy(drum: PracticeDrum, player: Player): Ended {
  const play = player(drum);
  const ended = endedOf(drum, play);
  if (!ended) throw new Error("a player left a drum unfinished");
  return ended;
}
