/** A use of a source: for a need, or by a batch that it feeds (the other is -1). */
export interface Use {
  readonly day: number;
  readonly amountL: number;
  readonly need: number;
  readonly batch: number;
}
/** Where an amount of an ingredient comes from: a lot, a day's gathering, or an order that comes on the start day. */
export type TakePart =
  | { readonly kind: "lot"; readonly ingredient: number; readonly lot: number; readonly amount: number }
  | {
      readonly kind: "forage";
      readonly ingredient: number;
      readonly spell: number;
      readonly day: number;
      readonly amount: number;
    }
  | { readonly kind: "buy"; readonly ingredient: number; readonly amount: number };
export interface FeedDraw {
  readonly source: number;
  readonly amountL: number;
}
/**
 * What is drawn on: a batch, or a store (vessel -1). Only the state changes it, so that the journal knows.
 * Fixed: a store or what runs already; its litres are what they are.
 */
export interface Source {
  readonly index: number;
  readonly id: string | null;
  readonly input: number;
  readonly vessel: number;
  readonly startDay: number;
  readonly readyDay: number;
  readonly lastDay: number;
  readonly isFixed: boolean;
  readonly isPinned: boolean;
  emptyDay: number;
  fillL: number;
  outputL: number;
  givenL: number;
  readonly uses: Use[];
  /** Of what keeps, by day: litres that later days draw, so what stands of it at the day's end. Nothing for a living brew. */
  readonly laterL: Float64Array | null;
  takes: readonly TakePart[];
  feeds: readonly FeedDraw[];
}
/** Litres less than this are none. */
export const TINY_L = 1e-7;
/** In time, and by need and batch where on one day: an order that no search's history shows in. */
export const byDay = (one: Use, other: Use): number =>
  one.day - other.day || one.need - other.need || one.batch - other.batch;
