import "server-only";
import type { EquipmentKind } from "@/core/equipment/needs";
import { insert, places, select, type Queryable } from "../db";

export interface Equipment {
  readonly id: number;
  readonly kind: EquipmentKind;
  readonly name: string;
  readonly count: number;
  readonly size: number | null;
  readonly outlets: number | null;
  readonly note: string;
}

export type NewEquipment = Omit<Equipment, "id"> & { readonly actorId: number; readonly addedAt: Date };
export type EquipmentEventKind = "used" | "washed" | "calibrated" | "broken" | "mended";

export interface EquipmentEvent {
  readonly equipmentId: number;
  readonly kind: EquipmentEventKind;
  readonly batchId: number | null;
  /** Of the batch it was used in, for one that was. */
  readonly methodId: string | null;
  readonly batchRunning: boolean;
  readonly at: Date;
}

export type EquipmentState = Equipment & { readonly events: readonly EquipmentEvent[] };

interface EquipmentRow {
  id: number;
  kind: EquipmentKind;
  name: string;
  how_many: number;
  size: string | null;
  outlets: number | null;
  note: string;
}

/** The latest event of each kind: all that its state follows from. */
const SELECT_EVENTS = `
  select event.equipment_id, event.kind, event.batch_id, batch.method_id, event.batch_id is not null and standing_close.batch_id is null as batch_running, event.at
  from standing_equipment_event event
  left join batch on batch.id = event.batch_id left join standing_close on standing_close.batch_id = event.batch_id
  where event.id in (select max(id) from standing_equipment_event group by equipment_id, kind) order by event.at, event.id`;

export async function listEquipment(db: Queryable): Promise<EquipmentState[]> {
  const [rows, events] = await Promise.all([
    select<EquipmentRow>(
      db,
      "select id, kind, name, how_many, size, outlets, note from equipment where state = 'in-use' order by kind, name",
    ),
    select<{
      equipment_id: number;
      kind: EquipmentEventKind;
      batch_id: number | null;
      method_id: string | null;
      batch_running: number;
      at: Date;
    }>(db, SELECT_EVENTS),
  ]);
  return rows.map((row) => ({
    id: row.id,
    kind: row.kind,
    name: row.name,
    count: row.how_many,
    size: row.size === null ? null : Number(row.size),
    outlets: row.outlets,
    note: row.note,
    events: events
      .filter(({ equipment_id }) => equipment_id === row.id)
      .map((event) => ({
        equipmentId: row.id,
        kind: event.kind,
        batchId: event.batch_id,
        methodId: event.method_id,
        batchRunning: event.batch_running === 1,
        at: event.at,
      })),
  }));
}

export const insertEquipment = (db: Queryable, tool: NewEquipment): Promise<number> =>
  insert(
    db,
    "insert into equipment (kind, name, how_many, size, outlets, note, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [tool.kind, tool.name, tool.count, tool.size, tool.outlets, tool.note, tool.actorId, tool.addedAt],
  );

export async function lockEquipment(db: Queryable, id: number): Promise<boolean> {
  return (await select(db, "select id from equipment where id = ? for update", [id])).length > 0;
}

export const insertEquipmentEvent = (
  db: Queryable,
  event: {
    readonly equipmentId: number;
    readonly kind: EquipmentEventKind;
    readonly batchId: number | null;
    readonly note: string;
    readonly at: Date;
    readonly actorId: number;
  },
): Promise<number> =>
  insert(
    db,
    "insert into equipment_event (equipment_id, kind, batch_id, note, at, actor_id) values (?, ?, ?, ?, ?, ?)",
    [event.equipmentId, event.kind, event.batchId, event.note, event.at, event.actorId],
  );

/** What was used in a batch that is over, and not washed since: the oldest first. @param kinds that are washed between batches */
export const listUnwashed = async (
  db: Queryable,
  kinds: readonly EquipmentKind[],
): Promise<readonly { readonly name: string; readonly usedAt: Date }[]> =>
  select<{ name: string; usedAt: Date }>(
    db,
    `select equipment.name, max(used.at) as usedAt
     from equipment join standing_equipment_event used on used.equipment_id = equipment.id and used.kind = 'used'
     left join standing_close done on done.batch_id = used.batch_id
     where equipment.kind in (${places(kinds)})
     group by equipment.id, equipment.name
     having max(used.at) > coalesce((select max(washed.at) from standing_equipment_event washed where washed.equipment_id = equipment.id and washed.kind = 'washed'), '1970-01-01')
        and sum(done.batch_id is null) = 0
     order by usedAt`,
    [...kinds],
  );
