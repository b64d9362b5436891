/** A figure as growers state it: the span they really use and the cautious one that Ruchka takes unless told otherwise. */
export interface Range {
  readonly low: number;
  readonly default: number;
  readonly high: number;
}

export type StockUnit = "kg" | "L";
