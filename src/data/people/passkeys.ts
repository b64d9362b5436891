import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import { insert, select, type Queryable } from "../db";

/** A passkey that is good. */
export interface Passkey {
  readonly id: number;
  readonly actorId: number;
  /** Base64url, as browsers name it. */
  readonly credentialId: string;
  /** Base64url of the COSE key. */
  readonly publicKey: string;
  readonly counter: number;
  readonly transports: readonly string[];
  readonly site: string;
  readonly name: string;
  readonly addedAt: Date;
  readonly usedAt: Date | null;
}

interface Row {
  id: number;
  actor_id: number;
  credential_id: string;
  public_key: string;
  counter: number;
  transports: string;
  site: string;
  name: string;
  added_at: Date;
  used_at: Date | null;
}
const SELECT =
  "select id, actor_id, credential_id, public_key, counter, transports, site, name, added_at, used_at from passkey where ended_at is null";
const toPasskey = (row: Row): Passkey => ({
  id: row.id,
  actorId: row.actor_id,
  credentialId: row.credential_id,
  publicKey: row.public_key,
  counter: Number(row.counter),
  transports: row.transports === "" ? [] : row.transports.split(","),
  site: row.site,
  name: row.name,
  addedAt: row.added_at,
  usedAt: row.used_at,
});

export const listPasskeys = async (db: Queryable, actorId: number): Promise<Passkey[]> =>
  (await select<Row>(db, `${SELECT} and actor_id = ? order by id`, [actorId])).map(toPasskey);

/** One of them, locked, so that two uses at once are told apart; null where there is none, or it is ended. */
export async function lockPasskey(db: Queryable, credentialId: string): Promise<Passkey | null> {
  const [row] = await select<Row>(db, `${SELECT} and credential_id = ? for update`, [credentialId]);
  return row ? toPasskey(row) : null;
}

/** Fails as a duplicate for one that is known already. */
export const insertPasskey = (db: Queryable, passkey: Omit<Passkey, "id" | "usedAt">): Promise<number> =>
  insert(
    db,
    "insert into passkey (credential_id, public_key, counter, transports, site, actor_id, name, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [
      passkey.credentialId,
      passkey.publicKey,
      passkey.counter,
      passkey.transports.join(",").slice(0, 120),
      passkey.site,
      passkey.actorId,
      passkey.name,
      passkey.addedAt,
    ],
  );

export const usePasskey = (db: Queryable, id: number, counter: number, at: Date): Promise<unknown> =>
  db.execute("update passkey set counter = ?, used_at = ? where id = ?", [counter, at, id]);

/** @returns whether there was one to end */
export const endPasskey = async (db: Queryable, id: number, at: Date): Promise<boolean> =>
  (await db.execute<ResultSetHeader>("update passkey set ended_at = ? where id = ? and ended_at is null", [at, id]))[0]
    .affectedRows > 0;

/** Somebody's, all of them: on a phone that is lost they would open the farm again. */
export const endPasskeysOf = (db: Queryable, actorId: number, at: Date): Promise<unknown> =>
  db.execute("update passkey set ended_at = ? where actor_id = ? and ended_at is null", [at, actorId]);

/** Keeps what is to be signed; those that are over go with it. */
export async function insertChallenge(
  db: Queryable,
  challenge: { readonly sha256: Buffer; readonly actorId: number | null; readonly endsAt: Date; readonly now: Date },
): Promise<void> {
  await db.execute("delete from passkey_challenge where ends_at < ? limit 100", [challenge.now]);
  await db.execute("insert into passkey_challenge (challenge_sha256, actor_id, ends_at) values (?, ?, ?)", [
    challenge.sha256,
    challenge.actorId,
    challenge.endsAt,
  ]);
}

/** Takes a challenge off, which is good once. @returns whether it was there and for this person */
export const takeChallenge = async (
  db: Queryable,
  sha256: Buffer,
  actorId: number | null,
  now: Date,
): Promise<boolean> =>
  (
    await db.execute<ResultSetHeader>(
      "delete from passkey_challenge where challenge_sha256 = ? and actor_id <=> ? and ends_at > ?",
      [sha256, actorId, now],
    )
  )[0].affectedRows > 0;
