import type { TendingTask } from "../book/types";

/** What a task of the round asks of the hand, as a code: a picture stands for it, and a phrase in each language of the yard. */
export const TASK_WORDS = [
  "stir",
  "let-gas-out",
  "press-under",
  "feed",
  "top-up",
  "join",
  "lift-out",
  "close",
  "lid-on",
  "air-on",
  "power-on",
  "warm",
  "cool",
  "read-ph",
  "look",
  "smell",
  "strain",
  "use-now",
  "to-heap",
  "wash",
  "use-water",
  "put-on",
  "go-on-mixing",
  "fill",
  "pick",
  "read-beans",
  "tend",
] as const;
export type TaskWord = (typeof TASK_WORDS)[number];

const OF_ACT: Partial<Record<TendingTask["act"], TaskWord>> = {
  "stirred": "stir",
  "vented": "let-gas-out",
  "pressed-under": "press-under",
  "fed": "feed",
  "topped-up": "top-up",
  "joined": "join",
  "bag-out": "lift-out",
  "sealed": "close",
  "lid-checked": "lid-on",
  "air-on": "air-on",
  "power-back": "power-on",
  "heater-on": "warm",
  "wrapped": "warm",
  "look": "look",
  "read-ph": "read-ph",
};

/** What a tending act of the book asks of the hand; the general word where it has none of its own. */
export const taskWordOf = (act: TendingTask["act"]): TaskWord => OF_ACT[act] ?? "tend";
