import "server-only";
import type { Place, PlaceKind } from "@/core/ferment/temperature/places";
import { insert, select, type Queryable } from "./db";

interface PlaceRow {
  vessel_id: number;
  kind: PlaceKind;
  low_c: string | null;
  high_c: string | null;
}

const NEWEST = `
  select vessel_id, kind, low_c, high_c from vessel_place
  where id in (select max(id) from vessel_place group by vessel_id)`;
const INSERT =
  "insert into vessel_place (vessel_id, kind, low_c, high_c, actor_id, added_at) values (?, ?, ?, ?, ?, ?)";
const AT_ONE_SITE = `
  select other.id from vessel other
  join vessel it on it.id = ? and (other.id = it.id or (other.site = it.site and it.site <> ''))`;

/** Where each vessel stands; those of which nobody said so are left out. */
export async function listVesselPlaces(db: Queryable): Promise<ReadonlyMap<number, Place>> {
  const rows = await select<PlaceRow>(db, NEWEST);
  return new Map(
    rows
      .filter(({ kind }) => kind !== "unsaid")
      .map(({ vessel_id, kind, low_c, high_c }) => [
        vessel_id,
        { kind, ...(low_c === null || high_c === null ? {} : { celsius: [Number(low_c), Number(high_c)] as const }) },
      ]),
  );
}

/** A vessel and those that stand at the same named site. */
export const vesselsAtOneSite = async (db: Queryable, vesselId: number): Promise<number[]> =>
  (await select<{ id: number }>(db, AT_ONE_SITE, [vesselId])).map(({ id }) => id);

export const insertVesselPlace = (
  db: Queryable,
  vesselId: number,
  { kind, celsius }: Place,
  actorId: number,
  addedAt: Date,
): Promise<number> =>
  insert(db, INSERT, [vesselId, kind, celsius?.[0] ?? null, celsius?.[1] ?? null, actorId, addedAt]);
