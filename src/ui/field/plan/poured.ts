import type { Ring } from "@/core/land/ring";

/** What a plot is let have, and what it would want. */
export interface Poured {
  readonly plotId: number;
  readonly ring: Ring;
  readonly concentrateL: number;
  readonly wantedL: number;
  /** Its place in the walk, from 1; null where it goes without. */
  readonly nth: number | null;
}
