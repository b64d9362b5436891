import "server-only";
import { insert, select, type Queryable } from "../db";

/** How the farm gets an ingredient. */
export interface SupplyTerms {
  readonly itemId: string;
  readonly packName: string;
  readonly packAmount: number;
  readonly packCostMinor: number | null;
  readonly leadD: number;
  readonly reorderAt: number | null;
  readonly target: number | null;
  readonly note: string;
}

interface SupplyRow {
  item_id: string;
  pack_name: string;
  pack_amount: string;
  pack_cost_minor: string | null;
  lead_d: number;
  reorder_at: string | null;
  target: string | null;
  note: string;
}

const numberOrNull = (text: string | null) => (text === null ? null : Number(text));
const SELECT_LATEST = `
  select item_id, pack_name, pack_amount, pack_cost_minor, lead_d, reorder_at, target, note
  from supply where id in (select max(id) from supply group by item_id)`;

/** The latest terms of each ingredient. */
export const listSupplyTerms = async (db: Queryable): Promise<SupplyTerms[]> =>
  (await select<SupplyRow>(db, SELECT_LATEST)).map((row) => ({
    itemId: row.item_id,
    packName: row.pack_name,
    packAmount: Number(row.pack_amount),
    packCostMinor: numberOrNull(row.pack_cost_minor),
    leadD: row.lead_d,
    reorderAt: numberOrNull(row.reorder_at),
    target: numberOrNull(row.target),
    note: row.note,
  }));

export const insertSupplyTerms = (
  db: Queryable,
  terms: SupplyTerms & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    `insert into supply (item_id, pack_name, pack_amount, pack_cost_minor, lead_d, reorder_at, target, note, actor_id, added_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      terms.itemId,
      terms.packName,
      terms.packAmount,
      terms.packCostMinor,
      terms.leadD,
      terms.reorderAt,
      terms.target,
      terms.note,
      terms.actorId,
      terms.addedAt,
    ],
  );
