import "server-only";
import { insert, select, type Queryable } from "../db";

/** Why an entry was not taken: the role does not reach, it was another’s, or a steward handed it in. */
export const HELD_BECAUSE = ["may-not", "not-yours", "left"] as const;
export type HeldBecause = (typeof HELD_BECAUSE)[number];

/** An entry that waits for a steward. */
export interface HeldEntry {
  readonly id: number;
  readonly actName: string;
  readonly request: object;
  readonly said: string;
  readonly because: HeldBecause;
  readonly personName: string;
  readonly doneAt: Date;
  readonly heldAt: Date;
}

const SELECT_OPEN = `
  select held.id, held.act_name as actName, held.request, held.said, held.because, actor.name as personName, held.done_at as doneAt, held.held_at as heldAt
  from held_entry held join actor on actor.id = held.actor_id left join held_end ended on ended.held_id = held.id
  where ended.held_id is null`;
type Row = Omit<HeldEntry, "request"> & { readonly request: object | string };
const toHeld = (row: Row): HeldEntry => ({
  ...row,
  request: typeof row.request === "string" ? (JSON.parse(row.request) as object) : row.request,
});

/** Those that nobody has seen to, the oldest first. */
export const listHeld = async (db: Queryable): Promise<HeldEntry[]> =>
  (await select<Row>(db, `${SELECT_OPEN} order by held.done_at, held.id`)).map(toHeld);

export async function countHeld(db: Queryable): Promise<number> {
  const [row] = await select<{ n: number }>(
    db,
    "select count(*) as n from held_entry held left join held_end ended on ended.held_id = held.id where ended.held_id is null",
  );
  return Number(row!.n);
}

/** One of them, locked; null where there is none, or it was seen to. */
export async function lockHeld(db: Queryable, id: number): Promise<HeldEntry | null> {
  const [row] = await select<Row>(db, `${SELECT_OPEN} and held.id = ? for update`, [id]);
  return row ? toHeld(row) : null;
}

export const insertHeld = (
  db: Queryable,
  held: Pick<HeldEntry, "actName" | "request" | "said" | "because" | "doneAt" | "heldAt"> & {
    readonly actorId: number;
    readonly heldBy: number;
  },
): Promise<number> =>
  insert(
    db,
    "insert into held_entry (act_name, request, said, because, actor_id, done_at, held_by, held_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [
      held.actName,
      JSON.stringify(held.request),
      held.said,
      held.because,
      held.actorId,
      held.doneAt,
      held.heldBy,
      held.heldAt,
    ],
  );

/** Fails as a duplicate where it was seen to meanwhile. */
export const endHeld = (
  db: Queryable,
  heldId: number,
  outcome: "entered" | "dropped",
  by: { readonly actorId: number; readonly at: Date },
): Promise<number> =>
  insert(db, "insert into held_end (held_id, outcome, actor_id, at) values (?, ?, ?, ?)", [
    heldId,
    outcome,
    by.actorId,
    by.at,
  ]);
