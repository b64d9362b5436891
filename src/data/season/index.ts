import "server-only";
/** Rows of the season: what a farm says of it, and the plans that were taken. */
export { endFeeds, findFeedOwner, findFeedSince, insertFeed } from "./feeds";
import type { PlanBody } from "@/core/plan/season";
import type { SeasonTerms } from "@/core/plan/farm";
import { insert, select, type Queryable } from "../db";

export interface KeptPlan {
  readonly id: number;
  /** Monday that its days are counted from. */
  readonly firstDay: string;
  readonly document: SeasonDocument;
  readonly actorId: number;
  readonly actorName: string;
  readonly addedAt: Date;
}
/** What is kept of a plan: enough to plan again from, and to draw it. */
export interface SeasonDocument extends PlanBody {
  readonly score: { readonly unmet: number; readonly cost: number };
  /** Needs that it leaves out. */
  readonly unmet?: readonly string[];
}
interface PlanRow {
  id: number;
  first_day: string;
  document: SeasonDocument | string;
  actor_id: number;
  actor_name: string;
  added_at: Date;
}

const documentOf = (kept: PlanRow["document"]): SeasonDocument =>
  typeof kept === "string" ? (JSON.parse(kept) as SeasonDocument) : kept;

/** The plan that stands: the last that was taken. */
export async function findSeasonPlan(db: Queryable): Promise<KeptPlan | null> {
  const [row] = await select<PlanRow>(
    db,
    `select kept.id, kept.first_day, kept.document, kept.actor_id, actor.name as actor_name, kept.added_at
     from season_plan kept join actor on actor.id = kept.actor_id order by kept.id desc limit 1`,
  );
  if (!row) return null;
  return {
    id: row.id,
    firstDay: row.first_day,
    document: documentOf(row.document),
    actorId: row.actor_id,
    actorName: row.actor_name,
    addedAt: row.added_at,
  };
}
export const insertSeasonPlan = (
  db: Queryable,
  plan: Pick<KeptPlan, "firstDay" | "document" | "actorId" | "addedAt">,
): Promise<number> =>
  insert(db, "insert into season_plan (first_day, document, actor_id, added_at) values (?, ?, ?, ?)", [
    plan.firstDay,
    JSON.stringify(plan.document),
    plan.actorId,
    plan.addedAt,
  ]);

interface TermsRow {
  hours_a_week: string;
  can_l: string;
  cans: number;
  weeks: number;
  closed_weekdays: string | number[];
  hands: string | SeasonTerms["hands"][number][];
  forbidden: string | SeasonTerms["forbidden"][number][];
}
const listOf = <T>(kept: string | T[]): T[] => (typeof kept === "string" ? (JSON.parse(kept) as T[]) : kept);

/** A plan that the machine made and nobody took. */
export type ProposedPlan = Pick<KeptPlan, "id" | "firstDay" | "document"> & { readonly madeAt: Date };
/** The last that was proposed; null where a plan was taken since. */
export async function findSeasonProposal(db: Queryable): Promise<ProposedPlan | null> {
  const [row] = await select<Pick<PlanRow, "id" | "first_day" | "document"> & { made_at: Date }>(
    db,
    `select id, first_day, document, made_at from season_proposal
     where made_at > coalesce((select max(added_at) from season_plan), '1970-01-02') order by id desc limit 1`,
  );
  return row ? { id: row.id, firstDay: row.first_day, document: documentOf(row.document), madeAt: row.made_at } : null;
}
export const insertSeasonProposal = (
  db: Queryable,
  plan: Pick<ProposedPlan, "firstDay" | "document" | "madeAt">,
): Promise<number> =>
  insert(db, "insert into season_proposal (first_day, document, made_at) values (?, ?, ?)", [
    plan.firstDay,
    JSON.stringify(plan.document),
    plan.madeAt,
  ]);
/** Proposals are seldom looked at twice: only those of the last days stay. */
export const forgetProposals = (db: Queryable, before: Date): Promise<unknown> =>
  db.execute("delete from season_proposal where made_at < ?", [before]);

/** What the farm said last of its season; null where nobody did. */
export async function findSeasonTerms(db: Queryable): Promise<SeasonTerms | null> {
  const [row] = await select<TermsRow>(
    db,
    "select hours_a_week, can_l, cans, weeks, closed_weekdays, hands, forbidden from season_terms order by id desc limit 1",
  );
  return row
    ? {
        hoursAWeek: Number(row.hours_a_week),
        canL: Number(row.can_l),
        cans: row.cans,
        weeks: row.weeks,
        closedWeekdays: listOf<number>(row.closed_weekdays),
        hands: listOf<SeasonTerms["hands"][number]>(row.hands),
        forbidden: listOf<SeasonTerms["forbidden"][number]>(row.forbidden),
      }
    : null;
}
export const insertSeasonTerms = (
  db: Queryable,
  terms: SeasonTerms & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    `insert into season_terms (hours_a_week, can_l, cans, weeks, closed_weekdays, hands, forbidden, actor_id, added_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      terms.hoursAWeek,
      terms.canL,
      terms.cans,
      terms.weeks,
      ...[terms.closedWeekdays, terms.hands, terms.forbidden].map((list) => JSON.stringify(list)),
      terms.actorId,
      terms.addedAt,
    ],
  );
