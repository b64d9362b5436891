import "server-only";
import type { LotHappening } from "@/core/stock/lotState";
import { insert, select, type Queryable } from "../db";

/** What can happen to a lot, as the core knows it. */
export type LotEventKind = LotHappening["kind"];

export interface LotEvent {
  readonly lotId: number;
  readonly kind: LotEventKind;
  /** The place, the new expiry, the vigour, the note; empty where the kind says all. */
  readonly word: string;
  readonly onDay: string;
  readonly actorName: string;
}

interface EventRow {
  lot_id: number;
  kind: LotEventKind;
  word: string;
  on_day: string;
  actor_name: string;
}

const SELECT = `
  select event.lot_id, event.kind, event.word, event.on_day, actor.name as actor_name
  from lot_event event join actor on actor.id = event.actor_id`;
const OF_LOTS_ON_HAND = `${SELECT} join lot_balance on lot_balance.lot_id = event.lot_id and lot_balance.on_hand > 0 order by event.id`;
const OF_INGREDIENT = `${SELECT} join lot_balance on lot_balance.lot_id = event.lot_id where lot_balance.ingredient_id = ? order by event.id`;

const toEvent = (row: EventRow): LotEvent => ({
  lotId: row.lot_id,
  kind: row.kind,
  word: row.word,
  onDay: row.on_day,
  actorName: row.actor_name,
});

/** Events of lots that hold something, oldest first. */
export const listLotEvents = async (db: Queryable): Promise<LotEvent[]> =>
  (await select<EventRow>(db, OF_LOTS_ON_HAND)).map(toEvent);
export const listLotEventsOf = async (db: Queryable, ingredientId: string): Promise<LotEvent[]> =>
  (await select<EventRow>(db, OF_INGREDIENT, [ingredientId])).map(toEvent);

export async function listEventsOfLots(db: Queryable, lotIds: readonly number[]): Promise<LotEvent[]> {
  if (lotIds.length === 0) return [];
  const marks = lotIds.map(() => "?").join(", ");
  return (await select<EventRow>(db, `${SELECT} where event.lot_id in (${marks}) order by event.id`, [...lotIds])).map(
    toEvent,
  );
}

export const insertLotEvent = (
  db: Queryable,
  event: Omit<LotEvent, "actorName"> & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(db, "insert into lot_event (lot_id, kind, word, on_day, actor_id, added_at) values (?, ?, ?, ?, ?, ?)", [
    event.lotId,
    event.kind,
    event.word,
    event.onDay,
    event.actorId,
    event.addedAt,
  ]);
