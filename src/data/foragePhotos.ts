import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import { select, type Database, type Queryable } from "./db";

/** Keeps a picture of a place; the database's own rule refuses one of a place that is not there. */
export async function insertForagePhoto(
  pool: Database,
  photo: { readonly placeId: number; readonly jpeg: Buffer; readonly actorId: number; readonly addedAt: Date },
): Promise<number> {
  const [result] = await pool.execute<ResultSetHeader>(
    "insert into forage_photo (place_id, jpeg, actor_id, added_at) values (?, ?, ?, ?)",
    [photo.placeId, photo.jpeg, photo.actorId, photo.addedAt],
  );
  return result.insertId;
}

export async function findForagePhoto(db: Queryable, id: number): Promise<Buffer | null> {
  const [row] = await select<{ jpeg: Buffer }>(db, "select jpeg from forage_photo where id = ?", [id]);
  return row?.jpeg ?? null;
}
