import "server-only";
import type { JobStep, Laid } from "@/core/apply/job";
import { insert, places, select, type Queryable } from "../db";

/** Work on beds that belongs together, as it was last told. */
export interface JobRow {
  readonly id: number;
  readonly name: string;
  /** ISO date. */
  readonly forDay: string;
  readonly steps: readonly JobStep[];
}

/** A step that is done and stands. */
export interface JobDone {
  readonly id: number;
  readonly jobId: number;
  readonly stepKey: string;
  /** Null for what was laid or poured by hand. */
  readonly applicationId: number | null;
  readonly note: string;
  readonly at: Date;
  readonly actorName: string;
}

interface JobSqlRow {
  id: number;
  name: string;
  for_day: string;
  steps: readonly JobStep[] | string;
}

const toJob = ({ id, name, for_day, steps }: JobSqlRow): JobRow => ({
  id,
  name,
  forDay: for_day,
  steps: typeof steps === "string" ? (JSON.parse(steps) as JobStep[]) : steps,
});

/** The jobs as they stand, the earliest first; what was put away is left out. @param since jobs for an earlier day are left out */
export const listJobs = async (db: Queryable, since: string): Promise<JobRow[]> =>
  (
    await select<JobSqlRow>(
      db,
      `select coalesce(job.job_id, job.id) as id, job.name, job.for_day, job.steps
       from job join (select max(id) as id from standing_job group by coalesce(job_id, id)) newest on newest.id = job.id
       where job.put_away = 0 and job.for_day >= ? order by job.for_day, 1`,
      [since],
    )
  ).map(toJob);

/** One job as it stands; null where there is none, or it was put away. */
export async function findJob(db: Queryable, id: number): Promise<JobRow | null> {
  const [row] = await select<JobSqlRow & { put_away: number }>(
    db,
    `select ? as id, name, for_day, steps, put_away from standing_job where id = ? or job_id = ? order by id desc limit 1`,
    [id, id, id],
  );
  return row && row.put_away === 0 ? toJob({ ...row, id }) : null;
}

/** Keeps others from telling a job anew meanwhile. @returns whether there is such a job */
export const lockJob = async (db: Queryable, id: number): Promise<boolean> =>
  (await select(db, "select id from job where id = ? and job_id is null for update", [id])).length > 0;

/** A job as it is told: the first row of it where `jobId` is null. */
export const insertJob = (
  db: Queryable,
  jobId: number | null,
  told: Omit<JobRow, "id"> & { readonly isPutAway: boolean; readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into job (job_id, name, for_day, steps, put_away, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)",
    [jobId, told.name, told.forDay, JSON.stringify(told.steps), told.isPutAway ? 1 : 0, told.actorId, told.addedAt],
  );

/** The steps of these jobs that are done: what was taken back, or whose application was, is left out. */
export const listJobsDone = async (db: Queryable, jobIds: readonly number[]): Promise<JobDone[]> =>
  jobIds.length === 0
    ? []
    : select<JobDone>(
        db,
        `select done.id, done.job_id as jobId, done.step_key as stepKey, done.application_id as applicationId, done.note, done.at, actor.name as actorName
         from job_done done join actor on actor.id = done.actor_id
         left join job_done back on back.takes_back_id = done.id
         left join application_taken_back gone on gone.application_id = done.application_id
         where done.job_id in (${places(jobIds)}) and done.takes_back_id is null and back.id is null and gone.application_id is null
         order by done.at, done.id`,
        [...jobIds],
      );

export const insertJobDone = (
  db: Queryable,
  done: Omit<JobDone, "id" | "actorName"> & {
    readonly takesBackId: number | null;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(
    db,
    "insert into job_done (job_id, step_key, application_id, note, takes_back_id, at, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [done.jobId, done.stepKey, done.applicationId, done.note, done.takesBackId, done.at, done.actorId, done.addedAt],
  );

/** Something that was laid on a plot, or water that was poured on it. */
export interface LaidOn {
  readonly what: Laid | "water";
  readonly litres: number;
  /** Down to where it was worked in, cm; null where it stayed on top. */
  readonly depthCm: number | null;
}

export const insertLaid = (db: Queryable, jobDoneId: number, plotId: number, laid: LaidOn): Promise<number> =>
  insert(db, "insert into laid (job_done_id, plot_id, what, litres, depth_cm) values (?, ?, ?, ?, ?)", [
    jobDoneId,
    plotId,
    laid.what,
    laid.litres.toFixed(3),
    laid.depthCm,
  ]);

/** What was laid on a plot and stands, the latest first. */
export const listLaidOn = async (
  db: Queryable,
  plotId: number,
): Promise<readonly (LaidOn & { readonly jobName: string; readonly at: Date; readonly actorName: string })[]> =>
  (
    await select<{
      what: LaidOn["what"];
      litres: string;
      depth_cm: string | null;
      name: string;
      at: Date;
      actor_name: string;
    }>(
      db,
      `select laid.what, laid.litres, laid.depth_cm, job.name, done.at, actor.name as actor_name
       from laid join job_done done on done.id = laid.job_done_id join job on job.id = done.job_id join actor on actor.id = done.actor_id
       left join job_done back on back.takes_back_id = done.id
       where laid.plot_id = ? and back.id is null order by done.at desc, done.id desc`,
      [plotId],
    )
  ).map((row) => ({
    what: row.what,
    litres: Number(row.litres),
    depthCm: row.depth_cm === null ? null : Number(row.depth_cm),
    jobName: row.name,
    at: row.at,
    actorName: row.actor_name,
  }));
