import "server-only";
import { errnoOf, insert, select, SQL_ERROR, type Queryable } from "./db";

/** Rows that are slips by being named so, as they have no correction of their own. */
export const TAKEN_BACK_KINDS = [
  "lot",
  "stock-move",
  "container-move",
  "pour",
  "visit",
  "bin-entry",
  "tool-event",
  "look",
  "water",
  "plan-drop",
  "filling-drop",
  "planting",
  "stage",
  "water-read",
  "water-level",
  "lab",
] as const;
export type TakenBackKind = (typeof TAKEN_BACK_KINDS)[number];

/** Marks a row as a slip. @returns false where somebody did already */
export async function insertTakenBackRow(
  db: Queryable,
  row: { readonly kind: TakenBackKind; readonly id: number; readonly at: Date; readonly actorId: number },
): Promise<boolean> {
  try {
    await insert(db, "insert into taken_back (kind, row_id, at, actor_id) values (?, ?, ?, ?)", [
      row.kind,
      row.id,
      row.at,
      row.actorId,
    ]);
    return true;
  } catch (error) {
    if (errnoOf(error) === SQL_ERROR.duplicate) return false;
    throw error;
  }
}

const TABLES = {
  "visit": { table: "forage_visit", lot: "lot_id" },
  "bin-entry": { table: "worm_bin_entry", lot: "lot_id" },
  "tool-event": { table: "equipment_event", lot: "null" },
  "look": { table: "plot_look", lot: "null" },
  "planting": { table: "planting", lot: "null" },
  "stage": { table: "stage_seen", lot: "null" },
  "water-read": { table: "water_reading", lot: "null" },
  "water-level": { table: "water_level", lot: "null" },
  "lab": { table: "lab_result", lot: "null" },
} as const;
export type PlainKind = keyof typeof TABLES;

/** A row of such a kind, locked, with the lot that came of it; null where there is none. */
export async function lockRowOf(
  db: Queryable,
  kind: PlainKind,
  id: number,
): Promise<{ readonly lotId: number | null } | null> {
  const { table, lot } = TABLES[kind];
  const [row] = await select<{ lotId: number | null }>(
    db,
    `select ${lot} as lotId from ${table} where id = ? for update`,
    [id],
  );
  return row ?? null;
}

/** The end of a plan or of a filling that was given up; null where it became a batch or still runs. */
export async function findDrop(db: Queryable, of: "plan" | "mixing", id: number): Promise<number | null> {
  const [row] = await select<{ id: number }>(
    db,
    `select id from standing_${of}_end where ${of}_id = ? and batch_id is null`,
    [id],
  );
  return row?.id ?? null;
}
