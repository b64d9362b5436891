import "server-only";
import type { UseId } from "@/core/book/uses";
import { insert, places, select, type Queryable } from "../db";

export const PATCH_RESULTS = ["clear", "marked", "dropped"] as const;
export type PatchResult = (typeof PATCH_RESULTS)[number];

/** A few leaves that were treated before the rest. */
export interface PatchTestRow {
  readonly id: number;
  readonly batchId: number;
  readonly plotId: number;
  readonly plotName: string;
  readonly use: UseId;
  readonly partsWater: number;
  readonly at: Date;
  readonly by: string;
  /** What it showed, by the latest look; null while nobody has looked. */
  readonly result: Exclude<PatchResult, "dropped"> | null;
  readonly note: string;
}

interface TestRow {
  id: number;
  batchId: number;
  plotId: number;
  plotName: string;
  use: UseId;
  partsWater: number;
  at: Date;
  actorName: string;
  result: PatchResult | null;
  note: string | null;
}

const SELECT = `select test.id, test.batch_id as batchId, test.plot_id as plotId, plot.name as plotName, test.use_id as \`use\`,
    test.parts_water as partsWater, test.at, actor.name as actorName, look.result, look.note
  from patch_test test join plot on plot.id = test.plot_id join actor on actor.id = test.actor_id
  left join patch_look look on look.id = (select max(latest.id) from standing_patch_look latest where latest.patch_test_id = test.id)`;

const toTest = ({ actorName, result, note, partsWater, ...row }: TestRow): PatchTestRow => ({
  ...row,
  partsWater: Number(partsWater),
  by: actorName,
  result: result === "dropped" ? null : result,
  note: note ?? "",
});

/** Patch tests of batches, the newest first; those that were dropped are left out. */
export async function listPatchTests(db: Queryable, batchIds: readonly number[]): Promise<PatchTestRow[]> {
  if (batchIds.length === 0) return [];
  const rows = await select<TestRow>(
    db,
    `${SELECT} where test.batch_id in (${places(batchIds)}) and coalesce(look.result, '') <> 'dropped' order by test.id desc`,
    [...batchIds],
  );
  return rows.map(toTest);
}

/** Locks a test for a look at it. */
export const lockPatchTest = async (db: Queryable, id: number): Promise<boolean> =>
  (await select(db, "select id from patch_test where id = ? for update", [id])).length > 0;

export const insertPatchTest = (
  db: Queryable,
  test: {
    readonly batchId: number;
    readonly plotId: number;
    readonly useId: UseId;
    readonly partsWater: number;
    readonly at: Date;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(
    db,
    "insert into patch_test (batch_id, plot_id, use_id, parts_water, at, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)",
    [test.batchId, test.plotId, test.useId, test.partsWater, test.at, test.actorId, test.addedAt],
  );

export const insertPatchLook = (
  db: Queryable,
  look: {
    readonly testId: number;
    readonly result: PatchResult;
    readonly note: string;
    readonly at: Date;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(db, "insert into patch_look (patch_test_id, result, note, at, actor_id, added_at) values (?, ?, ?, ?, ?, ?)", [
    look.testId,
    look.result,
    look.note,
    look.at,
    look.actorId,
    look.addedAt,
  ]);
