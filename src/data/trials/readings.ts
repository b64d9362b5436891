import "server-only";
import type { MeasureKind } from "@/core/trial";
import { insert, places, select, type Queryable } from "../db";

/** What was measured, counted or scored of a plot or a strip of it. */
export interface Reading {
  readonly id: number;
  readonly plotId: number;
  readonly strip: number | null;
  readonly trialId: number | null;
  readonly kind: MeasureKind;
  readonly unit: string;
  readonly value: number;
  /** Plants, samples or pictures that it is the mean of. */
  readonly parts: readonly number[];
  readonly on: string;
  readonly isBlind: boolean;
  readonly isAgain: boolean;
  readonly note: string;
  readonly actorId: number;
  readonly by: string;
}
export type NewReading = Omit<Reading, "id" | "by" | "value"> & { readonly addedAt: Date };

interface Row {
  id: number;
  plot_id: number;
  strip: number | null;
  trial_id: number | null;
  kind: MeasureKind;
  unit: string;
  value: string;
  parts: string | number[];
  on_day: string;
  is_blind: number;
  is_again: number;
  note: string;
  actor_id: number;
  actor_name: string;
}
const SELECT = `
  select one.id, one.plot_id, one.strip, one.trial_id, one.kind, one.unit, one.value, one.parts, one.on_day, one.is_blind, one.is_again, one.note,
    one.actor_id, actor.name as actor_name
  from standing_reading one join actor on actor.id = one.actor_id`;

const toReading = (row: Row): Reading => ({
  ...{ id: row.id, plotId: row.plot_id, strip: row.strip, trialId: row.trial_id, kind: row.kind, unit: row.unit },
  value: Number(row.value),
  parts: typeof row.parts === "string" ? (JSON.parse(row.parts) as number[]) : row.parts,
  ...{ on: row.on_day, isBlind: row.is_blind === 1, isAgain: row.is_again === 1, note: row.note },
  ...{ actorId: row.actor_id, by: row.actor_name },
});

/** What was read of a plot outside of trials, the latest first. */
export const listReadingsOfPlot = async (db: Queryable, plotId: number): Promise<Reading[]> =>
  (
    await select<Row>(
      db,
      `${SELECT} where one.plot_id = ? and one.trial_id is null order by one.on_day desc, one.id desc`,
      [plotId],
    )
  ).map(toReading);

/** What was read in these trials, in the order in which it was written down. */
export async function listReadingsOfTrials(db: Queryable, trialIds: readonly number[]): Promise<Reading[]> {
  if (trialIds.length === 0) return [];
  const rows = await select<Row>(db, `${SELECT} where one.trial_id in (${places(trialIds)}) order by one.id`, [
    ...trialIds,
  ]);
  return rows.map(toReading);
}

export const insertReading = (db: Queryable, row: NewReading): Promise<number> =>
  insert(
    db,
    `insert into reading (plot_id, strip, trial_id, kind, unit, value, parts, on_day, is_blind, is_again, note, actor_id, added_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      ...[row.plotId, row.strip, row.trialId, row.kind, row.unit],
      row.parts.reduce((sum, one) => sum + one, 0) / row.parts.length,
      JSON.stringify(row.parts),
      ...[row.on, row.isBlind, row.isAgain, row.note, row.actorId, row.addedAt],
    ],
  );
