import { boundsOf, type Ring } from "./ring";

/** Plots that lie over one another, seen from the north: the stretch from west to east that they share. */
export interface Column<P> {
  readonly plots: readonly P[];
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;
}

/** Plots by the columns in which they lie, from west to east: those whose stretches overlap by more than half belong together. */
export function columnsOf<P extends { readonly ring: Ring }>(plots: readonly P[]): Column<P>[] {
  const columns: { plots: P[]; minX: number; maxX: number; minY: number; maxY: number }[] = [];
  const boxed = plots.map((plot) => ({ plot, ...boundsOf(plot.ring) })).toSorted((a, b) => a.minX - b.minX);
  for (const { plot, minX, maxX, minY, maxY } of boxed) {
    const last = columns.at(-1);
    const sharedX = last ? Math.min(last.maxX, maxX) - minX : -1;
    if (last && sharedX > (maxX - minX) / 2) {
      last.plots.push(plot);
      last.maxX = Math.max(last.maxX, maxX);
      last.minY = Math.min(last.minY, minY);
      last.maxY = Math.max(last.maxY, maxY);
    } else columns.push({ plots: [plot], minX, maxX, minY, maxY });
  }
  return columns;
}
