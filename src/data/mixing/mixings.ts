import "server-only";
import type { MixEntry } from "@/core/mixing/progress";
import { insert, select, type Queryable } from "../db";

/** A fill that is being done step by step. `fill` is what the fill panel asked for, with its lines. */
export interface Mixing<Fill> {
  readonly id: number;
  readonly vesselId: number;
  readonly planId: number | null;
  readonly fill: Fill;
  readonly startedAt: Date;
  readonly actorName: string;
  readonly end: { readonly batchId: number | null; readonly at: Date } | null;
}

interface MixingRow {
  id: number;
  vessel_id: number;
  plan_id: number | null;
  fill: unknown;
  started_at: Date;
  actor_name: string;
  end_at: Date | null;
  end_batch_id: number | null;
}

const SELECT = `
  select mixing.id, mixing.vessel_id, mixing.plan_id, mixing.fill, mixing.started_at, actor.name as actor_name, mixing_end.at as end_at,
         mixing_end.batch_id as end_batch_id
  from mixing join actor on actor.id = mixing.actor_id left join standing_mixing_end mixing_end on mixing_end.mixing_id = mixing.id`;

const toMixing = <Fill>(row: MixingRow): Mixing<Fill> => ({
  id: row.id,
  vesselId: row.vessel_id,
  planId: row.plan_id,
  fill: (typeof row.fill === "string" ? JSON.parse(row.fill) : row.fill) as Fill,
  startedAt: row.started_at,
  actorName: row.actor_name,
  end: row.end_at === null ? null : { batchId: row.end_batch_id, at: row.end_at },
});

export async function findMixing<Fill>(db: Queryable, id: number): Promise<Mixing<Fill> | null> {
  const [row] = await select<MixingRow>(db, `${SELECT} where mixing.id = ?`, [id]);
  return row ? toMixing<Fill>(row) : null;
}

/** Locks a mixing, so that two devices tick one after the other. */
export async function lockMixing<Fill>(db: Queryable, id: number): Promise<Mixing<Fill> | null> {
  await select(db, "select id from mixing where id = ? for update", [id]);
  return findMixing<Fill>(db, id);
}

/** Mixings that have not ended, the oldest first. */
export const listOpenMixings = async <Fill>(db: Queryable): Promise<Mixing<Fill>[]> =>
  (await select<MixingRow>(db, `${SELECT} where mixing_end.mixing_id is null order by mixing.id`)).map((row) =>
    toMixing<Fill>(row),
  );

export const insertMixing = (
  db: Queryable,
  mixing: {
    readonly vesselId: number;
    readonly planId: number | null;
    readonly fill: object;
    readonly startedAt: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(db, "insert into mixing (vessel_id, plan_id, fill, started_at, actor_id) values (?, ?, ?, ?, ?)", [
    mixing.vesselId,
    mixing.planId,
    JSON.stringify(mixing.fill),
    mixing.startedAt,
    mixing.actorId,
  ]);

const SELECT_ENTRIES = `
  select entry.step_key, entry.kind, entry.amount, entry.answer, entry.at, actor.name as actor_name
  from mixing_entry entry join actor on actor.id = entry.actor_id where entry.mixing_id = ? order by entry.id`;

export const listMixEntries = async (db: Queryable, mixingId: number): Promise<MixEntry[]> =>
  (
    await select<{
      step_key: string;
      kind: MixEntry["kind"];
      amount: string | null;
      answer: string | null;
      at: Date;
      actor_name: string;
    }>(db, SELECT_ENTRIES, [mixingId])
  ).map((row) => ({
    stepKey: row.step_key,
    kind: row.kind,
    amount: row.amount === null ? null : Number(row.amount),
    answer: row.answer,
    atMs: row.at.getTime(),
    actorName: row.actor_name,
  }));

export const insertMixEntry = (
  db: Queryable,
  entry: {
    readonly mixingId: number;
    readonly stepKey: string;
    readonly kind: MixEntry["kind"];
    readonly amount: number | null;
    readonly answer: string | null;
    readonly at: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(
    db,
    "insert into mixing_entry (mixing_id, step_key, kind, amount, answer, at, actor_id) values (?, ?, ?, ?, ?, ?, ?)",
    [entry.mixingId, entry.stepKey, entry.kind, entry.amount, entry.answer, entry.at, entry.actorId],
  );

export const insertMixingEnd = (
  db: Queryable,
  end: {
    readonly mixingId: number;
    readonly batchId: number | null;
    readonly note: string;
    readonly at: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(db, "insert into mixing_end (mixing_id, batch_id, note, at, actor_id) values (?, ?, ?, ?, ?)", [
    end.mixingId,
    end.batchId,
    end.note,
    end.at,
    end.actorId,
  ]);
