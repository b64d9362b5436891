import "server-only";
import type { Residue, ResidueTo } from "@/core/recipe/residue";
import { insert, select, type Queryable } from "../db";

/** Something that a batch left, and where it went. */
export interface BatchResidue {
  readonly id: number;
  readonly what: Residue;
  readonly to: ResidueTo;
  readonly amount: number | null;
  readonly unit: "kg" | "L";
  readonly place: string;
  /** The lot that it is kept as; null where it is kept as none. */
  readonly lotId: number | null;
  readonly overrideReason: string | null;
  readonly at: Date;
  readonly actorName: string;
}

interface ResidueRow {
  id: number;
  what: Residue;
  went_to: ResidueTo;
  amount: string | null;
  unit: "kg" | "L";
  place: string;
  lot_id: number | null;
  override_reason: string | null;
  at: Date;
  actor_name: string;
}

/** What a batch left, as it stands: what was replaced, or was none, is left out. */
export const listResidues = async (db: Queryable, batchId: number): Promise<BatchResidue[]> =>
  (
    await select<ResidueRow>(
      db,
      `select residue.id, residue.what, residue.went_to, residue.amount, residue.unit, residue.place, residue.lot_id, residue.override_reason,
              residue.at, actor.name as actor_name
       from batch_residue residue join actor on actor.id = residue.actor_id
       left join batch_residue later on later.replaces_id = residue.id
       where residue.batch_id = ? and later.id is null and residue.is_none = 0 order by residue.at, residue.id`,
      [batchId],
    )
  ).map((row) => ({
    id: row.id,
    what: row.what,
    to: row.went_to,
    amount: row.amount === null ? null : Number(row.amount),
    unit: row.unit,
    place: row.place,
    lotId: row.lot_id,
    overrideReason: row.override_reason,
    at: row.at,
    actorName: row.actor_name,
  }));

export const insertResidue = (
  db: Queryable,
  batchId: number,
  residue: Omit<BatchResidue, "id" | "actorName"> & {
    readonly replacesId: number | null;
    readonly isNone: boolean;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(
    db,
    `insert into batch_residue (batch_id, what, went_to, amount, unit, place, lot_id, override_reason, replaces_id, is_none, at, actor_id, added_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      batchId,
      residue.what,
      residue.to,
      residue.amount === null ? null : residue.amount.toFixed(3),
      residue.unit,
      residue.place,
      residue.lotId,
      residue.overrideReason,
      residue.replacesId,
      residue.isNone ? 1 : 0,
      residue.at,
      residue.actorId,
      residue.addedAt,
    ],
  );
