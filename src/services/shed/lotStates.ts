import "server-only";
import { lotHold, lotState, type LotHold, type LotState } from "@/core/stock/lotState";
import { listLotEvents, listLotEventsOf, type LotEvent, type Lot } from "@/data/shed";
import type { Queryable } from "@/data/db";

/** A lot with all that was noted of it since. */
export interface LotView extends Lot {
  readonly state: LotState;
  /** Why it is not drawn on today; null where it may be. */
  readonly hold: LotHold | null;
}

export function withStates(lots: readonly Lot[], events: readonly LotEvent[], today: string): LotView[] {
  const byLot = new Map<number, LotEvent[]>();
  for (const event of events) {
    const known = byLot.get(event.lotId);
    if (known) known.push(event);
    else byLot.set(event.lotId, [event]);
  }
  return lots.map((lot) => {
    const state = lotState(lot, byLot.get(lot.id) ?? []);
    return { ...lot, state, hold: lotHold(lot, state, today) };
  });
}

/** Lots of an ingredient as they stand on a day. */
export const stateLotsOf = async (
  db: Queryable,
  ingredientId: string,
  lots: readonly Lot[],
  today: string,
): Promise<LotView[]> => withStates(lots, await listLotEventsOf(db, ingredientId), today);
export const stateLots = async (db: Queryable, lots: readonly Lot[], today: string): Promise<LotView[]> =>
  withStates(lots, await listLotEvents(db), today);
