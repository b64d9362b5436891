import "server-only";
import { readAnswerFacts, readPractice } from "../practice";
import { NOTHING, view } from "../view";

export const PRACTICE_VIEWS = {
  /** What the asker practised; of everybody for a steward. */
  practice: view({ name: "practice", schema: NOTHING, may: "viewer" }, (frame) => readPractice(frame)),
  /** The farm's recipes, rules and crops, for answers that are worked out on the device. */
  answerFacts: view({ name: "answerFacts", schema: NOTHING, may: "viewer" }, (frame) => readAnswerFacts(frame)),
} as const;
