/** What is left of a lot, in whole grams or millilitres so that sums are exact. */
export interface LotOnHand {
  readonly lotId: number;
  /** ISO date it came in; the oldest is drawn first. */
  readonly receivedOn: string;
  readonly onHandMilli: number;
}

export interface Draw {
  readonly lotId: number;
  readonly amountMilli: number;
}

export interface ChosenDraw {
  readonly draws: readonly Draw[];
  /** What no lot could give; 0 when the shed holds enough. */
  readonly shortMilli: number;
}

/** Thousandths of a kilogram or litre in an amount: the ledger's grain. */
export const toMilli = (amount: number): number => Math.round(amount * 1000);

/**
 * Draws an amount from lots, the oldest first, lots of one day in the order they were booked.
 * Nothing is lost: the draws and the shortage add up to the amount asked for.
 * @param amountMilli whole grams or millilitres, at least 0
 * @example drawOldestFirst([{ lotId: 2, receivedOn: "2031-03-02", onHandMilli: 500 }], 700).shortMilli; // 200
 */
export function drawOldestFirst(lots: readonly LotOnHand[], amountMilli: number): ChosenDraw {
  const oldestFirst = lots.toSorted((a, b) => a.receivedOn.localeCompare(b.receivedOn) || a.lotId - b.lotId);
  const draws: Draw[] = [];
  let wantedMilli = amountMilli;
  for (const lot of oldestFirst) {
    const takenMilli = Math.min(Math.max(0, lot.onHandMilli), wantedMilli);
    if (takenMilli > 0) draws.push({ lotId: lot.lotId, amountMilli: takenMilli });
    wantedMilli -= takenMilli;
  }
  return { draws, shortMilli: wantedMilli };
}
