import { addDays } from "../calendar";
import { JUDGEMENTS, type Judgement } from "./judgement";

/** One judgement made on a day of the farm. */
export interface Attempt {
  readonly judgement: Judgement;
  readonly isRight: boolean;
  /** ISO date. */
  readonly onDay: string;
}

/** Boxes of cards and the days that a card of each waits: twice as long in each next one (Leitner 1972). */
export const BOX_DAYS = [1, 2, 4, 8, 16] as const;

/** How one kind of judgement stands with a learner. */
export interface Standing {
  readonly judgement: Judgement;
  /** 1 to 5; 0 where it was never tried. */
  readonly box: number;
  /** The day from which it is asked again; null where it was never tried. */
  readonly dueOn: string | null;
  readonly right: number;
  readonly wrong: number;
}

/**
 * Where each kind of judgement stands: right on its day or later moves it a box up, right before its day leaves it where it is, wrong sends it
 * back to the first (Leitner 1972).
 * @param attempts oldest first
 */
export function standingsOf(attempts: readonly Attempt[]): Standing[] {
  return JUDGEMENTS.map((judgement) => {
    let [box, dueOn, right, wrong]: [number, string | null, number, number] = [0, null, 0, 0];
    for (const { isRight, onDay } of attempts.filter((one) => one.judgement === judgement)) {
      if (isRight) right += 1;
      else wrong += 1;
      const isDue = dueOn === null || onDay >= dueOn;
      if (isRight && !isDue) continue;
      box = isRight ? Math.min(BOX_DAYS.length, box + 1) : 1;
      dueOn = addDays(onDay, BOX_DAYS[box - 1]!);
    }
    return { judgement, box, dueOn, right, wrong };
  });
}

/** What to practise next: what is due and weakest first, then what was never tried; null where all waits for its day. */
export function nextToPractise(standings: readonly Standing[], today: string): Standing | null {
  const weakness = ({ box, right, wrong }: Standing) => box + right / (right + wrong + 1);
  const due = standings.filter(({ dueOn }) => dueOn !== null && dueOn <= today);
  if (due.length > 0) return due.toSorted((a, b) => weakness(a) - weakness(b))[0]!;
  return standings.find(({ box }) => box === 0) ?? null;
}

/** A drum that a learner has ended. */
export interface DrumEnded {
  readonly methodId: string;
  readonly isRight: boolean;
  /** It would have hurt someone or spoilt a bed. */
  readonly isHarmful: boolean;
}
export const ALONE_LAST = 5;
const ALONE_RIGHT = 4;

/** Whether somebody's last drums of a method say that they may judge one alone: four right of the last five, none harmful. */
export function mayJudgeAlone(drums: readonly DrumEnded[], methodId: string): boolean {
  const last = drums.filter((one) => one.methodId === methodId).slice(-ALONE_LAST);
  return (
    last.length === ALONE_LAST &&
    last.filter(({ isRight }) => isRight).length >= ALONE_RIGHT &&
    last.every(({ isHarmful }) => !isHarmful)
  );
}
