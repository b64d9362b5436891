import "server-only";
import { insert, select, type Queryable } from "./db";

export interface BatchPhoto {
  readonly id: number;
  readonly at: Date;
  readonly note: string;
  readonly actorName: string;
}

const INSERT = "insert into batch_photo (batch_id, at, jpeg, note, actor_id, added_at) values (?, ?, ?, ?, ?, ?)";
const SELECT = `
  select batch_photo.id, batch_photo.at, batch_photo.note, actor.name as actor_name
  from batch_photo join actor on actor.id = batch_photo.actor_id where batch_photo.batch_id = ? order by batch_photo.at, batch_photo.id`;

/** Keeps a picture of a batch; the database's own rule refuses one of a batch that is not there. */
export const insertBatchPhoto = (
  db: Queryable,
  photo: {
    readonly batchId: number;
    readonly at: Date;
    readonly jpeg: Buffer;
    readonly note: string;
    readonly actorId: number;
    readonly addedAt: Date;
  },
): Promise<number> =>
  insert(db, INSERT, [photo.batchId, photo.at, photo.jpeg, photo.note, photo.actorId, photo.addedAt]);

export async function listBatchPhotos(db: Queryable, batchId: number): Promise<BatchPhoto[]> {
  const rows = await select<{ id: number; at: Date; note: string; actor_name: string }>(db, SELECT, [batchId]);
  return rows.map(({ id, at, note, actor_name }) => ({ id, at, note, actorName: actor_name }));
}

export async function findBatchPhoto(db: Queryable, id: number): Promise<Buffer | null> {
  const [row] = await select<{ jpeg: Buffer }>(db, "select jpeg from batch_photo where id = ?", [id]);
  return row?.jpeg ?? null;
}
