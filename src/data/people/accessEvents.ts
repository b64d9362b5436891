import "server-only";
import { insert, select, type Queryable } from "../db";

export type AccessKind =
  | "signed-in"
  | "refused"
  | "signed-out"
  | "ended"
  | "joined"
  | "unlocked"
  | "pin-refused"
  | "locked"
  | "shared"
  | "invited"
  | "passphrase"
  | "pin"
  | "role"
  | "recovered"
  | "archived"
  | "key-added"
  | "key-removed";

/** Where a request came from. */
export interface From {
  readonly address: string;
  readonly device: string;
}
export interface AccessEvent extends From {
  readonly kind: AccessKind;
  readonly actorId: number | null;
  readonly byId?: number | null;
  readonly name?: string;
  readonly note?: string;
  readonly at: Date;
}

export const insertAccessEvent = (db: Queryable, event: AccessEvent): Promise<number> =>
  insert(
    db,
    "insert into access_event (kind, actor_id, by_id, name, note, address, device, at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [
      event.kind,
      event.actorId,
      event.byId ?? null,
      (event.name ?? "").slice(0, 60),
      (event.note ?? "").slice(0, 60),
      event.address,
      event.device,
      event.at,
    ],
  );

/** How often it was refused since a moment: of this name from this address, of this name, and from this address. */
export async function countRefused(
  db: Queryable,
  { kind, name, address, since }: { kind: "refused" | "pin-refused"; name: string; address: string; since: Date },
): Promise<{ readonly here: number; readonly ofName: number; readonly ofAddress: number }> {
  const [row] = await select<{ here: string; ofName: string; ofAddress: string }>(
    db,
    `select coalesce(sum(name = ? and address = ?), 0) as here, coalesce(sum(name = ?), 0) as ofName, coalesce(sum(address = ?), 0) as ofAddress
     from access_event where kind = ? and at > ? and (name = ? or address = ?)`,
    [name, address, name, address, kind, since, name, address],
  );
  return { here: Number(row!.here), ofName: Number(row!.ofName), ofAddress: Number(row!.ofAddress) };
}

export interface AccessLine {
  readonly id: number;
  readonly kind: AccessKind;
  readonly person: string;
  readonly by: string | null;
  readonly note: string;
  readonly address: string;
  readonly device: string;
  readonly at: Date;
}

/** Who came in and from where, the newest first. */
export const listAccess = (
  db: Queryable,
  asked: {
    readonly actorId: number | null;
    readonly from?: Date | null;
    readonly before: Date;
    readonly most: number;
  },
): Promise<AccessLine[]> =>
  select<AccessLine>(
    db,
    `select event.id, event.kind, coalesce(whose.name, event.name) as person, doer.name as \`by\`, event.note, event.address, event.device, event.at
     from access_event event left join actor whose on whose.id = event.actor_id left join actor doer on doer.id = event.by_id
     where event.at < ? and event.at >= ?${asked.actorId === null ? "" : " and (event.actor_id = ? or event.by_id = ?)"}
     order by event.at desc, event.id desc limit ?`,
    [
      asked.before,
      asked.from ?? new Date(0),
      ...(asked.actorId === null ? [] : [asked.actorId, asked.actorId]),
      String(Math.floor(asked.most)),
    ],
  );
