import "server-only";
import type { Provenance } from "@/core/safety/provenance";
import { insert, places, select, type Queryable, type SqlValue } from "../db";

export type LotOrigin = "bought" | "foraged" | "home-made" | "given";

export interface Lot {
  readonly id: number;
  readonly ingredientId: string;
  /** The farm's own ingredient that it is; null for one of the book's. */
  readonly ownId: number | null;
  readonly unit: "kg" | "L";
  readonly origin: LotOrigin;
  readonly receivedOn: string;
  readonly received: number;
  readonly costMinor: number;
  readonly expiresOn: string | null;
  readonly note: string;
  readonly place: string;
  readonly provenance: Provenance;
  readonly fromBatchId: number | null;
  /** The batch that it was picked for, or with which it first came into the books; null for a lot that came in by itself. */
  readonly cameWithBatchId: number | null;
  readonly onHand: number;
}

export type NewLot = Omit<Lot, "id" | "onHand"> & {
  readonly addedAt: Date;
  readonly actorId: number;
};

interface LotRow {
  id: number;
  ingredient_id: string;
  own_ingredient_id: number | null;
  unit: "kg" | "L";
  origin: LotOrigin;
  received_on: string;
  received: string;
  cost_minor: string;
  expires_on: string | null;
  note: string;
  place: string;
  provenance: Provenance | string | null;
  from_batch_id: number | null;
  came_with_batch_id: number | null;
  on_hand: string;
}

const COLUMNS =
  "id, ingredient_id, own_ingredient_id, unit, origin, received_on, received, cost_minor, expires_on, note, place, provenance, from_batch_id, came_with_batch_id, on_hand";
const SELECT_ON_HAND = `select ${COLUMNS} from lot_on_hand where on_hand > 0 order by ingredient_id, received_on, id`;
const SELECT_OF_INGREDIENT = `select ${COLUMNS} from lot_on_hand where ingredient_id = ? and on_hand > 0 order by received_on, id`;
const SELECT_LOT = `select ${COLUMNS} from lot_on_hand where id = ?`;
// The balances are the lock: lots that are empty are left alone.
const LOCK_BALANCES =
  "select lot_id from lot_balance where ingredient_id = ? and on_hand > 0 order by lot_id for update";
const LOCK_BALANCE = "select lot_id from lot_balance where lot_id = ? for update";
/** What is written of a new lot, in the order of `lotValues`. */
export const LOT_COLUMNS = [
  "ingredient_id",
  "own_ingredient_id",
  "unit",
  "origin",
  "received_on",
  "received",
  "cost_minor",
  "expires_on",
  "note",
  "place",
  "provenance",
  "from_batch_id",
  "came_with_batch_id",
  "actor_id",
  "added_at",
];
const INSERT_LOT = `insert into lot (${LOT_COLUMNS.join(", ")}) values (${places(LOT_COLUMNS)})`;

/** JSON arrives parsed from a table and as text through a view. */
export const parsed = (value: Provenance | string | null): Provenance =>
  value === null ? {} : typeof value === "string" ? (JSON.parse(value) as Provenance) : value;

const toLot = (row: LotRow): Lot => ({
  id: row.id,
  ingredientId: row.ingredient_id,
  ownId: row.own_ingredient_id,
  unit: row.unit,
  origin: row.origin,
  receivedOn: row.received_on,
  received: Number(row.received),
  costMinor: Number(row.cost_minor),
  expiresOn: row.expires_on,
  note: row.note,
  place: row.place,
  provenance: parsed(row.provenance),
  fromBatchId: row.from_batch_id,
  cameWithBatchId: row.came_with_batch_id,
  onHand: Number(row.on_hand),
});

/** Every lot with something left, by ingredient, oldest first. */
export const listLotsOnHand = async (db: Queryable): Promise<Lot[]> =>
  (await select<LotRow>(db, SELECT_ON_HAND)).map(toLot);

/** Lots of one ingredient with something left, oldest first. */
export const listLotsOf = async (db: Queryable, ingredientId: string): Promise<Lot[]> =>
  (await select<LotRow>(db, SELECT_OF_INGREDIENT, [ingredientId])).map(toLot);

/** Locks an ingredient's lots and tells what is on hand of each now, oldest first; empty ones are left out. */
export async function lockLots(db: Queryable, ingredientId: string): Promise<Lot[]> {
  await select(db, LOCK_BALANCES, [ingredientId]);
  return listLotsOf(db, ingredientId);
}

/** Locks one lot, also an empty one, and tells how it stands. */
export async function lockLot(db: Queryable, lotId: number): Promise<Lot | null> {
  await select(db, LOCK_BALANCE, [lotId]);
  const [row] = await select<LotRow>(db, SELECT_LOT, [lotId]);
  return row ? toLot(row) : null;
}

/** Locks every lot's balance, in order: nothing comes or goes until the transaction ends. */
export const lockAllBalances = async (db: Queryable): Promise<void> => {
  await select(db, "select lot_id from lot_balance order by lot_id for update");
};

/** The values of a lot, in the order of its columns. */
export const lotValues = (lot: NewLot): SqlValue[] => [
  lot.ingredientId,
  lot.ownId,
  lot.unit,
  lot.origin,
  lot.receivedOn,
  lot.received,
  lot.costMinor,
  lot.expiresOn,
  lot.note,
  lot.place,
  Object.keys(lot.provenance).length === 0 ? null : JSON.stringify(lot.provenance),
  lot.fromBatchId,
  lot.cameWithBatchId,
  lot.actorId,
  lot.addedAt,
];

export const insertLot = (db: Queryable, lot: NewLot): Promise<number> => insert(db, INSERT_LOT, lotValues(lot));

/** A mark that differs once any line of the ledger, or any note on a lot, was committed. */
export async function shelfMark(db: Queryable): Promise<string> {
  const [row] = await select<{ written: string | null; events: number; own: number; changed: number }>(
    db,
    `select sum(lines_written) as written, (select count(*) from lot_event) as events, (select count(*) from own_ingredient) as own,
       (select count(*) from thing_change where kind = 'own-ingredient') as changed
     from shelf_version`,
  );
  return `${row?.written ?? 0}/${row?.events ?? 0}/${row?.own ?? 0}/${row?.changed ?? 0}`;
}

/** The first day on which a lot of each ingredient came in. */
export const listFirstDays = async (db: Queryable): Promise<ReadonlyMap<string, string>> =>
  new Map(
    (
      await select<{ ingredient_id: string; first_on: string }>(
        db,
        "select ingredient_id, min(received_on) as first_on from lot group by ingredient_id",
      )
    ).map(({ ingredient_id, first_on }) => [ingredient_id, first_on]),
  );

/** Every lot there ever was, empty ones too; for files and for finding what is there already. */
export const listAllLots = async (db: Queryable): Promise<Lot[]> =>
  (await select<LotRow>(db, `select ${COLUMNS} from lot_on_hand order by id`)).map(toLot);
