import "server-only";
import type { Carried, HarvestRule } from "@/core/safety/carried";
import { insert, select, type Queryable } from "../db";

export interface FarmRule extends HarvestRule {
  /** Whose rule it is: the certifier's, the code's. */
  readonly source: string;
}

const SELECT_LATEST = `
  select hazard, touching_d, clear_d, source from harvest_rule
  where id in (select max(id) from standing_harvest_rule group by hazard)`;

/** The farm's own rules as they stand. */
export const listHarvestRules = async (db: Queryable): Promise<FarmRule[]> =>
  (await select<{ hazard: Carried; touching_d: number; clear_d: number; source: string }>(db, SELECT_LATEST)).map(
    (row) => ({ hazard: row.hazard, touchingD: row.touching_d, clearD: row.clear_d, source: row.source }),
  );

export const insertHarvestRule = (
  db: Queryable,
  rule: FarmRule & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into harvest_rule (hazard, touching_d, clear_d, source, actor_id, added_at) values (?, ?, ?, ?, ?, ?)",
    [rule.hazard, rule.touchingD, rule.clearD, rule.source, rule.actorId, rule.addedAt],
  );
