import "server-only";
import { REQUEST_KEY, object } from "@/contracts/parts";
import { act, requireMay } from "../act";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { cellsOf, FILE_COLUMNS, FILE_KINDS, readHeads, withHeads, type FileKind } from "@/formats/csv/tables";
import type { FileFault, FileLayout } from "@/formats/csv/fileFault";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { parseCsv, type ParsedFile } from "@/formats/csv/decode";
import { ingredientRows } from "./ingredientRows";
import { lotRows, type LotRows } from "./lotRows";
import type { FilePreview, RowOutcome } from "./rows";
import { plantingRows } from "./plantingRows";
import { stockRows } from "./stockRows";
import { thingRows } from "./thingRows";

/** Rows that a file may have. */
export const MOST_ROWS = 20_000;
/** Rows that are all right and shown of a file; what is wrong is shown whole, up to as many again. */
const SHOWN = 200;

const NO_COUNTS = { new: 0, changed: 0, same: 0, wrong: 0 } as const;

const refusedWhole = (kind: FileKind, refused: FileFault): FilePreview => ({
  kind,
  rows: 0,
  counts: NO_COUNTS,
  shown: [],
  refused,
  layout: null,
});

/** What is wrong with a file before any row is looked at; null where it can be read. */
function fileFault(kind: FileKind, file: ParsedFile): FileFault | null {
  const [heads, ...rows] = withHeads(kind, file.rows).rows;
  if (!heads) return { code: "file-empty" };
  const quote = file.problems[0];
  if (quote) return { code: "quote-open", line: quote.line };
  const read = readHeads(kind, heads);
  if (read.type === "wrong") {
    const named = (needed: boolean) =>
      FILE_COLUMNS[kind].filter((column) => column.needed === needed).map(({ name }) => name);
    return { code: "no-column", missing: read.missing, found: read.found, wanted: named(true), optional: named(false) };
  }
  if (rows.length === 0) return { code: "no-rows" };
  return rows.length > MOST_ROWS ? { code: "too-many-rows", rows: rows.length, most: MOST_ROWS } : null;
}

async function rowsOf(
  db: Queryable,
  kind: FileKind,
  file: ParsedFile,
  { today, units }: FarmNow,
  lock: boolean,
): Promise<LotRows & { readonly unknown: readonly string[] }> {
  const whole = withHeads(kind, file.rows);
  const [heads = [], ...rows] = whole.rows;
  const read = readHeads(kind, heads);
  const { at, unknown } = read.type === "read" ? read : { at: {}, unknown: [] };
  const cells = rows.map((row) => cellsOf(row, at));
  const found =
    kind === "lots"
      ? await lotRows(db, cells, today, units)
      : kind === "plantings"
        ? await plantingRows(db, cells)
        : kind === "stock"
          ? await stockRows(db, cells, lock, units)
          : kind === "ingredients"
            ? await ingredientRows(db, cells)
            : await thingRows(db, kind, cells, units);
  if (!whole.headsAdded) return { ...found, unknown };
  // Lines are counted as somebody pasted them.
  return { ...found, unknown, outcomes: found.outcomes.map((row) => ({ ...row, line: row.line - 1 })) };
}

function previewOf(kind: FileKind, outcomes: readonly RowOutcome[], layout: FileLayout | null): FilePreview {
  const count = (what: RowOutcome["what"]) => outcomes.filter((row) => row.what === what).length;
  const wrong = outcomes.filter(({ what }) => what === "wrong").slice(0, SHOWN);
  const rest = outcomes.filter(({ what }) => what !== "wrong").slice(0, SHOWN);
  return {
    kind,
    rows: outcomes.length,
    counts: { new: count("new"), changed: count("changed"), same: count("same"), wrong: count("wrong") },
    shown: [...wrong, ...rest].toSorted((a, b) => a.line - b.line),
    refused: null,
    layout,
  };
}

interface FarmNow {
  readonly today: string;
  readonly units: "metric" | "us";
}
async function farmNow(db: Queryable, ctx: Context): Promise<FarmNow> {
  const farm = await findFarm(db);
  return { today: isoDay(ctx.now(), { timeZone: farm?.timeZone ?? "UTC" }), units: farm?.units ?? "metric" };
}

/** The dry run: row by row what would change and what is wrong. Nothing is written. */
export async function previewFile(ctx: Context, kind: FileKind, file: ParsedFile): Promise<FilePreview> {
  const fault = fileFault(kind, file);
  if (fault) return refusedWhole(kind, fault);
  const { outcomes, unknown } = await rowsOf(ctx.pool, kind, file, await farmNow(ctx.pool, ctx), false);
  return previewOf(kind, outcomes, { delimiter: file.delimiter, encoding: file.encoding, unknown });
}

export interface FileWritten {
  readonly written: number;
  readonly same: number;
}

/** A CSV, already in letters; its rows are looked at by the service. */
const IMPORT_FILE = object(["requestKey", "kind", "text"], {
  requestKey: REQUEST_KEY,
  kind: { enum: FILE_KINDS },
  text: { type: "string", maxLength: 8_000_000 },
});

/**
 * Writes a file: all of its rows or none, looked at again within the transaction.
 * @throws {Refusal} where a single row is wrong by now
 */
export const importFile = act(
  { name: "importFile", schema: IMPORT_FILE, may: "grower" },
  async (db, request, ctx): Promise<FileWritten> => {
    // People by table are whose they are one by one.
    if (request.kind === "people") requireMay(ctx, "steward");
    const file = parseCsv(request.text);
    const fault = fileFault(request.kind, file);
    if (fault) throw refuse("file-unreadable", { fault }, "/text");
    const { outcomes, write: put } = await rowsOf(db, request.kind, file, await farmNow(db, ctx), true);
    const { counts, shown } = previewOf(request.kind, outcomes, null);
    if (counts.wrong > 0) {
      const first = shown.find(({ what }) => what === "wrong")!;
      throw refuse(
        "rows-wrong",
        { wrong: counts.wrong, rows: outcomes.length, line: first.line, faults: Object.values(first.faults) },
        "/text",
      );
    }
    const total = counts.new + counts.changed;
    ctx.onProgress?.(0, total);
    await put(db, ctx, (done) => ctx.onProgress?.(done, total));
    return { written: total, same: counts.same };
  },
);
