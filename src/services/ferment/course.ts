/** How near ready and how far past it a batch is at a moment, 0 to 1. */
export interface RibbonPoint {
  readonly atMs: number;
  readonly ready: number;
  readonly past: number;
}

/** Earliest, likely and latest moment of a mark, ms since the epoch; null for not in sight. */
export interface MarkTimes {
  readonly p10: number | null;
  readonly p50: number | null;
  readonly p90: number | null;
}

/** One way of running the batch, as it is drawn. */
export interface Course {
  readonly window: { readonly start: MarkTimes; readonly peak: MarkTimes; readonly end: MarkTimes };
  readonly ribbon: readonly RibbonPoint[];
  readonly never: number;
  /** As far as it is worth looking. */
  readonly untilMs: number;
}
