import "server-only";
import type { Programme, ProgrammeStep } from "@/core/programme/programme";
import { insert, select, type Queryable } from "../db";

interface ProgrammeRow {
  id: number;
  name: string;
  crops: readonly string[] | string;
  steps: readonly ProgrammeStep[] | string;
}

const parsed = <T>(json: T | string): T => (typeof json === "string" ? (JSON.parse(json) as T) : json);

/** The farm's programmes as they stand; what was put away is left out. */
export const listProgrammes = async (db: Queryable): Promise<Programme[]> =>
  (
    await select<ProgrammeRow>(
      db,
      `select coalesce(programme.programme_id, programme.id) as id, programme.name, programme.crops, programme.steps
       from programme join (select max(id) as id from standing_programme group by coalesce(programme_id, id)) newest on newest.id = programme.id
       where programme.put_away = 0 order by 1`,
    )
  ).map(({ id, name, crops, steps }) => ({ id, name, crops: parsed(crops), steps: parsed(steps) }));

/** A programme as it is told: the first row of it where `programmeId` is null. */
export const insertProgramme = (
  db: Queryable,
  programmeId: number | null,
  told: Omit<Programme, "id"> & { readonly isPutAway: boolean; readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into programme (programme_id, name, crops, steps, put_away, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)",
    [
      programmeId,
      told.name,
      JSON.stringify(told.crops),
      JSON.stringify(told.steps),
      told.isPutAway ? 1 : 0,
      told.actorId,
      told.addedAt,
    ],
  );
