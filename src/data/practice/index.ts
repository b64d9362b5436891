import "server-only";
/** Rows of what people practised, and of what they may judge alone. */
import type { Outcome } from "@/core/practice/drum/ending";
import type { Judged } from "@/core/practice/judgement";
import { insert, select, type Queryable } from "../db";

export interface AttemptRow {
  readonly personId: number;
  readonly exercise: "drum" | "sum" | "caution";
  readonly code: string;
  readonly methodId: string | null;
  readonly outcome: Outcome | null;
  readonly judged: readonly Judged[];
  /** ISO date on the farm. */
  readonly onDay: string;
}
interface Read {
  actor_id: number;
  exercise: AttemptRow["exercise"];
  code: string;
  method_id: string | null;
  outcome: Outcome | null;
  judged: string | readonly Judged[];
  on_day: string;
}

/** All that people practised, oldest first: of one, or of everybody. */
export async function listAttempts(db: Queryable, personId: number | null): Promise<AttemptRow[]> {
  const rows = await select<Read>(
    db,
    `select actor_id, exercise, code, method_id, outcome, judged, date_format(on_day, '%Y-%m-%d') as on_day from practice_attempt
     where ? is null or actor_id = ? order by id`,
    [personId, personId],
  );
  return rows.map((row) => ({
    personId: row.actor_id,
    ...{ exercise: row.exercise, code: row.code, methodId: row.method_id, outcome: row.outcome, onDay: row.on_day },
    judged: typeof row.judged === "string" ? (JSON.parse(row.judged) as Judged[]) : row.judged,
  }));
}
export const insertAttempt = (
  db: Queryable,
  row: Omit<AttemptRow, "personId"> & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into practice_attempt (actor_id, exercise, code, method_id, outcome, judged, on_day, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [
      ...[row.actorId, row.exercise, row.code, row.methodId, row.outcome],
      ...[JSON.stringify(row.judged), row.onDay, row.addedAt],
    ],
  );

export interface LeaveRow {
  readonly personId: number;
  readonly methodId: string;
}
/** Methods that people may judge alone, as it was said last. */
export async function listLeave(db: Queryable): Promise<LeaveRow[]> {
  const rows = await select<{ person_id: number; method_id: string }>(
    db,
    `select one.person_id, one.method_id from practice_leave one
     join (select max(id) as id from practice_leave group by person_id, method_id) newest on newest.id = one.id where one.is_given = 1`,
  );
  return rows.map((row) => ({ personId: row.person_id, methodId: row.method_id }));
}
export const insertLeave = (
  db: Queryable,
  row: LeaveRow & { readonly isGiven: boolean; readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(db, "insert into practice_leave (person_id, method_id, is_given, actor_id, added_at) values (?, ?, ?, ?, ?)", [
    row.personId,
    row.methodId,
    row.isGiven,
    row.actorId,
    row.addedAt,
  ]);
