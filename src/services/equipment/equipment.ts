import "server-only";
import { MOMENT, NOTE, REQUEST_KEY, ROW_ID, object, orNull, NAME } from "@/contracts/parts";
import { EQUIPMENT_KINDS, CALIBRATED_D, SIZE_UNIT, WASHED_BETWEEN, type OwnedEquipment } from "@/core/equipment/needs";
import { act } from "../act";
import { addDays } from "@/core/calendar";
import { METHODS } from "@/core/book";
import { findBatch } from "@/data/batch";
import {
  insertEquipment,
  insertEquipmentEvent,
  listEquipment,
  lockEquipment,
  type Equipment,
  type EquipmentState,
} from "@/data/equipment";
import type { Queryable } from "@/data/db";
import { isoDay, type FarmClock } from "@/formats/times";
import { refuse } from "../refusal";
import { momentOf, withFreeName } from "../checks";

const ADD_EQUIPMENT = object(["requestKey", "kind", "name"], {
  requestKey: REQUEST_KEY,
  kind: { enum: EQUIPMENT_KINDS },
  name: { ...NAME, maxLength: 60 },
  count: { type: "integer", minimum: 1, maximum: 1000 },
  size: { type: ["number", "null"], minimum: 0.001, maximum: 100000 },
  outlets: { type: ["integer", "null"], minimum: 1, maximum: 100 },
  note: NOTE,
});

/** A tool for the shed. @throws {Refusal} */
export const addEquipment = act(
  { name: "addEquipment", schema: ADD_EQUIPMENT, may: "grower" },
  async (db, request, ctx): Promise<{ equipmentId: number }> => {
    const name = request.name.trim();
    return {
      equipmentId: await withFreeName(name, () =>
        insertEquipment(db, {
          kind: request.kind,
          name,
          count: request.count ?? 1,
          size: SIZE_UNIT[request.kind] === null ? null : (request.size ?? null),
          outlets: request.kind === "pump" ? (request.outlets ?? null) : null,
          note: request.note ?? "",
          actorId: ctx.actor.id,
          addedAt: ctx.now(),
        }),
      ),
    };
  },
);

const NOTE_EQUIPMENT = object(["requestKey", "equipmentId", "kind"], {
  requestKey: REQUEST_KEY,
  equipmentId: ROW_ID,
  kind: { enum: ["used", "washed", "calibrated", "broken", "mended"] },
  batchId: orNull(ROW_ID),
  note: NOTE,
  at: MOMENT,
});

/** A tool was washed, calibrated, broken, mended, or put to a batch. @throws {Refusal} */
export const noteEquipment = act(
  { name: "noteEquipment", schema: NOTE_EQUIPMENT, may: "helper" },
  async (db, request, ctx): Promise<{ equipmentId: number; eventId: number }> => {
    if (!(await lockEquipment(db, request.equipmentId))) throw refuse("not-found", { thing: "tool" }, "/equipmentId");
    const batchId = request.batchId ?? null;
    if ((request.kind === "used") !== (batchId !== null)) throw refuse("used-in-batch-only", {}, "/batchId");
    if (batchId !== null && !(await findBatch(db, batchId))) throw refuse("not-found", { thing: "batch" }, "/batchId");
    const eventId = await insertEquipmentEvent(db, {
      equipmentId: request.equipmentId,
      kind: request.kind,
      batchId,
      note: request.note ?? "",
      at: momentOf(ctx, request.at),
      actorId: ctx.actor.id,
    });
    return { equipmentId: request.equipmentId, eventId };
  },
);

export type EquipmentView = Equipment &
  Omit<OwnedEquipment, "kind" | "name" | "count" | "size" | "outlets"> & {
    readonly washedBetween: boolean;
    /** Calibration is due; null where the kind has none. */
    readonly calibrationDueOn: string | null;
  };

/** A tool as it stands, from the latest that happened to it. */
export function equipmentView({ events, ...tool }: EquipmentState, clock: FarmClock): EquipmentView {
  const last = (kind: string) => events.findLast((event) => event.kind === kind) ?? null;
  const used = last("used");
  const washed = last("washed");
  const broken = last("broken");
  const mended = last("mended");
  const calibrated = last("calibrated");
  const dirty = used !== null && (washed === null || washed.at < used.at);
  const days = CALIBRATED_D[tool.kind];
  const calibratedOn = calibrated ? isoDay(calibrated.at, clock) : null;
  return {
    ...tool,
    broken: broken !== null && (mended === null || mended.at < broken.at),
    dirtyFrom: dirty ? (METHODS.find(({ id }) => id === used.methodId)?.family ?? null) : null,
    calibratedOn,
    busy: used !== null && used.batchRunning,
    washedBetween: WASHED_BETWEEN.includes(tool.kind),
    calibrationDueOn: days === undefined ? null : calibratedOn === null ? "0000-00-00" : addDays(calibratedOn, days),
  };
}

export const readEquipment = async (db: Queryable, clock: FarmClock): Promise<EquipmentView[]> =>
  (await listEquipment(db)).map((tool) => equipmentView(tool, clock));
