import "server-only";
import type { Connection, RowDataPacket } from "mysql2/promise";

/** How a column's values stand in an archive. */
export type Form = "number" | "text" | "bytes" | "photograph";
export interface Column {
  readonly name: string;
  readonly form: Form;
  /** Whether the server says it with fewer figures than it holds. */
  readonly isShortened: boolean;
}
export interface Table {
  readonly name: string;
  readonly columns: readonly Column[];
  /** By which its rows are told in one order. */
  readonly key: readonly string[];
}

const NUMBERS = new Set(["tinyint", "smallint", "mediumint", "int", "bigint", "decimal", "float", "double"]);
/** What is bytes and short is a hash; what is long is a photograph, which goes as a file of its own. */
const formOf = (type: string): Form =>
  NUMBERS.has(type) ? "number" : type.endsWith("blob") ? "photograph" : type.endsWith("binary") ? "bytes" : "text";

/** What a farm keeps of itself elsewhere, or makes anew: the ledger of its schema, keys of writes that are done. */
const NOT_KEPT = ["migration"];

/** All tables of a database, in alphabetical order; columns that it works out itself are left out. */
export async function listTables(connection: Connection): Promise<Table[]> {
  const [columns] = await connection.query<RowDataPacket[]>(
    `select col.table_name as tableName, col.column_name as name, col.data_type as type, col.column_key = 'PRI' as isKey
     from information_schema.columns col join information_schema.tables tab on tab.table_schema = col.table_schema and tab.table_name = col.table_name
     where col.table_schema = database() and tab.table_type = 'BASE TABLE' and col.is_generated = 'NEVER'
     order by col.table_name, col.ordinal_position`,
  );
  const tables = new Map<string, { columns: Column[]; key: string[] }>();
  for (const { tableName, name, type, isKey } of columns as {
    tableName: string;
    name: string;
    type: string;
    isKey: number;
  }[]) {
    if (NOT_KEPT.includes(tableName)) continue;
    const table = tables.get(tableName) ?? { columns: [], key: [] };
    table.columns.push({ name, form: formOf(type), isShortened: type === "float" });
    if (Number(isKey) === 1) table.key.push(name);
    tables.set(tableName, table);
  }
  return [...tables].map(([name, table]) => ({ name, ...table }));
}

/** What has run of the schema, in order. */
export async function listMigrations(connection: Connection): Promise<string[]> {
  const [rows] = await connection.query<RowDataPacket[]>("select name from migration order by name");
  return (rows as { name: string }[]).map(({ name }) => name);
}
