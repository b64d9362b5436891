import { chanceFrom } from "../chance";
import { isQuick, usualHoursOf, YARD_METHODS, type DrumName } from "./yard/drums";
import { endedOf, wait, type Play } from "./drum/play";
import { calmly, careless, type Habit } from "./drum/players";
import { setUpDrum, type PracticeDrum } from "./drum/setup";

/** One drum of a week, and how old it is as the week begins; negative for one that is filled later. */
export interface WeekDrum {
  readonly drum: PracticeDrum;
  readonly ageH: number;
}
/** A bed that wants an input about a day. */
export interface Want {
  readonly name: DrumName;
  /** 1 for the first day. */
  readonly day: number;
}
/** Some days on a small farm: several drums, beds that want, a purse, and so many minutes a day for the drums. */
export interface Week {
  readonly seed: number;
  readonly drums: readonly WeekDrum[];
  readonly wants: readonly Want[];
}
export const WEEK_DAYS = 10;
export const WEEK_STARTS_AT = 7;
/** Its last hour: the last evening. */
export const WEEK_H = WEEK_DAYS * 24 - WEEK_STARTS_AT - 1;
export const PURSE = 40;
export const MINUTES_A_DAY = 30;
/** Minutes that a look, an act of care and an end take. */
export const TAKES_MIN = { look: 2, care: 4, end: 12 } as const;
/** Coins on top for a bed that gets what it wants within a day of its day. */
export const WANT_COINS = 10;

/** A drum’s hour at an hour of the week. */
export const drumHour = ({ ageH }: WeekDrum, hour: number): number => ageH + hour;
/** The day of the week’s hour, 1 for the first. */
export const weekDay = (hour: number): number => Math.floor((WEEK_STARTS_AT + hour) / 24) + 1;

/** The week of a seed; the same for everybody. */
export function setUpWeek(seed: number): Week {
  const chance = chanceFrom(seed * 4241 + 17);
  const shuffled = YARD_METHODS.map(({ name }) => [chance.uniform(), name] as const)
    .toSorted((a, b) => a[0] - b[0])
    .map(([, name]) => name);
  const quick = shuffled.find(isQuick)!;
  const names = [quick, ...shuffled.filter((name) => !isQuick(name)).slice(0, 3)];
  const drums = names.map((name): WeekDrum => {
    const drawn = 1 + Math.floor(9999 * chance.uniform());
    const share = chance.between(0.5, 0.85);
    const filledOn = 1 + Math.floor(chance.between(1, 4));
    const first = setUpDrum(name, drawn);
    // A lid that was tight for days would have burst before anybody came.
    const drum = first.fault === "tight-lid" ? setUpDrum(name, drawn, { fault: null }) : first;
    const about = isQuick(name) ? -24 * filledOn : Math.floor(share * usualHoursOf(name));
    // The drum’s clock is the week’s.
    const clockOff = (((WEEK_STARTS_AT - drum.startHour - about) % 24) + 24) % 24;
    return { drum, ageH: about + clockOff };
  });
  const wants = names.slice(0, 3).map((name, nth) => ({ name, day: 3 + 2 * nth + Math.floor(chance.between(0, 2)) }));
  return { seed, drums, wants };
}

/** Each drum as the week begins: nobody has looked yet. */
export const weekBegun = ({ drums }: Week): readonly Play[] =>
  drums.map((one) => ({ hour: Math.max(0, one.ageH), deeds: [] }));

/** Lets hours pass in all drums that go on. */
export const weekPasses = (week: Week, plays: readonly Play[], hour: number): readonly Play[] =>
  plays.map((play, nth) => {
    const one = week.drums[nth]!;
    const untilH = drumHour(one, hour);
    return untilH <= play.hour || endedOf(one.drum, play) ? play : wait(one.drum, play, untilH - play.hour);
  });

/** The day of the week on which a drum was used; null where it was not. */
function usedOn({ drum, ageH }: WeekDrum, play: Play): number | null {
  const ended = endedOf(drum, play);
  return ended?.outcome.startsWith("used-") ? weekDay(ended.hour - ageH) : null;
}
/** Whether a bed got what it wanted, sound and within a day of its day. */
export const isWantMet = (week: Week, plays: readonly Play[], { name, day }: Want): boolean =>
  week.drums.some((one, nth) => {
    const on = one.drum.name === name ? usedOn(one, plays[nth]!) : null;
    return on !== null && Math.abs(on - day) <= 1 && endedOf(one.drum, plays[nth]!)!.outcome === "used-in-time";
  });

/** Coins in the purse: what the drums brought so far, and the beds that got what they wanted. */
export const purseOf = (week: Week, plays: readonly Play[]): number =>
  PURSE +
  week.drums.reduce((sum, { drum }, nth) => sum + (endedOf(drum, plays[nth]!)?.net ?? 0), 0) +
  WANT_COINS * week.wants.filter((want) => isWantMet(week, plays, want)).length;

/** The week as a calm grower plays it, or somebody in a hurry. */
export function weekBy(week: Week, who: "calm" | "careless"): readonly Play[] {
  return week.drums.map((one): Play => {
    const [fromH, untilH] = [Math.max(0, one.ageH), Math.min(one.drum.untilH, drumHour(one, WEEK_H))];
    const habit: Habit = { fromH, untilH };
    const play = who === "calm" ? calmly(one.drum, habit) : careless(one.drum);
    const end = play.deeds.find(({ kind }) => kind === "end");
    if (end && end.hour > untilH)
      return { hour: untilH, deeds: play.deeds.filter(({ hour }) => hour <= untilH && end.hour !== hour) };
    return play;
  });
}
