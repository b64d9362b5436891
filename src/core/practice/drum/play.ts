import { courseOf, lastMoment, type Course } from "./course";
import type { Care, Deed, Ending, Look } from "./deeds";
import { endingOf, type Ended } from "./ending";
import { lookAt, outsideAt, type Outside, type Seen } from "./look";
import type { PracticeDrum } from "./setup";

/** A drum as its learner stands before it: what was done up to which hour, nothing of what is hidden. */
export interface Play {
  readonly hour: number;
  readonly deeds: readonly Deed[];
}
export const BEGUN: Play = { hour: 0, deeds: [] };

/** What a learner sees of a drum at its hour. */
export interface Sight {
  readonly seen: readonly Seen[];
  readonly outside: Outside;
  readonly isOver: boolean;
}

const endOf = ({ deeds }: Play) => deeds.find((deed) => deed.kind === "end");
/** The drum's course up to the hour at which it is played, or at which it ended. */
export const coursePlayed = (drum: PracticeDrum, play: Play): Course =>
  courseOf(drum, play.deeds, Math.min(drum.untilH, endOf(play)?.hour ?? play.hour));

/** @param course where it is known already */
export function sightOf(drum: PracticeDrum, play: Play, course: Course = coursePlayed(drum, play)): Sight {
  const last = lastMoment(course);
  const isBurst = course.events.some(({ event }) => event === "burst");
  return {
    seen: play.deeds.flatMap((deed) =>
      deed.kind === "look" && course.moments[deed.hour] ? [lookAt(drum, course.moments[deed.hour]!, deed.look)] : [],
    ),
    outside: outsideAt(last, isBurst),
    isOver: endOf(play) !== undefined || isBurst || play.hour >= drum.untilH,
  };
}

/** How it ended; null while it goes on. */
export function endedOf(drum: PracticeDrum, play: Play): Ended | null {
  const course = coursePlayed(drum, play);
  return sightOf(drum, play, course).isOver ? endingOf(drum, play.deeds, course) : null;
}

const did = (play: Play, deed: Deed): Play => ({ ...play, deeds: [...play.deeds, deed] });
/** Looking twice within the same hour shows the same and counts once. */
export const look = (play: Play, what: Look): Play =>
  play.deeds.some((deed) => deed.kind === "look" && deed.look === what && deed.hour === play.hour)
    ? play
    : did(play, { hour: play.hour, kind: "look", look: what });
export const careFor = (play: Play, what: Care): Play => did(play, { hour: play.hour, kind: "care", care: what });
export const end = (play: Play, ending: Ending): Play => did(play, { hour: play.hour, kind: "end", ending });

/** Lets hours pass, as far as the drum goes: one that bursts is found then. */
export function wait(drum: PracticeDrum, play: Play, hours: number): Play {
  const untilH = Math.min(drum.untilH, play.hour + hours);
  return { ...play, hour: lastMoment(courseOf(drum, play.deeds, untilH)).hour };
}
