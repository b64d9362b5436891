import "server-only";
import { insert, select, type Queryable } from "../db";

/** One ingredient of a batch: what the recipe asked for, and what went in, in its unit. */
export interface BatchLine {
  readonly ingredientId: string;
  readonly part: "mix" | "cap";
  readonly unit: "kg" | "L";
  readonly planned: number;
  readonly used: number;
}

interface LineRow {
  batch_id: number;
  ingredient_id: string;
  part: "mix" | "cap";
  unit: "kg" | "L";
  planned: string;
  used: string;
}

const INSERT =
  "insert into batch_line (batch_id, line_no, ingredient_id, part, unit, planned, used) values (?, ?, ?, ?, ?, ?, ?)";
const SELECT =
  "select line.batch_id, line.ingredient_id, line.part, line.unit, line.planned, line.used from batch_line line";
const ORDER = "order by line.batch_id, line.line_no";
const SELECT_OF = (count: number) => `${SELECT} where line.batch_id in (${Array(count).fill("?").join(", ")}) ${ORDER}`;
const SELECT_OF_RUNNING = `
  ${SELECT} left join standing_close done on done.batch_id = line.batch_id
  where done.batch_id is null ${ORDER}`;

function byBatch(rows: readonly LineRow[]): Map<number, BatchLine[]> {
  const lines = new Map<number, BatchLine[]>();
  for (const row of rows) {
    const line = {
      ingredientId: row.ingredient_id,
      part: row.part,
      unit: row.unit,
      planned: Number(row.planned),
      used: Number(row.used),
    };
    const own = lines.get(row.batch_id);
    if (own) own.push(line);
    else lines.set(row.batch_id, [line]);
  }
  return lines;
}

export const insertBatchLine = (db: Queryable, batchId: number, lineNo: number, line: BatchLine): Promise<number> =>
  insert(db, INSERT, [batchId, lineNo, line.ingredientId, line.part, line.unit, line.planned, line.used]);

/** What went into several batches, by batch. */
export const listLinesOf = async (db: Queryable, batchIds: readonly number[]): Promise<Map<number, BatchLine[]>> =>
  batchIds.length === 0 ? new Map() : byBatch(await select<LineRow>(db, SELECT_OF(batchIds.length), [...batchIds]));

export const listBatchLines = async (db: Queryable, batchId: number): Promise<BatchLine[]> =>
  (await listLinesOf(db, [batchId])).get(batchId) ?? [];

/** What went into every running batch, by batch. */
export const listLinesOfRunning = async (db: Queryable): Promise<Map<number, BatchLine[]>> =>
  byBatch(await select<LineRow>(db, SELECT_OF_RUNNING));
