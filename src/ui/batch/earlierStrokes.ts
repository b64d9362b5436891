/** Colours of earlier batches, in the chart as in the list below it. */
export const STROKES = ["var(--soft)", "var(--leaf)", "var(--rust)", "var(--marigold)"] as const;
