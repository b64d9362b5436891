import type { VerdictReason } from "./reasons";
import type { VerdictState } from "./verdictState";

export type NextAct =
  | "read-ph"
  | "smell"
  | "look"
  | "warm"
  | "strain"
  | "use-now"
  | "compost"
  | "wait"
  | "repeat-ph"
  | "feed"
  | "catch-up"
  | "cool"
  | "stir";

export interface Verdict {
  readonly state: VerdictState;
  readonly reasons: readonly VerdictReason[];
  /** The one thing to do or to look at next, and at which hour of the batch. */
  readonly next: { readonly act: NextAct; readonly hour: number };
  /** Where it must not be used: until it was looked at again, or for good. */
  readonly spoilt: "hold" | "discard" | null;
}

/** What a method's rule says of a sound batch. */
export type Judged = Omit<Verdict, "spoilt">;
