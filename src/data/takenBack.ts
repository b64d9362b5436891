/* eslint sql/sql-by-parameters: "off" -- tables out of a fixed list, by a kind that the schema knows */
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
  "job",
  "schedule",
  "land-mark",
  "harvest-rule",
  "learning-reset",
  "patch-look",
  "store-check",
  "keeping",
  "own-recipe",
  "bed-shape",
  "reading",
  "trial-entry",
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
  "job": { table: "job", lot: "null" },
  "schedule": { table: "programme", lot: "null" },
  "land-mark": { table: "land_mark", lot: "null" },
  "harvest-rule": { table: "harvest_rule", lot: "null" },
  "learning-reset": { table: "learning_reset", lot: "null" },
  "patch-look": { table: "patch_look", lot: "null" },
  "store-check": { table: "store_check", lot: "null" },
  "keeping": { table: "store_expiry", lot: "null" },
  "reading": { table: "reading", lot: "null" },
  "trial-entry": { table: "trial_entry", lot: "null" },
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

/** When a check of a container was written down; null where there is none. */
export async function findCheckTime(db: Queryable, id: number): Promise<Date | null> {
  const [row] = await select<{ addedAt: Date }>(
    db,
    "select added_at as addedAt from store_check where id = ? for update",
    [id],
  );
  return row?.addedAt ?? null;
}

/** The job that a row tells for the first time and of which some is done; null where that row is none such. */
export async function findJobBegun(db: Queryable, rowId: number): Promise<number | null> {
  const [row] = await select<{ id: number }>(
    db,
    `select job.id from job where job.id = ? and job.job_id is null
     and exists (select 1 from job_done done where done.job_id = job.id)`,
    [rowId],
  );
  return row?.id ?? null;
}

/** A version of the farm's own recipe; whether a newer one stands, the farm makes by it, or a plan rests on it. */
export async function findOwnVersion(
  db: Queryable,
  id: number,
): Promise<{ readonly name: string; readonly isUsed: boolean } | null> {
  const [row] = await select<{ name: string; isUsed: number }>(
    db,
    `select json_value(version.document, '$.name') as name,
       exists (select 1 from standing_recipe_version later
         where later.method_id = version.method_id and later.school_id = version.school_id and later.version_no > version.version_no)
       or exists (select 1 from recipe_choice choice join (select max(id) as id from recipe_choice group by method_id) latest on latest.id = choice.id
         where choice.method_id = version.method_id and choice.school_id = version.school_id and choice.version_no = version.version_no)
       or exists (select 1 from plan where plan.method_id = version.method_id and plan.school_id = version.school_id and plan.version_no = version.version_no)
         as isUsed
     from recipe_version version where version.id = ? for update`,
    [id],
  );
  return row ? { name: row.name, isUsed: row.isUsed === 1 } : null;
}
