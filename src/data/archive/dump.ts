/* eslint sql/sql-by-parameters: "off" -- tables and columns by their names as the database itself tells them, quoted */
import "server-only";
import { createHash } from "node:crypto";
import { writeFile } from "node:fs/promises";
import { once } from "node:events";
import { createWriteStream, mkdirSync, writeFileSync } from "node:fs";
import path from "node:path";
import type { Connection as CoreConnection } from "mysql2";
import { createConnection, type Connection } from "mysql2/promise";
import { listMigrations, listTables, type Table } from "./tables";

/** The form of an archive; another number where a reader of this one would misread it. In form 1 photographs stood in the lines. */
export const ARCHIVE_FORM = 2;

export interface Manifest {
  readonly form: number;
  readonly madeAt: string;
  /** The schema, by what has run of it. */
  readonly migrations: readonly string[];
  /** Where the database's log stood at that moment, if it keeps one: from there it can be played on. */
  readonly log?: { readonly file: string; readonly position: number };
  /** Of each table its rows and the SHA-256 of its lines. */
  readonly tables: Readonly<Record<string, { readonly rows: number; readonly sha256: string }>>;
}

const quoted = (name: string): string => `\`${name.replaceAll("`", "``")}\``;

/** A photograph as a line names it: a file beside the tables. */
export interface PhotographLine {
  readonly file: string;
  readonly sha256: string;
}

/** A value as it stands in a line of JSON. */
function jsonOf(text: string | Buffer | null, { form }: Table["columns"][number]): unknown {
  if (text === null) return null;
  if (form === "bytes") return (text as Buffer).toString("base64");
  return form === "number" ? Number(text) : text;
}

/** Writes the photographs of a row beside the tables. @returns the row as its line tells it */
async function rowLine(table: Table, row: readonly (string | Buffer | null)[], folder: string | null): Promise<string> {
  const key = table.columns.flatMap(({ name }, index) => (table.key.includes(name) ? [String(row[index])] : []));
  const told: Record<string, unknown> = {};
  for (const [index, column] of table.columns.entries()) {
    const value = row[index]!;
    if (column.form !== "photograph" || value === null) told[column.name] = jsonOf(value, column);
    else {
      const file = `photographs/${[table.name, column.name, ...key].join("-")}.jpg`;
      if (folder !== null) await writeFile(path.join(folder, file), value, { mode: 0o600 });
      told[column.name] = { file, sha256: createHash("sha256").update(value).digest("hex") } satisfies PhotographLine;
    }
  }
  return `${JSON.stringify(told)}\n`;
}

/** Where the log stands for the transaction that has just begun; nothing where no log is kept. */
async function logPosition(connection: Connection): Promise<Pick<Manifest, "log">> {
  const [rows] = (await connection.query("show status like 'binlog\\_snapshot\\_%'")) as unknown as [
    { Variable_name: string; Value: string }[],
  ];
  const of = new Map(rows.map((row) => [row.Variable_name.toLowerCase(), row.Value]));
  const file = of.get("binlog_snapshot_file") ?? "";
  return file === "" ? {} : { log: { file, position: Number(of.get("binlog_snapshot_position")) } };
}

/** One line of JSON for each row of a table, in the order of its key. @param folder for the photographs; null where nothing is written */
async function* linesOf(connection: Connection, table: Table, folder: string | null): AsyncGenerator<string> {
  const columns = table.columns
    .map(({ name, isShortened }) => (isShortened ? `cast(${quoted(name)} as double) as ${quoted(name)}` : quoted(name)))
    .join(", ");
  const order = (table.key.length > 0 ? table.key : table.columns.map(({ name }) => name)).map(quoted).join(", ");
  // As the server says it: no figure and no moment goes through a type that could round it.
  // The promises of the package have no streams; what they stand on has.
  const { connection: core } = connection as unknown as { readonly connection: CoreConnection };
  const rows = core
    .query({
      sql: `select ${columns} from ${quoted(table.name)} order by ${order}`,
      rowsAsArray: true,
      typeCast: (field) => {
        const column = table.columns.find(({ name }) => name === field.name);
        return column?.form === "bytes" || column?.form === "photograph" ? field.buffer() : field.string();
      },
    })
    .stream({ highWaterMark: 100 });
  for await (const row of rows as AsyncIterable<(string | Buffer | null)[]>) yield rowLine(table, row, folder);
}

/**
 * Writes a whole farm into a folder: `manifest.json`, a file of JSON lines for each table, a file for each photograph. All as it was at one moment, while others write on.
 * @param write false to tell the manifest alone, for comparing
 */
export async function dumpFarm(databaseUrl: string, folder: string, now: Date, write = true): Promise<Manifest> {
  const connection = await createConnection({ uri: databaseUrl, timezone: "Z", charset: "utf8mb4" });
  try {
    await connection.query("set time_zone = '+00:00'");
    await connection.query("set transaction isolation level repeatable read");
    await connection.query("start transaction with consistent snapshot, read only");
    const log = await logPosition(connection);
    const tables: Record<string, { rows: number; sha256: string }> = {};
    if (write) {
      mkdirSync(path.join(folder, "tables"), { recursive: true });
      mkdirSync(path.join(folder, "photographs"), { recursive: true });
    }
    for (const table of await listTables(connection)) {
      const sha256 = createHash("sha256");
      let rows = 0;
      const file = write
        ? createWriteStream(path.join(folder, "tables", `${table.name}.jsonl`), { mode: 0o600 })
        : null;
      for await (const line of linesOf(connection, table, write ? folder : null)) {
        sha256.update(line);
        rows += 1;
        if (file && !file.write(line)) await once(file, "drain");
      }
      if (file) {
        file.end();
        await once(file, "finish");
      }
      tables[table.name] = { rows, sha256: sha256.digest("hex") };
    }
    const manifest: Manifest = {
      form: ARCHIVE_FORM,
      madeAt: now.toISOString(),
      migrations: await listMigrations(connection),
      ...log,
      tables,
    };
    if (write)
      writeFileSync(path.join(folder, "manifest.json"), `${JSON.stringify(manifest, null, 2)}\n`, { mode: 0o600 });
    return manifest;
  } finally {
    await connection.end();
  }
}
