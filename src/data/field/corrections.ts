import "server-only";
import type { BroughtAmounts } from "@/core/apply/brought";
import { insert, places, select, type Queryable } from "../db";
import type { WeatherThen } from "./applications";

/** An application as far as taking it back asks of it. */
export interface StandingApplication {
  readonly id: number;
  readonly storeId: number;
  readonly concentrateL: number;
  readonly at: Date;
  /** When it was written down. */
  readonly addedAt: Date;
  /** What a litre brought, g; null for what went on before that was kept. */
  readonly brings: BroughtAmounts | null;
  readonly plots: readonly { readonly plotId: number; readonly concentrateL: number }[];
}

/** An application with what was in the can with it, as far as they stand; none where there is none, or it is taken back already. */
export async function listStandingOfBlend(db: Queryable, id: number): Promise<StandingApplication[]> {
  const rows = await select<{
    id: number;
    store_id: number;
    concentrate_l: string;
    at: Date;
    added_at: Date;
    brings: BroughtAmounts | string | null;
  }>(
    db,
    `select application.id, application.store_id, application.concentrate_l, application.at, application.added_at, application.brings
     from application asked join application on application.id = asked.id or application.blend_id = asked.blend_id
     where asked.id = ? and application.id not in (select application_id from application_taken_back) order by application.id`,
    [id],
  );
  if (rows.length === 0) return [];
  const parts = await select<{ application_id: number; plot_id: number; concentrate_l: string }>(
    db,
    `select application_id, plot_id, concentrate_l from application_plot where application_id in (${places(rows)})`,
    rows.map((row) => row.id),
  );
  return rows.map((row) => ({
    id: row.id,
    storeId: row.store_id,
    concentrateL: Number(row.concentrate_l),
    at: row.at,
    addedAt: row.added_at,
    brings: typeof row.brings === "string" ? (JSON.parse(row.brings) as BroughtAmounts) : row.brings,
    plots: parts
      .filter(({ application_id }) => application_id === row.id)
      .map((part) => ({ plotId: part.plot_id, concentrateL: Number(part.concentrate_l) })),
  }));
}

export const insertTakenBack = (
  db: Queryable,
  applicationId: number,
  /** Why, and the application that took its place. */
  { reason, anewId }: { readonly reason: string; readonly anewId: number | null },
  actorId: number,
  addedAt: Date,
): Promise<number> =>
  insert(
    db,
    "insert into application_taken_back (application_id, reason, anew_id, actor_id, added_at) values (?, ?, ?, ?, ?)",
    [applicationId, reason, anewId, actorId, addedAt],
  );

/** What stands otherwise in an application that takes the place of another. */
export interface Redated {
  readonly at: Date;
  readonly weather: WeatherThen | null;
  readonly blendId: number | null;
  readonly addedAt: Date;
}

/**
 * An application once more, at another moment: by whom it was put on stays, and so does all that was in the can.
 * @param days so many days later than it was, for the days on which its beds may be harvested again
 */
export async function copyApplication(
  db: Queryable,
  id: number,
  { at, weather, blendId, addedAt }: Redated,
  days: number,
): Promise<number> {
  const copyId = await insert(
    db,
    `insert into application (store_id, use_id, parts_water, mix_rate_l, mix_rate_per, tool_id, mix_l, concentrate_l, carries, loads, labour_min,
       override_reason, note, weather, brings, blend_id, depth_cm, at, actor_id, added_at)
     select store_id, use_id, parts_water, mix_rate_l, mix_rate_per, tool_id, mix_l, concentrate_l, carries, loads, labour_min,
       override_reason, note, ?, brings, ?, depth_cm, ?, actor_id, ? from application where id = ?`,
    [weather && JSON.stringify(weather), blendId, at, addedAt, id],
  );
  await insert(
    db,
    `insert into application_plot (application_id, plot_id, mix_l, concentrate_l, clear_on)
     select ?, plot_id, mix_l, concentrate_l, date_add(clear_on, interval ? day) from application_plot where application_id = ?`,
    [copyId, days, id],
  );
  return copyId;
}

/** The steps of jobs that an application stands for, and who did them. */
export const listStepsOf = async (
  db: Queryable,
  applicationId: number,
): Promise<{ readonly jobId: number; readonly stepKey: string; readonly actorId: number }[]> =>
  (
    await select<{ job_id: number; step_key: string; actor_id: number }>(
      db,
      "select job_id, step_key, actor_id from job_done where application_id = ? and id not in (select takes_back_id from job_done where takes_back_id is not null)",
      [applicationId],
    )
  ).map(({ job_id, step_key, actor_id }) => ({ jobId: job_id, stepKey: step_key, actorId: actor_id }));
