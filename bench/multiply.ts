import type { Database } from "../src/data/db";

/** Tables in the order of their references: which columns are ids, which are copied as they are. */
const COPIES: readonly (readonly [string, readonly string[], readonly string[]])[] = [
  ["vessel", ["id"], ["kind", "volume_l", "diameter_m", "site", "air_w", "sort_order", "added_at", "actor_id"]],
  [
    "lot",
    ["id"],
    [
      "ingredient_id",
      "unit",
      "origin",
      "received_on",
      "received",
      "cost_minor",
      "expires_on",
      "note",
      "actor_id",
      "added_at",
    ],
  ],
  [
    "batch",
    ["id", "vessel_id"],
    [
      "method_id",
      "school_id",
      "recipe",
      "filled_l",
      "basis_amount",
      "started_at",
      "stated_c",
      "labour_min",
      "power_w",
      "actor_id",
      "added_at",
    ],
  ],
  ["batch_line", ["batch_id"], ["line_no", "ingredient_id", "part", "unit", "planned", "used"]],
  ["stock_movement", ["id", "lot_id", "batch_id"], ["change_by", "kind", "at", "actor_id", "note"]],
  [
    "batch_entry",
    ["id", "batch_id", "corrects_id"],
    ["kind", "number_value", "word", "instrument", "spot", "note", "at", "actor_id", "added_at"],
  ],
  [
    "batch_close",
    ["batch_id"],
    [
      "kind",
      "at",
      "yield_l",
      "residue",
      "residue_kg",
      "labour_min",
      "verdict",
      "override_reason",
      "note",
      "actor_id",
      "added_at",
    ],
  ],
  ["vessel_cleaning", ["batch_id"], ["at", "actor_id"]],
  ["store", ["id", "batch_id"], ["label", "at_once", "place", "shelf_from", "expires_at"]],
  [
    "plot",
    ["id"],
    [
      "crop",
      "stage",
      "area_m2",
      "plants",
      "leaf_eaten",
      "harvest_on",
      "x_m",
      "y_m",
      "width_m",
      "length_m",
      "actor_id",
      "added_at",
    ],
  ],
  [
    "application",
    ["id", "store_id"],
    [
      "use_id",
      "parts_water",
      "mix_rate_l",
      "mix_rate_per",
      "tool_id",
      "mix_l",
      "concentrate_l",
      "loads",
      "labour_min",
      "override_reason",
      "at",
      "actor_id",
      "added_at",
    ],
  ],
  ["application_plot", ["application_id", "plot_id"], ["mix_l", "concentrate_l"]],
  ["store_movement", ["id", "store_id", "application_id"], ["change_by_l", "kind", "at", "actor_id", "note"]],
];

/** Copies every row of the demo farm so many times, each copy with ids of its own; references follow. Each batch begins a minute earlier than the last, so that no two forecasts are the same. */
export async function multiply(pool: Database, times: number): Promise<void> {
  const connection = await pool.getConnection();
  const [[{ greatest }]] = (await connection.query(
    "select greatest((select max(id) from vessel), (select max(id) from batch), (select max(id) from lot), (select max(id) from batch_entry), (select max(id) from store), (select max(id) from plot), (select max(id) from application), (select max(id) from stock_movement), (select max(id) from store_movement)) as greatest",
  )) as unknown as [[{ greatest: number }]];
  const step = Number(greatest) + 1;
  const named = new Set(["vessel", "plot"]);
  await connection.query("create temporary table copy_no (n int primary key)");
  await connection.query(
    `insert into copy_no values ${Array.from({ length: times - 1 }, (_, index) => `(${index + 1})`).join(",")}`,
  );
  for (const [table, ids, plain] of COPIES) {
    const columns = [...ids, ...(named.has(table) ? ["name"] : []), ...plain].join(", ");
    const values = [
      ...ids.map((id) => `original.${id} + copy_no.n * ${step}`),
      ...(named.has(table) ? ["concat(original.name, ' ', copy_no.n)"] : []),
      ...plain.map((column) =>
        table === "batch" && column === "started_at"
          ? "date_sub(original.started_at, interval copy_no.n minute)"
          : `original.${column}`,
      ),
    ].join(", ");
    // Copies in order of their number, so that a lot's receipts come before its draws and the ledger's guard is content.
    await connection.query(
      `insert into ${table} (${columns}) select ${values} from copy_no join (select * from ${table}) original order by copy_no.n, 1`,
    );
  }
  await connection.query(
    "analyze table vessel, lot, batch, batch_line, stock_movement, batch_entry, batch_close, store, plot, application, application_plot, store_movement",
  );
  connection.release();
}
