import "server-only";
import { randomBytes } from "node:crypto";
import { insert, select, type Queryable } from "../db";

export interface BatchPhoto {
  /** What it is asked for by; nothing follows from it. */
  readonly publicId: string;
  readonly at: Date;
  readonly note: string;
  readonly actorName: string;
}

interface Taken {
  readonly jpeg: Buffer;
  readonly actorId: number;
  readonly addedAt: Date;
}

const INSERT_OF_BATCH =
  "insert into batch_photo (public_id, batch_id, at, jpeg, note, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)";
const INSERT_OF_PLACE =
  "insert into forage_photo (public_id, place_id, jpeg, actor_id, added_at) values (?, ?, ?, ?, ?)";
const SELECT_OF_BATCH = `
  select batch_photo.public_id, batch_photo.at, batch_photo.note, actor.name as actor_name
  from batch_photo join actor on actor.id = batch_photo.actor_id where batch_photo.batch_id = ? order by batch_photo.at, batch_photo.id`;
const SELECT_JPEG =
  "select jpeg from batch_photo where public_id = ? union all select jpeg from forage_photo where public_id = ? union all select jpeg from plot_look where public_id = ? and jpeg is not null";

const newPublicId = (): string => randomBytes(16).toString("hex");

/** Keeps a picture of a batch; the database's own rule refuses one of a batch that is not there. @returns its public id */
export async function insertBatchPhoto(
  db: Queryable,
  photo: Taken & { readonly batchId: number; readonly at: Date; readonly note: string },
): Promise<string> {
  const publicId = newPublicId();
  const { batchId, at, jpeg, note, actorId, addedAt } = photo;
  await insert(db, INSERT_OF_BATCH, [publicId, batchId, at, jpeg, note, actorId, addedAt]);
  return publicId;
}

/** Keeps a picture of a place; the database's own rule refuses one of a place that is not there. @returns its public id */
export async function insertForagePhoto(db: Queryable, photo: Taken & { readonly placeId: number }): Promise<string> {
  const publicId = newPublicId();
  const { placeId, jpeg, actorId, addedAt } = photo;
  await insert(db, INSERT_OF_PLACE, [publicId, placeId, jpeg, actorId, addedAt]);
  return publicId;
}

export async function listBatchPhotos(db: Queryable, batchId: number): Promise<BatchPhoto[]> {
  const rows = await select<{ public_id: string; at: Date; note: string; actor_name: string }>(db, SELECT_OF_BATCH, [
    batchId,
  ]);
  return rows.map(({ public_id, at, note, actor_name }) => ({ publicId: public_id, at, note, actorName: actor_name }));
}

/** A picture, of a batch, of a place or of a plot. */
export async function findPhoto(db: Queryable, publicId: string): Promise<Buffer | null> {
  const [row] = await select<{ jpeg: Buffer }>(db, SELECT_JPEG, [publicId, publicId, publicId]);
  return row?.jpeg ?? null;
}
