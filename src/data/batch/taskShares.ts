import "server-only";
import { insert, select, type Queryable } from "../db";

export type DaySlot = "morning" | "midday" | "evening";

/** Who does a task of a batch, and when in the day. */
export interface TaskShare {
  readonly batchId: number;
  readonly act: string;
  readonly personId: number | null;
  readonly personName: string | null;
  readonly slot: DaySlot | null;
}

const INSERT = "insert into task_share (batch_id, act, person_id, slot, at, actor_id) values (?, ?, ?, ?, ?, ?)";
const SELECT_OF_RUNNING = `
  select share.batch_id, share.act, share.person_id, person.name as person_name, share.slot
  from task_share share
  left join task_share later on later.batch_id = share.batch_id and later.act = share.act and later.id > share.id
  left join actor person on person.id = share.person_id
  left join standing_close done on done.batch_id = share.batch_id
  where later.id is null and done.batch_id is null`;

export const insertTaskShare = (
  db: Queryable,
  share: Omit<TaskShare, "personName"> & { readonly at: Date; readonly actorId: number },
): Promise<number> =>
  insert(db, INSERT, [share.batchId, share.act, share.personId, share.slot, share.at, share.actorId]);

export async function listTaskShares(db: Queryable): Promise<TaskShare[]> {
  const rows = await select<{
    batch_id: number;
    act: string;
    person_id: number | null;
    person_name: string | null;
    slot: DaySlot | null;
  }>(db, SELECT_OF_RUNNING);
  return rows.map((row) => ({
    batchId: row.batch_id,
    act: row.act,
    personId: row.person_id,
    personName: row.person_name,
    slot: row.slot,
  }));
}
