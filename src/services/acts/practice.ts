import "server-only";
import { logPracticeCaution, logPracticeDrum, logPracticeSum, setPracticeLeave } from "../practice";

export const PRACTICE_ACTS = { logPracticeDrum, logPracticeSum, logPracticeCaution, setPracticeLeave } as const;
