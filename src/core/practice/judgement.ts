/** Kinds of judgement that practice tells apart: what somebody is weak or sure at. */
export const JUDGEMENTS = ["too-soon", "too-late", "spoilt-used", "sound-thrown", "dose", "load", "caution"] as const;
export type Judgement = (typeof JUDGEMENTS)[number];

/** One judgement made, right or wrong. */
export interface Judged {
  readonly judgement: Judgement;
  readonly isRight: boolean;
}
