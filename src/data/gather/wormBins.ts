import "server-only";
import type { BinEntry } from "@/core/gather/wormBin";
import { insert, select, type Queryable } from "../db";

export interface WormBinEntry extends BinEntry {
  readonly what: string;
  readonly actorName: string;
}

export interface WormBin {
  readonly id: number;
  readonly name: string;
  readonly wormsKg: number;
  readonly entries: readonly WormBinEntry[];
}

const SELECT_ENTRIES = `
  select entry.bin_id, entry.kind, entry.kg, entry.what, entry.at, actor.name as actor_name
  from standing_bin_entry entry join actor on actor.id = entry.actor_id order by entry.at, entry.id`;

export async function listWormBins(db: Queryable): Promise<WormBin[]> {
  const [bins, entries] = await Promise.all([
    select<{ id: number; name: string; worms_kg: string }>(
      db,
      "select id, name, worms_kg from worm_bin where state = 'in-use' order by name",
    ),
    select<{ bin_id: number; kind: BinEntry["kind"]; kg: string; what: string; at: Date; actor_name: string }>(
      db,
      SELECT_ENTRIES,
    ),
  ]);
  return bins.map(({ id, name, worms_kg }) => ({
    id,
    name,
    wormsKg: Number(worms_kg),
    entries: entries
      .filter(({ bin_id }) => bin_id === id)
      .map((entry) => ({
        kind: entry.kind,
        kg: Number(entry.kg),
        what: entry.what,
        atMs: entry.at.getTime(),
        actorName: entry.actor_name,
      })),
  }));
}

export const insertWormBin = (
  db: Queryable,
  bin: { readonly name: string; readonly wormsKg: number; readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(db, "insert into worm_bin (name, worms_kg, actor_id, added_at) values (?, ?, ?, ?)", [
    bin.name,
    bin.wormsKg,
    bin.actorId,
    bin.addedAt,
  ]);

export const lockWormBin = async (db: Queryable, id: number): Promise<{ readonly name: string } | null> =>
  (await select<{ name: string }>(db, "select name from worm_bin where id = ? for update", [id]))[0] ?? null;

export const insertWormBinEntry = (
  db: Queryable,
  entry: {
    readonly binId: number;
    readonly kind: BinEntry["kind"];
    readonly kg: number;
    readonly what: string;
    readonly lotId: number | null;
    readonly at: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(db, "insert into worm_bin_entry (bin_id, kind, kg, what, lot_id, at, actor_id) values (?, ?, ?, ?, ?, ?, ?)", [
    entry.binId,
    entry.kind,
    entry.kg,
    entry.what,
    entry.lotId,
    entry.at,
    entry.actorId,
  ]);
