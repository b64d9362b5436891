import "server-only";
import { insert, select, type Queryable } from "../db";

/** How somebody arranged a task: for whom, and until when it is put off. */
export interface ArrangedTask {
  readonly taskKey: string;
  readonly personId: number | null;
  readonly personName: string | null;
  readonly untilAt: Date | null;
  readonly reason: string;
  readonly actorName: string;
}

const NEWEST = `
  select arranged.task_key, arranged.person_id, person.name as person_name, arranged.until_at, arranged.reason, actor.name as actor_name
  from task_arranged arranged
  join (select max(id) as id from task_arranged where at > ? group by task_key) newest on newest.id = arranged.id
  join actor on actor.id = arranged.actor_id
  left join actor person on person.id = arranged.person_id`;

/** What was arranged since a moment; older tasks are over. */
export async function listArranged(db: Queryable, since: Date): Promise<ArrangedTask[]> {
  const rows = await select<{
    task_key: string;
    person_id: number | null;
    person_name: string | null;
    until_at: Date | null;
    reason: string;
    actor_name: string;
  }>(db, NEWEST, [since]);
  return rows.map((row) => ({
    taskKey: row.task_key,
    personId: row.person_id,
    personName: row.person_name,
    untilAt: row.until_at,
    reason: row.reason,
    actorName: row.actor_name,
  }));
}

export const insertArranged = (
  db: Queryable,
  arranged: Pick<ArrangedTask, "taskKey" | "personId" | "untilAt" | "reason"> & {
    readonly at: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(
    db,
    "insert into task_arranged (task_key, person_id, until_at, reason, at, actor_id) values (?, ?, ?, ?, ?, ?)",
    [arranged.taskKey, arranged.personId, arranged.untilAt, arranged.reason, arranged.at, arranged.actorId],
  );
