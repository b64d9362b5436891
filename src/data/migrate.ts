import "server-only";
import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { createConnection, type Connection, type RowDataPacket } from "mysql2/promise";
import { Umzug } from "umzug";

const CREATE_LEDGER = `
  create table if not exists migration (
    name varchar(80) not null primary key,
    sha256 char(64) character set ascii not null,
    started_at datetime(3) not null,
    finished_at datetime(3) null
  ) engine=innodb default charset=utf8mb4`;
const LOCK_WAIT_S = 60;

interface LedgerRow extends RowDataPacket {
  name: string;
  sha256: string;
  finished_at: Date | null;
}

const sha256 = (text: string) => createHash("sha256").update(text).digest("hex");

async function checkLedger(connection: Connection, texts: ReadonlyMap<string, string>): Promise<string[]> {
  const [rows] = await connection.query<LedgerRow[]>("select name, sha256, finished_at from migration order by name");
  for (const row of rows) {
    const text = texts.get(row.name);
    if (text === undefined) throw new Error(`This database was made by a newer Ruchka: it has migration ${row.name}.`);
    if (!row.finished_at)
      throw new Error(
        `Migration ${row.name} stopped half way. Restore the last backup, or finish it by hand and set finished_at.`,
      );
    if (sha256(text) !== row.sha256)
      throw new Error(`Migration ${row.name} was edited after it ran. Put the file back; changes go into a new one.`);
  }
  return rows.map(({ name }) => name);
}

/**
 * Brings a database up to date with the numbered SQL files, in order, one runner at a time.
 * @param to the last that is to run; all where none is named
 * @returns the names of the files that ran now
 * @throws Error for an edited file, one that stopped half way, or a database newer than the files
 */
export async function migrate(
  databaseUrl: string,
  folder = path.join(process.cwd(), "src/data/migrations"),
  to: string | null = null,
): Promise<string[]> {
  const texts = new Map(
    readdirSync(folder)
      .filter((file) => file.endsWith(".sql"))
      .toSorted()
      .map((file) => [file.replace(/\.sql$/, ""), readFileSync(path.join(folder, file), "utf8")]),
  );
  // Several statements at once only here, on a connection of its own that never sees user input.
  const connection = await createConnection({ uri: databaseUrl, multipleStatements: true, timezone: "Z" });
  try {
    const [[lock]] = await connection.query<RowDataPacket[]>(
      "select get_lock(concat(database(), '.migrate'), ?) as got",
      [LOCK_WAIT_S],
    );
    if (lock?.got !== 1)
      throw new Error("Another Ruchka is bringing this database up to date. Start again in a minute.");
    await connection.query(CREATE_LEDGER);
    const done = await checkLedger(connection, texts);
    const umzug = new Umzug({
      migrations: [...texts].map(([name, text]) => ({
        name,
        up: async () => {
          await connection.query("insert into migration (name, sha256, started_at) values (?, ?, utc_timestamp(3))", [
            name,
            sha256(text),
          ]);
          await connection.query(text);
        },
      })),
      storage: {
        executed: async () => done,
        logMigration: async ({ name }) =>
          void (await connection.query("update migration set finished_at = utc_timestamp(3) where name = ?", [name])),
        unlogMigration: async () => undefined,
      },
      logger: undefined,
    });
    if (to !== null && !texts.has(to)) throw new Error(`This was made by a newer Ruchka: it has migration ${to}.`);
    return (await umzug.up(to === null ? {} : { to })).map(({ name }) => name);
  } finally {
    await connection.end();
  }
}
