import "server-only";
import type { StoreCheck, StoreCheckKind } from "@/core/stock/storeChecks";
import { insert, select, type Queryable } from "../db";

interface CheckRow {
  store_id: number;
  kind: StoreCheckKind;
  ph: string | null;
  at: Date;
}

const COLUMNS = "seen.store_id, seen.kind, seen.ph, seen.at";
const SELECT_ON_HAND = `
  select ${COLUMNS} from standing_store_check seen
  join store_on_hand on store_on_hand.id = seen.store_id and store_on_hand.on_hand_l > 0
  order by seen.at, seen.id`;
const SELECT_OF_STORE = `select ${COLUMNS} from standing_store_check seen where seen.store_id = ? order by seen.at, seen.id`;
const INSERT =
  "insert into store_check (store_id, kind, ph, note, at, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)";
const COPY = `
  insert into store_check (store_id, kind, ph, note, at, actor_id, added_at)
  select ?, kind, ph, note, at, actor_id, added_at from standing_store_check where store_id = ? order by at, id`;

const toCheck = ({ kind, ph, at }: CheckRow): StoreCheck => ({
  kind,
  ph: ph === null ? null : Number(ph),
  atMs: at.getTime(),
});

/** The checks of all stores that hold something, oldest first, by store. */
export async function listStoreChecks(db: Queryable): Promise<ReadonlyMap<number, readonly StoreCheck[]>> {
  const byStore = new Map<number, StoreCheck[]>();
  for (const row of await select<CheckRow>(db, SELECT_ON_HAND)) {
    const known = byStore.get(row.store_id);
    if (known) known.push(toCheck(row));
    else byStore.set(row.store_id, [toCheck(row)]);
  }
  return byStore;
}

export const listChecksOf = async (db: Queryable, storeId: number): Promise<StoreCheck[]> =>
  (await select<CheckRow>(db, SELECT_OF_STORE, [storeId])).map(toCheck);

export const insertStoreCheck = (
  db: Queryable,
  check: {
    readonly storeId: number;
    readonly kind: StoreCheckKind;
    readonly ph: number | null;
    readonly note: string;
    readonly at: Date;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(db, INSERT, [check.storeId, check.kind, check.ph, check.note, check.at, check.actorId, check.addedAt]);

/** What was found of a store holds for what is poured from it. */
export const copyStoreChecks = (db: Queryable, fromId: number, toId: number): Promise<number> =>
  insert(db, COPY, [toId, fromId]);
