import type { Database } from "../src/data/db";

/** What a copy of the farm's rows takes along, parents before their children. */
const OF_A_BATCH = [
  "batch",
  "batch_line",
  "lot",
  "batch_entry",
  "stock_movement",
  "batch_close",
  "batch_residue",
  "vessel_cleaning",
  "store",
  "application",
  "application_plot",
  "store_movement",
] as const;
const ALL = ["vessel", "plot", "planting", "plot_shape", ...OF_A_BATCH] as const;
/** Days between one copy of the finished batches and the next: the demo has four of them, a small farm fills a vessel about every five days. */
const APART_D = 18;
const COPIES_A_SEASON = 20;

interface Column {
  readonly table: string;
  readonly name: string;
  readonly isTime: boolean;
  readonly counts: boolean;
  /** Table whose numbers stand in it. */
  readonly of: string | null;
}
interface Copy {
  /** Which numbers a copy has: original + n × step. */
  readonly step: number;
  readonly times: number;
  readonly tables: readonly string[];
  /** Rows that are copied, beside that all they name is copied as well. */
  readonly only?: Readonly<Record<string, string>>;
  /** SQL for a moment of copy n. */
  readonly moved: (column: string, name: string) => string;
}

type Connection = Awaited<ReturnType<Database["getConnection"]>>;
const asked = async <Row>(db: Connection, sql: string): Promise<Row[]> =>
  ((await db.query(sql)) as unknown as [Row[]])[0];

/** Every column of every table with what it refers to, as the database has it now: what a migration adds is copied as well. */
async function columnsOf(db: Connection): Promise<Column[]> {
  const references = await asked<{ t: string; c: string; of: string }>(
    db,
    "select table_name as t, column_name as c, referenced_table_name as of from information_schema.key_column_usage where table_schema = database() and referenced_table_name is not null",
  );
  const of = new Map(references.map((one) => [`${one.t}.${one.c}`, one.of === "batch_close" ? "batch" : one.of]));
  const columns = await asked<{ t: string; c: string; type: string; extra: string; generated: string }>(
    db,
    "select c.table_name as t, c.column_name as c, data_type as type, extra, is_generated as generated from information_schema.columns c join information_schema.tables using (table_schema, table_name) where table_schema = database() and table_type = 'BASE TABLE' order by c.table_name, ordinal_position",
  );
  return columns
    .filter(({ generated }) => generated === "NEVER")
    .map(({ t, c, type, extra }) => ({
      table: t,
      name: c,
      isTime: type === "datetime" || type === "date",
      counts: extra.includes("auto_increment"),
      // A close that something names by its batch is named by the batch's number.
      of: of.get(`${t}.${c}`) ?? null,
    }));
}

async function greatestId(db: Connection, columns: readonly Column[], tables: readonly string[]): Promise<number> {
  const counting = columns.filter(({ table, counts }) => counts && tables.includes(table));
  const found = await asked<{ n: number | null }>(
    db,
    counting.map(({ table, name }) => `select max(${name}) as n from ${table}`).join(" union all "),
  );
  return Math.max(0, ...found.map(({ n }) => Number(n)));
}

