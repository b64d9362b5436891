import "server-only";
import { insert, select, type Queryable } from "../db";

export type ForageKind = "leaf-mould" | "plants" | "seaweed";
export type Vigour = "strong" | "weak" | "none";

export interface ForageVisit {
  readonly placeId: number;
  readonly lotId: number | null;
  readonly vigour: Vigour;
  readonly note: string;
  readonly onDay: string;
  readonly actorName: string;
}

export interface ForagePlace {
  readonly id: number;
  readonly name: string;
  readonly kind: ForageKind;
  readonly ground: string;
  readonly permission: string;
  readonly restD: number;
  /** Newest first. */
  readonly visits: readonly ForageVisit[];
  /** Its newest picture, if it has one. */
  readonly photoId: string | null;
}

interface PlaceRow {
  id: number;
  name: string;
  kind: ForageKind;
  ground: string;
  permission: string;
  rest_d: number;
  photo_id: string | null;
}

const SELECT_PLACES = `
  select place.id, place.name, place.kind, place.ground, place.permission, place.rest_d,
         (select photo.public_id from forage_photo photo where photo.place_id = place.id order by photo.id desc limit 1) as photo_id
  from forage_place place where place.state = 'in-use' order by place.name`;
const SELECT_VISITS = `
  select visit.place_id, visit.lot_id, visit.vigour, visit.note, visit.on_day, actor.name as actor_name
  from standing_visit visit join actor on actor.id = visit.actor_id order by visit.on_day desc, visit.id desc limit 2000`;

export async function listForagePlaces(db: Queryable): Promise<ForagePlace[]> {
  const [places, visits] = await Promise.all([
    select<PlaceRow>(db, SELECT_PLACES),
    select<{
      place_id: number;
      lot_id: number | null;
      vigour: Vigour;
      note: string;
      on_day: string;
      actor_name: string;
    }>(db, SELECT_VISITS),
  ]);
  return places.map((row) => ({
    id: row.id,
    name: row.name,
    kind: row.kind,
    ground: row.ground,
    permission: row.permission,
    restD: row.rest_d,
    photoId: row.photo_id,
    visits: visits
      .filter(({ place_id }) => place_id === row.id)
      .map((visit) => ({
        placeId: row.id,
        lotId: visit.lot_id,
        vigour: visit.vigour,
        note: visit.note,
        onDay: visit.on_day,
        actorName: visit.actor_name,
      })),
  }));
}

/** What a place gave at a time, at its best; an ingredient that several places give stands once for each. */
export interface PlaceGave {
  readonly ingredientId: string;
  readonly place: string;
  readonly restD: number;
  readonly mostAtOnce: number;
}
export async function listPlacesByIngredient(db: Queryable): Promise<PlaceGave[]> {
  const rows = await select<{ ingredient_id: string; name: string; rest_d: number; most: string }>(
    db,
    `select lot.ingredient_id, place.name, place.rest_d, max(lot.received) as most
     from standing_visit visit join forage_place place on place.id = visit.place_id and place.state = 'in-use'
     join lot on lot.id = visit.lot_id group by lot.ingredient_id, place.id, place.name, place.rest_d
     order by most desc, place.name`,
  );
  return rows.map(({ ingredient_id, name, rest_d, most }) => ({
    ingredientId: ingredient_id,
    place: name,
    restD: rest_d,
    mostAtOnce: Number(most),
  }));
}

export const insertForagePlace = (
  db: Queryable,
  place: Omit<ForagePlace, "id" | "visits" | "photoId"> & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into forage_place (name, kind, ground, permission, rest_d, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)",
    [place.name, place.kind, place.ground, place.permission, place.restD, place.actorId, place.addedAt],
  );

/** Locks a place and tells its rest and the days something was taken; null where there is none. */
export async function lockForagePlace(
  db: Queryable,
  id: number,
): Promise<{
  readonly name: string;
  readonly kind: ForageKind;
  readonly restD: number;
  readonly takenOn: readonly string[];
} | null> {
  const [row] = await select<{ name: string; kind: ForageKind; rest_d: number }>(
    db,
    "select name, kind, rest_d from forage_place where id = ? for update",
    [id],
  );
  if (!row) return null;
  const taken = await select<{ on_day: string }>(
    db,
    "select on_day from standing_visit where place_id = ? and lot_id is not null",
    [id],
  );
  return { name: row.name, kind: row.kind, restD: row.rest_d, takenOn: taken.map(({ on_day }) => on_day) };
}

export const insertForageVisit = (
  db: Queryable,
  visit: Omit<ForageVisit, "actorName"> & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(
    db,
    "insert into forage_visit (place_id, lot_id, vigour, note, on_day, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?)",
    [visit.placeId, visit.lotId, visit.vigour, visit.note, visit.onDay, visit.actorId, visit.addedAt],
  );
