import "server-only";
import { insert, select, type Queryable } from "../db";

export interface PlanLine {
  readonly ingredientId: string;
  readonly part: "mix" | "cap";
  readonly amount: number;
  readonly onDay: number;
}

/** What was chosen beside the amount. */
export interface PlanChoice {
  readonly include: readonly string[];
  readonly stated: readonly { readonly ingredient: string; readonly amount: number }[];
  readonly substitutes: readonly { readonly instead: string; readonly use: string }[];
}

/** A batch that is meant for a day and has not begun. */
export interface Plan {
  readonly id: number;
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number | null;
  readonly vesselId: number | null;
  readonly vesselName: string | null;
  readonly name: string;
  readonly basisAmount: number;
  readonly choice: PlanChoice;
  readonly forDay: string;
  readonly note: string;
  readonly lines: readonly PlanLine[];
  /** The batch of the season's plan that it stands for; null where somebody meant it by hand. */
  readonly seasonBatch: string | null;
}

export type NewPlan = Omit<Plan, "id" | "vesselName"> & { readonly actorId: number; readonly addedAt: Date };

interface PlanRow {
  id: number;
  method_id: string;
  school_id: string;
  version_no: number | null;
  vessel_id: number | null;
  vessel_name: string | null;
  name: string;
  basis_amount: string;
  choice: string | PlanChoice;
  for_day: string;
  note: string;
  season_batch: string | null;
}

const SELECT_OPEN = `
  select plan.id, plan.method_id, plan.school_id, plan.version_no, plan.vessel_id, vessel.name as vessel_name, plan.name, plan.basis_amount, plan.choice,
         plan.for_day, plan.note, plan.season_batch
  from plan left join vessel on vessel.id = plan.vessel_id left join standing_plan_end plan_end on plan_end.plan_id = plan.id
  where plan_end.plan_id is null order by plan.for_day, plan.id`;
const SELECT_LINES = `
  select line.plan_id, line.ingredient_id, line.part, line.amount, line.on_day
  from plan_line line left join standing_plan_end plan_end on plan_end.plan_id = line.plan_id
  where plan_end.plan_id is null order by line.plan_id, line.line_no`;

/** Plans that have neither become a batch nor been given up, the soonest first. */
export async function listOpenPlans(db: Queryable): Promise<Plan[]> {
  const [rows, lines] = await Promise.all([
    select<PlanRow>(db, SELECT_OPEN),
    select<{ plan_id: number; ingredient_id: string; part: "mix" | "cap"; amount: string; on_day: number }>(
      db,
      SELECT_LINES,
    ),
  ]);
  return rows.map((row) => ({
    id: row.id,
    methodId: row.method_id,
    schoolId: row.school_id,
    versionNo: row.version_no,
    vesselId: row.vessel_id,
    vesselName: row.vessel_name,
    name: row.name,
    basisAmount: Number(row.basis_amount),
    choice: typeof row.choice === "string" ? (JSON.parse(row.choice) as PlanChoice) : row.choice,
    forDay: row.for_day,
    note: row.note,
    seasonBatch: row.season_batch,
    lines: lines
      .filter(({ plan_id }) => plan_id === row.id)
      .map((line) => ({
        ingredientId: line.ingredient_id,
        part: line.part,
        amount: Number(line.amount),
        onDay: line.on_day,
      })),
  }));
}

/** Locks a plan; null where there is none, `open` false where it ended. */
export async function lockPlan(db: Queryable, id: number): Promise<{ readonly open: boolean } | null> {
  const [row] = await select<{ id: number }>(db, "select id from plan where id = ? for update", [id]);
  if (!row) return null;
  const ended = await select(db, "select plan_id from standing_plan_end where plan_id = ?", [id]);
  return { open: ended.length === 0 };
}

export async function insertPlan(db: Queryable, plan: NewPlan): Promise<number> {
  const id = await insert(
    db,
    `insert into plan (method_id, school_id, version_no, vessel_id, name, basis_amount, choice, for_day, note, season_batch, actor_id, added_at)
     values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      plan.methodId,
      plan.schoolId,
      plan.versionNo,
      plan.vesselId,
      plan.name,
      plan.basisAmount,
      JSON.stringify(plan.choice),
      plan.forDay,
      plan.note,
      plan.seasonBatch,
      plan.actorId,
      plan.addedAt,
    ],
  );
  for (const [index, line] of plan.lines.entries())
    await insert(
      db,
      "insert into plan_line (plan_id, line_no, ingredient_id, part, amount, on_day) values (?, ?, ?, ?, ?, ?)",
      [id, index + 1, line.ingredientId, line.part, line.amount.toFixed(3), line.onDay],
    );
  return id;
}

export const insertPlanEnd = (
  db: Queryable,
  end: {
    readonly planId: number;
    readonly batchId: number | null;
    readonly note: string;
    readonly at: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(db, "insert into plan_end (plan_id, batch_id, note, at, actor_id) values (?, ?, ?, ?, ?)", [
    end.planId,
    end.batchId,
    end.note,
    end.at,
    end.actorId,
  ]);
