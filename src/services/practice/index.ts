import "server-only";
/** Practice: what people practised, what they may judge alone, and what the farm's own answers rest on. */
export { logPracticeCaution, logPracticeDrum, logPracticeSum, setPracticeLeave } from "./acts";
export { readAnswerFacts, type AnswerFactsView } from "./readAnswerFacts";
export { readPractice, type Learner, type MethodPractised, type PracticeView } from "./readPractice";
