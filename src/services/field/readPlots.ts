import "server-only";
import type { Queryable } from "@/data/db";
import { landMark, listPlots, type Plot } from "@/data/field";

interface Kept {
  readonly mark: string;
  readonly day: string;
  readonly plots: readonly Plot[];
}

const kept = new WeakMap<Queryable, Kept>();

/**
 * The plots as they stand on a day, with those that lie nowhere on the plan. Kept in this process until land or plantings move on, which the database
 * itself tells at every look: hundreds of outlines are read once a change, not once a look.
 */
export async function readPlots(db: Queryable, day: string): Promise<readonly Plot[]> {
  const mark = await landMark(db);
  const known = kept.get(db);
  if (known && known.mark === mark && known.day === day) return known.plots;
  const plots = await listPlots(db, day, false, null, true);
  // What was read may be newer than the mark: then the next look reads once more, which is right if not needed.
  kept.set(db, { mark, day, plots });
  return plots;
}
