import "server-only";
import type { ResultSetHeader } from "mysql2/promise";
import type { Place, PlaceKind } from "@/core/ferment/temperature/places";
import { select, type Queryable } from "../db";

interface PlaceRow {
  vessel_id: number;
  kind: PlaceKind;
  low_c: string | null;
  high_c: string | null;
}

const NEWEST = `
  select vessel_id, kind, low_c, high_c from vessel_place
  where id in (select max(id) from vessel_place group by vessel_id)`;
/** For a vessel and those that stand at the same named site. */
const INSERT_AT_SITE = `
  insert into vessel_place (vessel_id, kind, low_c, high_c, actor_id, added_at)
  select other.id, ?, ?, ?, ?, ? from vessel other
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

/** Says where a vessel stands, and those at the same named site with it. @returns how many vessels that is */
export async function insertPlaceAtSite(
  db: Queryable,
  vesselId: number,
  { kind, celsius }: Place,
  actorId: number,
  addedAt: Date,
): Promise<number> {
  const values = [kind, celsius?.[0] ?? null, celsius?.[1] ?? null, actorId, addedAt, vesselId];
  const [{ affectedRows }] = await db.execute<ResultSetHeader>(INSERT_AT_SITE, values);
  return affectedRows;
}
