import "server-only";
import type { Placement } from "@/core/trial";
import type { Joining, TrialTerms, TrialUnit } from "@/core/trial/farm";
import { groupBy } from "@/core/groupBy";
import { insert, places, select, type Queryable } from "../db";

/** What a draw is kept as: enough to show it again, and to see that it was not chosen. */
export interface DrawDocument {
  readonly units: readonly TrialUnit[];
  /** How they were asked for: drawn again, neighbours are looked for in the same way. */
  readonly joining: Joining;
  readonly placement: Placement;
}
export type EntryKind = "applied" | "left-out" | "confounder" | "guesses" | "look" | "opened" | "stopped" | "resumed";
export interface TrialEntry {
  readonly id: number;
  readonly kind: EntryKind;
  readonly on: string;
  readonly document: unknown;
  readonly actorId: number;
  readonly actorName: string;
  readonly addedAt: Date;
}
export interface TrialRow {
  readonly id: number;
  readonly actorId: number;
  readonly actorName: string;
  readonly addedAt: Date;
  /** All that was said of it, the first first. */
  readonly terms: readonly { readonly document: TrialTerms; readonly addedAt: Date }[];
  readonly draws: readonly {
    readonly roundNo: number;
    readonly decidingOn: string;
    readonly document: DrawDocument;
    readonly reason: string;
    readonly actorId: number;
    readonly actorName: string;
    readonly addedAt: Date;
  }[];
  readonly entries: readonly TrialEntry[];
}
const parsed = <T>(kept: T | string): T => (typeof kept === "string" ? (JSON.parse(kept) as T) : kept);

interface Part {
  trial_id: number;
  actor_id: number;
  actor_name: string;
  added_at: Date;
}

/** These trials with all that was said, drawn and noted of them, the newest first. */
export async function listTrialRows(db: Queryable, ids: readonly number[]): Promise<TrialRow[]> {
  if (ids.length === 0) return [];
  const [trials, terms, draws, entries] = await Promise.all([
    select<Part & { id: number }>(
      db,
      `select trial.id, trial.id as trial_id, trial.actor_id, actor.name as actor_name, trial.added_at from trial
       join actor on actor.id = trial.actor_id where trial.id in (${places(ids)}) order by trial.id desc`,
      [...ids],
    ),
    select<Part & { document: TrialTerms | string }>(
      db,
      `select trial_id, document, added_at from trial_terms where trial_id in (${places(ids)}) order by id`,
      [...ids],
    ),
    select<Part & { round_no: number; deciding_on: string; document: DrawDocument | string; reason: string }>(
      db,
      `select draw.trial_id, draw.round_no, draw.deciding_on, draw.document, draw.reason, draw.actor_id, actor.name as actor_name, draw.added_at
       from trial_draw draw join actor on actor.id = draw.actor_id where draw.trial_id in (${places(ids)}) order by draw.id`,
      [...ids],
    ),
    select<Part & { id: number; kind: EntryKind; on_day: string; document: unknown }>(
      db,
      `select entry.id, entry.trial_id, entry.kind, entry.on_day, entry.document, entry.actor_id, actor.name as actor_name, entry.added_at
       from standing_trial_entry entry join actor on actor.id = entry.actor_id where entry.trial_id in (${places(ids)}) order by entry.id`,
      [...ids],
    ),
  ]);
  const [termsOf, drawsOf, entriesOf] = [terms, draws, entries].map((rows) =>
    groupBy<Part, number>(rows, ({ trial_id }) => trial_id),
  ) as [Map<number, typeof terms>, Map<number, typeof draws>, Map<number, typeof entries>];
  return trials.map((trial) => ({
    ...{ id: trial.id, actorId: trial.actor_id, actorName: trial.actor_name, addedAt: trial.added_at },
    terms: (termsOf.get(trial.id) ?? []).map((row) => ({ document: parsed(row.document), addedAt: row.added_at })),
    draws: (drawsOf.get(trial.id) ?? []).map((row) => ({
      ...{ roundNo: row.round_no, decidingOn: row.deciding_on, document: parsed(row.document), reason: row.reason },
      ...{ actorId: row.actor_id, actorName: row.actor_name, addedAt: row.added_at },
    })),
    entries: (entriesOf.get(trial.id) ?? []).map((row) => ({
      ...{ id: row.id, kind: row.kind, on: row.on_day, document: parsed(row.document) },
      ...{ actorId: row.actor_id, actorName: row.actor_name, addedAt: row.added_at },
    })),
  }));
}
export const findTrial = async (db: Queryable, id: number): Promise<TrialRow | null> =>
  (await listTrialRows(db, [id]))[0] ?? null;

/** All trials, the newest first. */
export const listTrialIds = async (db: Queryable): Promise<number[]> =>
  (await select<{ id: number }>(db, "select id from trial order by id desc")).map(({ id }) => id);

/** Holds a trial to the end of the transaction: nothing else is drawn or noted of it meanwhile. @returns whether there is one */
export const lockTrial = async (db: Queryable, id: number): Promise<boolean> =>
  (await select(db, "select id from trial where id = ? for update", [id])).length > 0;

/** What an entry is, held to the end of the transaction; null where there is none. */
export async function findTrialEntryKind(db: Queryable, id: number): Promise<EntryKind | null> {
  const [row] = await select<{ kind: EntryKind }>(db, "select kind from trial_entry where id = ? for update", [id]);
  return row?.kind ?? null;
}

interface Written {
  readonly actorId: number;
  readonly addedAt: Date;
}
export const insertTrial = (db: Queryable, { actorId, addedAt }: Written): Promise<number> =>
  insert(db, "insert into trial (actor_id, added_at) values (?, ?)", [actorId, addedAt]);

export const insertTrialTerms = (
  db: Queryable,
  row: Written & { readonly trialId: number; readonly terms: TrialTerms },
): Promise<number> =>
  insert(db, "insert into trial_terms (trial_id, document, actor_id, added_at) values (?, ?, ?, ?)", [
    row.trialId,
    JSON.stringify(row.terms),
    row.actorId,
    row.addedAt,
  ]);

export const insertTrialDraw = (
  db: Queryable,
  row: Written & {
    readonly trialId: number;
    readonly roundNo: number;
    readonly decidingOn: string;
    readonly document: DrawDocument;
    readonly reason: string;
  },
): Promise<number> =>
  insert(
    db,
    "insert into trial_draw (trial_id, round_no, deciding_on, document, reason, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)",
    [row.trialId, row.roundNo, row.decidingOn, JSON.stringify(row.document), row.reason, row.actorId, row.addedAt],
  );

export const insertTrialEntry = (
  db: Queryable,
  row: Written & {
    readonly trialId: number;
    readonly kind: EntryKind;
    readonly on: string;
    readonly document: object;
  },
): Promise<number> =>
  insert(
    db,
    "insert into trial_entry (trial_id, kind, on_day, document, actor_id, added_at) values (?, ?, ?, ?, ?, ?)",
    [row.trialId, row.kind, row.on, JSON.stringify(row.document), row.actorId, row.addedAt],
  );
