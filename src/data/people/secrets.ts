import "server-only";
import { select, type Queryable } from "../db";

export type SecretKind = "passphrase" | "pin";

/** The hash of somebody's secret; null where they have none. */
export async function findSecret(db: Queryable, actorId: number, kind: SecretKind): Promise<string | null> {
  const [row] = await select<{ hash: string }>(db, "select hash from secret where actor_id = ? and kind = ?", [
    actorId,
    kind,
  ]);
  return row?.hash ?? null;
}

/** Sets somebody's secret in place of the one before. */
export const setSecret = (
  db: Queryable,
  secret: { readonly actorId: number; readonly kind: SecretKind; readonly hash: string; readonly at: Date },
): Promise<unknown> =>
  db.execute(
    "insert into secret (actor_id, kind, hash, set_at) values (?, ?, ?, ?) on duplicate key update hash = value(hash), set_at = value(set_at)",
    [secret.actorId, secret.kind, secret.hash, secret.at],
  );

/** Whether anybody at all can sign in. */
export const isClaimed = async (db: Queryable): Promise<boolean> =>
  (await select(db, "select actor_id from secret where kind = 'passphrase' limit 1")).length > 0;

/** Who has a secret of a kind. */
export const listWithSecret = async (db: Queryable, kind: SecretKind): Promise<ReadonlySet<number>> =>
  new Set(
    (await select<{ actor_id: number }>(db, "select actor_id from secret where kind = ?", [kind])).map(
      ({ actor_id }) => actor_id,
    ),
  );
