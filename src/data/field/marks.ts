import "server-only";
import type { Origin } from "@/core/land/geojson";
import type { Mark, MarkKind } from "@/core/land/marks";
import type { Point } from "@/core/land/ring";
import { insert, select, type Queryable } from "../db";

export interface LandMark extends Mark {
  readonly id: number;
}

interface MarkRow {
  id: number;
  kind: MarkKind;
  name: string;
  line: readonly Point[] | string;
  buffer_m: string;
}

const SELECT_MARKS = `
  select coalesce(mark.mark_id, mark.id) as id, mark.kind, mark.name, mark.line, mark.buffer_m
  from land_mark mark join (select max(id) as id from standing_land_mark group by coalesce(mark_id, id)) newest on newest.id = mark.id
  where mark.put_away = 0 order by 1`;

/** What stands on the land; what was put away is left out. */
export const listMarks = async (db: Queryable): Promise<LandMark[]> =>
  (await select<MarkRow>(db, SELECT_MARKS)).map((row) => ({
    id: row.id,
    kind: row.kind,
    name: row.name,
    line: typeof row.line === "string" ? (JSON.parse(row.line) as Point[]) : row.line,
    bufferM: Number(row.buffer_m),
  }));

/** A mark as it is told: the first row of it where `markId` is null. */
export const insertMark = (
  db: Queryable,
  markId: number | null,
  {
    kind,
    name,
    line,
    bufferM,
    isPutAway,
    actorId,
    addedAt,
  }: Mark & { readonly isPutAway: boolean; readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into land_mark (mark_id, kind, name, line, buffer_m, put_away, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [markId, kind, name, JSON.stringify(line), bufferM.toFixed(1), isPutAway ? 1 : 0, actorId, addedAt],
  );

/** Where the plan's corner lies on the globe, and by whose word; null while nobody has said. */
export async function findOrigin(db: Queryable): Promise<(Origin & { readonly source: string }) | null> {
  const [row] = await select<{ longitude_deg: string; latitude_deg: string; source: string }>(
    db,
    "select longitude_deg, latitude_deg, source from land_origin order by id desc limit 1",
  );
  return row
    ? { longitudeDeg: Number(row.longitude_deg), latitudeDeg: Number(row.latitude_deg), source: row.source }
    : null;
}

export const insertOrigin = (
  db: Queryable,
  { longitudeDeg, latitudeDeg }: Origin,
  source: string,
  actorId: number,
  addedAt: Date,
): Promise<number> =>
  insert(
    db,
    "insert into land_origin (longitude_deg, latitude_deg, source, actor_id, added_at) values (?, ?, ?, ?, ?)",
    [longitudeDeg.toFixed(9), latitudeDeg.toFixed(9), source, actorId, addedAt],
  );
