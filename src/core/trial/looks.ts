import type { Placements } from "./placements";

/** What may have been spent of a level by a look: half of what is left, each time (Lan & DeMets 1983). @param look from 1 */
export const spentBy = (level: number, look: number): number => level * (1 - 2 ** -look);

/** The r-th largest of a list (Hoare 1961); reorders it. */
function nthLargest(list: Float64Array, length: number, rank: number): number {
  let [from, to] = [0, length - 1];
  const at = rank - 1;
  while (from < to) {
    const pivot = list[(from + to) >> 1]!;
    let [left, right] = [from, to];
    while (left <= right) {
      while (list[left]! > pivot) left += 1;
      while (list[right]! < pivot) right -= 1;
      if (left <= right) {
        const kept = list[left]!;
        list[left] = list[right]!;
        list[right] = kept;
        left += 1;
        right -= 1;
      }
    }
    if (at <= right) to = right;
    else if (at >= left) from = left;
    else break;
  }
  return list[at]!;
}

/**
 * Looks at one trial: all placements of all blocks are gone through at once (Mehta, Patel & Senchaudhuri 1994); at each look the most extreme of those not yet marked are
 * marked, as many as may be spent by then, equal ones all or none. What one look could not spend passes to the next.
 */
export class Looking {
  private readonly marked: Uint8Array;
  private readonly values: Float64Array;
  private readonly sorted: Float64Array;
  constructor(
    /** By look, this one last. */
    private readonly looks: readonly Placements[],
    private readonly level: number,
  ) {
    const { count } = looks.at(-1)!;
    this.marked = new Uint8Array(count);
    this.values = new Float64Array(count);
    this.sorted = new Float64Array(count);
  }
  /**
   * The edge reached at this look, on one side, were the true difference so much: the true placement stands at nought; a value at or beyond the edge is refused.
   * @param side 1 for more, -1 for less; Infinity where nothing could be spent
   */
  edge(shift: number, side: 1 | -1): number {
    const { marked, values, sorted } = this;
    const { count, tolerance } = this.looks.at(-1)!;
    marked.fill(0);
    let spent = 0;
    let edge = Infinity;
    for (const [nth, look] of this.looks.entries()) {
      const may = Math.floor((spentBy(this.level, nth + 1) / 2) * count + 1e-9) - spent;
      edge = Infinity;
      let open = 0;
      for (let at = 0; at < count; at += 1) {
        const of = at % look.count;
        values[at] = side * (shift * look.moved[of]! - look.lessBy[of]!);
        if (!marked[at]) {
          sorted[open] = values[at]!;
          open += 1;
        }
      }
      if (may < 1 || open === 0) continue;
      const last = nthLargest(sorted, open, Math.min(may, open));
      let [beyond, above] = [0, 0];
      for (let at = 0; at < count; at += 1) {
        if (marked[at]) continue;
        if (values[at]! >= last - tolerance) beyond += 1;
        if (values[at]! > last + tolerance) above += 1;
      }
      const from = beyond <= may ? last - tolerance : last + tolerance;
      if (beyond > may && above === 0) continue;
      for (let at = 0; at < count; at += 1) {
        if (marked[at] || !(beyond <= may ? values[at]! >= from : values[at]! > from)) continue;
        marked[at] = 1;
        spent += 1;
        edge = Math.min(edge, values[at]!);
      }
    }
    return edge;
  }
  /** Whether a true difference of so much is refused as too little (side 1) or too much (-1). */
  refuses(shift: number, side: 1 | -1): boolean {
    return 0 >= this.edge(shift, side) - this.looks.at(-1)!.tolerance;
  }
  /** What a single test would have had to reach: the share of placements at or beyond the edge, both sides. */
  levelNow(): number {
    const { count, lessBy, tolerance } = this.looks.at(-1)!;
    const edge = this.edge(0, 1);
    let beyond = 0;
    for (let at = 0; at < count; at += 1) if (-lessBy[at]! >= edge - tolerance) beyond += 1;
    return (2 * beyond) / count;
  }
  /** Repeated interval (Jennison & Turnbull 1989): the shifts that are not refused. @param spread how wide the differences are: it is found to a thousandth of it */
  interval(estimate: number, spread: number): { readonly low: number; readonly high: number } | null {
    const wide = 64 * Math.max(spread, 1e-9);
    const end = (side: 1 | -1): number | null => {
      let [refused, kept] = [estimate - side * wide, estimate];
      if (!this.refuses(refused, side)) return null;
      if (this.refuses(kept, side)) return null;
      while (Math.abs(kept - refused) > 2e-4 * Math.max(spread, 1e-9)) {
        const middle = (kept + refused) / 2;
        if (this.refuses(middle, side)) refused = middle;
        else kept = middle;
      }
      return kept;
    };
    const [low, high] = [end(1), end(-1)];
    return low === null || high === null ? null : { low, high };
  }
}
