import "server-only";
/** Rows of the season: what a farm says of it, and the plans that were taken. */
import type { PlanBody } from "@/core/plan/season";
import type { SeasonTerms } from "@/core/plan/farm";
import { insert, select, type Queryable } from "../db";

export interface KeptPlan {
  readonly id: number;
  /** Monday that its days are counted from. */
  readonly firstDay: string;
  readonly document: SeasonDocument;
  readonly actorName: string;
  readonly addedAt: Date;
}
/** What is kept of a plan: enough to plan again from, and to draw it. */
export interface SeasonDocument extends PlanBody {
  readonly score: { readonly unmet: number; readonly cost: number };
}
interface PlanRow {
  id: number;
  first_day: string;
  document: SeasonDocument | string;
  actor_name: string;
  added_at: Date;
}

/** The plan that stands: the last that was taken. */
export async function findSeasonPlan(db: Queryable): Promise<KeptPlan | null> {
  const [row] = await select<PlanRow>(
    db,
    `select kept.id, kept.first_day, kept.document, actor.name as actor_name, kept.added_at
     from season_plan kept join actor on actor.id = kept.actor_id order by kept.id desc limit 1`,
  );
  if (!row) return null;
  return {
    id: row.id,
    firstDay: row.first_day,
    document: typeof row.document === "string" ? (JSON.parse(row.document) as SeasonDocument) : row.document,
    actorName: row.actor_name,
    addedAt: row.added_at,
  };
}
export const insertSeasonPlan = (
  db: Queryable,
  plan: Pick<KeptPlan, "firstDay" | "document"> & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(db, "insert into season_plan (first_day, document, actor_id, added_at) values (?, ?, ?, ?)", [
    plan.firstDay,
    JSON.stringify(plan.document),
    plan.actorId,
    plan.addedAt,
  ]);

/** What the farm said last of its season; null where nobody did. */
export async function findSeasonTerms(db: Queryable): Promise<SeasonTerms | null> {
  const [row] = await select<{ hours_a_week: string; can_l: string; cans: number; weeks: number }>(
    db,
    "select hours_a_week, can_l, cans, weeks from season_terms order by id desc limit 1",
  );
  return row
    ? { hoursAWeek: Number(row.hours_a_week), canL: Number(row.can_l), cans: row.cans, weeks: row.weeks }
    : null;
}
export const insertSeasonTerms = (
  db: Queryable,
  terms: SeasonTerms & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into season_terms (hours_a_week, can_l, cans, weeks, actor_id, added_at) values (?, ?, ?, ?, ?, ?)",
    [terms.hoursAWeek, terms.canL, terms.cans, terms.weeks, terms.actorId, terms.addedAt],
  );
