import { OF_WHAT_IS_ASKED } from "./asked";
import { OF_KEEPING } from "./keeping";
import { OF_MAKING } from "./making";
import { OF_PRACTICE } from "./practice";
import { OF_TRIALS } from "./trials";

export type { Left, ReasonWanted, Said, Thing } from "./wanted";

/** All that the farm refuses, in words: by code, from the figures that explain it. */
export const REFUSALS = { ...OF_WHAT_IS_ASKED, ...OF_MAKING, ...OF_KEEPING, ...OF_TRIALS, ...OF_PRACTICE } as const;
