/* eslint sql/sql-by-parameters: "off" -- tables and columns by their names as the database itself tells them, quoted */
import "server-only";
import { createHash } from "node:crypto";
import { createReadStream, existsSync, lstatSync, readFileSync } from "node:fs";
import path from "node:path";
import { createInterface } from "node:readline";
import { createConnection, type Connection, type RowDataPacket } from "mysql2/promise";
import { migrate } from "../migrate";
import { ARCHIVE_FORM, dumpFarm, type Manifest, type PhotographLine } from "./dump";
import { listTables, type Table } from "./tables";

/** Rows of one insert, and what they may weigh: photographs come by themselves. */
const CHUNK_ROWS = 200;
const CHUNK_CHARACTERS = 4_000_000;
const quoted = (name: string): string => `\`${name.replaceAll("`", "``")}\``;

/** What an archive says of itself. @throws Error, in words for whoever restores, where it is none or of another form */
export function readManifest(folder: string): Manifest {
  const file = path.join(folder, "manifest.json");
  if (!existsSync(file)) throw new Error("This is no archive of a farm: it has no manifest.json.");
  const manifest = JSON.parse(readFileSync(file, "utf8")) as Manifest;
  if (!(manifest.form >= 1 && manifest.form <= ARCHIVE_FORM))
    throw new Error(`This archive is of form ${manifest.form}; this Ruchka reads forms up to ${ARCHIVE_FORM}.`);
  return manifest;
}

async function requireEmpty(connection: Connection): Promise<void> {
  const [rows] = await connection.query<RowDataPacket[]>(
    "select table_name as name from information_schema.tables where table_schema = database()",
  );
  if (rows.length === 0) return;
  const [farms] = await connection
    .query<RowDataPacket[]>("select name from farm")
    .catch(() => [[]] as [RowDataPacket[]]);
  const farm = farms[0] as { name: string } | undefined;
  throw new Error(
    farm
      ? `There is a farm here already: ${farm.name}. An archive goes into an empty place: name another folder with RUCHKA_DATA.`
      : "There are tables here already. An archive goes into an empty place: name another folder with RUCHKA_DATA.",
  );
}

/** A photograph out of its file, as it was when it was written. @throws Error, in words, for one that is missing or broken */
function photographOf(folder: string, { file, sha256 }: PhotographLine): Buffer {
  const at = path.join(folder, file);
  if (!/^photographs\/[\w.-]+$/.test(file) || !existsSync(at) || !lstatSync(at).isFile())
    throw new Error(`The archive lacks its photograph ${file}.`);
  const bytes = readFileSync(at);
  if (createHash("sha256").update(bytes).digest("hex") !== sha256)
    throw new Error(`The archive's photograph ${file} was changed or is broken.`);
  return bytes;
}

function bound(
  value: unknown,
  form: Table["columns"][number]["form"],
  folder: string,
): string | number | Buffer | null {
  if (value === null || value === undefined) return null;
  if (form === "photograph" && typeof value === "object") return photographOf(folder, value as PhotographLine);
  return form === "bytes" || form === "photograph" ? Buffer.from(String(value), "base64") : (value as string | number);
}

async function loadTable(connection: Connection, folder: string, table: Table, wanted: Manifest["tables"][string]) {
  const file = path.join(folder, "tables", `${table.name}.jsonl`);
  if (!existsSync(file)) throw new Error(`The archive lacks its table ${table.name}.`);
  const sha256 = createHash("sha256");
  let chunk: (string | number | Buffer | null)[][] = [];
  let characters = 0;
  const flush = async () => {
    if (chunk.length === 0) return;
    await connection.query(
      `insert into ${quoted(table.name)} (${table.columns.map(({ name }) => quoted(name)).join(", ")}) values ?`,
      [chunk],
    );
    chunk = [];
    characters = 0;
  };
  for await (const line of createInterface({ input: createReadStream(file), crlfDelay: Infinity })) {
    sha256.update(`${line}\n`);
    const row = JSON.parse(line) as Record<string, unknown>;
    const values = table.columns.map(({ name, form }) => bound(row[name], form, folder));
    chunk.push(values);
    characters += line.length + values.reduce<number>((sum, one) => sum + (Buffer.isBuffer(one) ? one.length : 0), 0);
    if (chunk.length >= CHUNK_ROWS || characters > CHUNK_CHARACTERS) await flush();
  }
  await flush();
  if (sha256.digest("hex") !== wanted.sha256)
    throw new Error(`The archive's table ${table.name} was changed or is broken.`);
}

/** Whatever happens as rows are written must not happen again as they are written back. @returns puts them in place again */
async function withoutTriggers(connection: Connection): Promise<() => Promise<void>> {
  const [rows] = await connection.query<RowDataPacket[]>(
    "select trigger_name as name from information_schema.triggers where trigger_schema = database()",
  );
  const texts: string[] = [];
  for (const { name } of rows as { name: string }[]) {
    const [[made]] = await connection.query<RowDataPacket[]>(`show create trigger ${quoted(name)}`);
    // Without its maker: whoever restores owns it.
    texts.push(String(made!["SQL Original Statement"]).replace(/^CREATE DEFINER=\S+ /i, "CREATE "));
    await connection.query(`drop trigger ${quoted(name)}`);
  }
  return async () => {
    for (const text of texts) await connection.query(text);
  };
}

/**
 * Puts a farm from an archive's folder into an empty database: its schema as it was, its rows, then what has changed of the schema since.
 * Then it is read once more and held against what the archive says of itself.
 * @throws Error, in words for whoever restores, for a place that is not empty and an archive that is broken or from a newer Ruchka
 */
export async function loadFarm(databaseUrl: string, folder: string): Promise<Manifest> {
  const manifest = readManifest(folder);
  const connection = await createConnection({ uri: databaseUrl, timezone: "Z", charset: "utf8mb4" });
  try {
    await requireEmpty(connection);
    const last = manifest.migrations.at(-1);
    if (last === undefined) throw new Error("The archive does not say of which schema it is.");
    await migrate(databaseUrl, undefined, last);
    await connection.query("set time_zone = '+00:00', foreign_key_checks = 0, unique_checks = 0");
    const putBack = await withoutTriggers(connection);
    for (const table of await listTables(connection)) {
      const wanted = manifest.tables[table.name];
      if (!wanted) throw new Error(`The archive knows nothing of the table ${table.name}.`);
      await connection.query(`delete from ${quoted(table.name)}`);
      await loadTable(connection, folder, table, wanted);
    }
    await putBack();
  } finally {
    await connection.end();
  }
  requireSame(manifest, await dumpFarm(databaseUrl, folder, new Date(), false), manifest.form === ARCHIVE_FORM);
  await migrate(databaseUrl);
  return manifest;
}

/**
 * Holds what was read back against what the archive says.
 * @param toTheLetter false for an archive of an earlier form, whose lines are written otherwise: then the rows are counted
 * @throws Error naming the first table that differs
 */
export function requireSame(before: Manifest, after: Manifest, toTheLetter = true): void {
  for (const name of new Set([...Object.keys(before.tables), ...Object.keys(after.tables)])) {
    const [was, is] = [before.tables[name], after.tables[name]];
    if (toTheLetter ? was?.sha256 !== is?.sha256 : was?.rows !== is?.rows)
      throw new Error(
        `Table ${name} is not as it was: ${was?.rows ?? 0} rows in the archive, ${is?.rows ?? 0} read back.`,
      );
  }
}