async function copy(db: Connection, columns: readonly Column[], { step, times, tables, only, moved }: Copy) {
  await db.query("create or replace temporary table copy_no (n int primary key)");
  await db.query("insert into copy_no values ?", [Array.from({ length: times }, (_, index) => [index + 1])]);
  const isNumbered = (column: Column): boolean => column.counts || (column.of !== null && tables.includes(column.of));
  const kept: string[] = [];
  for (const table of tables) {
    const own = columns.filter((column) => column.table === table);
    const named = own.filter(({ of, name }) => of !== null && kept.includes(of) && name !== "corrects_id");
    const where = [
      only?.[table] ?? "true",
      ...named.map(({ name, of }) => `(${name} is null or ${name} in (select id from kept_${of}))`),
    ].join(" and ");
    await db.query(`create or replace temporary table kept_row as select * from ${table} where ${where}`);
    if (own.some(({ counts }) => counts)) {
      await db.query(`create or replace temporary table kept_${table} as select id from kept_row`);
      kept.push(table);
    }
    const values = own.map((column) => {
      const original = `kept_row.${column.name}`;
      if (isNumbered(column)) return `${original} + copy_no.n * ${step}`;
      if (column.isTime) return moved(original, column.name);
      return column.name === "name" ? `concat(${original}, ' ', copy_no.n)` : original;
    });
    // In order of the copies, so that a lot's receipts come before its draws and the ledger's guard is content.
    await db.query(
      `insert into ${table} (${own.map(({ name }) => name).join(", ")}) select ${values.join(", ")} from copy_no join kept_row order by copy_no.n, kept_row.${own[0]!.name}`,
    );
  }
  await db.query(`analyze table ${tables.join(", ")}`);
}

async function withConnection(pool: Database, work: (db: Connection) => Promise<void>): Promise<void> {
  const db = await pool.getConnection();
  try {
    await work(db);
  } finally {
    db.release();
  }
}

/** Copies every row of the demo farm so many times, each copy with numbers of its own. Each batch begins a minute earlier than the last, so that no two forecasts are the same. */
export async function multiply(pool: Database, times: number): Promise<void> {
  await withConnection(pool, async (db) => {
    const columns = await columnsOf(db);
    await copy(db, columns, {
      step: (await greatestId(db, columns, ALL)) + 1,
      times: times - 1,
      tables: ALL,
      moved: (column, name) => (name === "started_at" ? `date_sub(${column}, interval copy_no.n minute)` : column),
    });
  });
}

/**
 * Gives the demo farm so many seasons behind it: its finished batches with all that went in and came of them, again and again in the same vessels and on the same plots,
 * each time some weeks earlier. What is left of that time is counted out, so that the shed looks as it did.
 */
export async function tellSeasons(pool: Database, seasons: number): Promise<void> {
  await withConnection(pool, async (db) => {
    const columns = await columnsOf(db);
    const tables: readonly string[] = OF_A_BATCH;
    const step = (await greatestId(db, columns, tables)) + 1;
    const times = seasons * COPIES_A_SEASON;
    const finished = "select batch_id from standing_close";
    await copy(db, columns, {
      step,
      times,
      tables,
      only: { batch: `id in (${finished})` },
      moved: (column) => `date_sub(${column}, interval (${times} - copy_no.n + 1) * ${APART_D} day)`,
    });
    // The newest has the highest number: what runs now is moved behind the copies.
    const last = (times + 1) * step;
    await db.query("set foreign_key_checks = 0");
    for (const column of columns.filter(({ table, counts, of }) =>
      counts ? tables.includes(table) : of !== null && tables.includes(of),
    ))
      await db.query(
        `update ${column.table} set ${column.name} = ${column.name} + ${last} where ${column.name} < ${step} order by ${column.name} desc`,
      );
    await db.query("set foreign_key_checks = 1");
    // Gathered apart first: the guards on both ledgers read what a statement that writes to them may not.
    for (const [table, rest, line] of [
      [
        "stock_movement",
        "select lot_id, -on_hand, 'counted', date_add(received_on, interval 60 day), actor_id from lot_balance join lot on lot.id = lot_id where on_hand > 0 and lot_id between ? and ?",
        "lot_id, change_by, kind, at, actor_id",
      ],
      [
        "store_movement",
        "select store.id, -sum(change_by_l), 'poured', expires_at, max(actor_id) from store join store_movement on store_id = store.id where store.id between ? and ? group by store.id having sum(change_by_l) > 0",
        "store_id, change_by_l, kind, at, actor_id",
      ],
    ] as const) {
      await db.query(`create or replace temporary table rest_row as ${rest}`, [step, last - 1]);
      await db.query(`insert into ${table} (${line}) select * from rest_row`);
    }
  });
}
