/* eslint sql/sql-by-parameters: "off" -- put together of the pieces of `sources/`, which are fixed text */
import "server-only";
import { select, type Queryable, type SqlValue } from "../db";
import type { TakenBackKind } from "../takenBack";
import { SOURCES, type HistoryCode, type HistoryPart, type Source } from "./sources";

/** A line of the farm's history: who wrote what, when, and when it happened. */
export interface HistoryLine {
  readonly code: HistoryCode;
  readonly part: HistoryPart;
  readonly id: number;
  readonly addedAt: Date;
  readonly at: Date;
  readonly actorName: string;
  readonly subject: string;
  readonly word: string | null;
  readonly amount: number | null;
  readonly unit: "kg" | "L" | null;
  readonly extra: Readonly<Record<string, unknown>>;
  readonly batchId: number | null;
  readonly plotId: number | null;
  readonly itemId: string | null;
  /** As what it can be undone now; null where it cannot. */
  readonly undo: TakenBackKind | null;
  /** Whether it was undone. */
  readonly isUndone: boolean;
}

export interface HistoryAsked {
  readonly part: HistoryPart | null;
  readonly actorId: number | null;
  /** Written from one moment on and before another. */
  readonly from: Date | null;
  readonly before: Date;
  readonly most: number;
}

interface Row {
  code: HistoryCode;
  part: HistoryPart;
  id: number;
  added_at: Date;
  at: Date;
  actor_name: string;
  subject: string | null;
  word: string | null;
  amount: string | null;
  unit: "kg" | "L" | null;
  extra: string | Readonly<Record<string, unknown>> | null;
  batch_id: number | null;
  plot_id: number | null;
  item_id: string | null;
  undo_as: TakenBackKind | null;
  is_undone: number;
}

/** One table's newest lines; each is asked for no more than is shown of all. */
function partOf(source: Source, asked: HistoryAsked): { readonly sql: string; readonly values: SqlValue[] } {
  const where = [
    `${source.added} < ?`,
    ...(asked.from ? [`${source.added} >= ?`] : []),
    ...(asked.actorId === null ? [] : [`${source.actor} = ?`]),
    ...(source.where ? [source.where] : []),
  ];
  const value = (sql: string | undefined) => sql ?? "null";
  const { undo } = source;
  const undone = undo
    ? `exists (select 1 from taken_back mark where mark.kind = '${undo.kind}' and mark.row_id = ${undo.row ?? source.id})`
    : "false";
  const sql = `(select '${source.code}' as code, '${source.part}' as part, ${source.id} as id, ${source.added} as added_at, ${source.at ?? source.added} as at,
    ${source.actor} as actor_id, ${source.subject} as subject, cast(${value(source.word)} as char) as word, ${value(source.amount)} as amount,
    ${value(source.unit)} as unit, ${value(source.extra)} as extra, ${value(source.batchId)} as batch_id, ${value(source.plotId)} as plot_id,
    ${value(source.itemId)} as item_id, ${undone} as is_undone, ${undo ? `if(${undo.when ?? "true"} and not ${undone}, '${undo.kind}', null)` : "null"} as undo_as
    from ${source.from} where ${where.join(" and ")} order by ${source.added} desc, ${source.id} desc limit ${Math.floor(asked.most)})`;
  return {
    sql,
    values: [asked.before, ...(asked.from ? [asked.from] : []), ...(asked.actorId === null ? [] : [asked.actorId])],
  };
}

const parsed = (extra: Row["extra"]): Readonly<Record<string, unknown>> =>
  extra === null ? {} : typeof extra === "string" ? (JSON.parse(extra) as Record<string, unknown>) : extra;

/** The newest lines first, over every table that somebody writes to. */
export async function listHistory(db: Queryable, asked: HistoryAsked): Promise<HistoryLine[]> {
  const parts = SOURCES.filter(({ part }) => asked.part === null || part === asked.part).map((source) =>
    partOf(source, asked),
  );
  const rows = await select<Row>(
    db,
    `select told.*, actor.name as actor_name from (${parts.map(({ sql }) => sql).join(" union all ")}) as told
     join actor on actor.id = told.actor_id order by told.added_at desc, told.code, told.id desc limit ${Math.floor(asked.most)}`,
    parts.flatMap(({ values }) => values),
  );
  return rows.map((row) => ({
    code: row.code,
    part: row.part,
    id: Number(row.id),
    addedAt: row.added_at,
    at: row.at,
    actorName: row.actor_name,
    subject: row.subject ?? "",
    word: row.word,
    amount: row.amount === null ? null : Number(row.amount),
    unit: row.unit,
    extra: parsed(row.extra),
    batchId: row.batch_id === null ? null : Number(row.batch_id),
    plotId: row.plot_id === null ? null : Number(row.plot_id),
    itemId: row.item_id,
    undo: row.undo_as,
    isUndone: Number(row.is_undone) === 1,
  }));
}
