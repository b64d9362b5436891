import "server-only";
import { NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { act } from "../act";
import { insertDevice, insertPlacing, listDevices, insertReadings } from "@/data/devices";
import { lockVessel } from "@/data/vessels";
import type { ProbeQuantity } from "@/core/probe/plausible";
import { keepMovedForecasts } from "../ferment";
import type { LoggerColumn } from "@/formats/csv/loggerFile";
import { refuse } from "../refusal";
import { readLogger } from "./readLogger";
import { sifted } from "./takeReadings";

/** What a look at a logger's file finds, before anything is written. */
export interface LoggerPreview {
  readonly layout: string | null;
  readonly hasZone: boolean;
  readonly columns: readonly LoggerColumn[];
  readonly fromMs: number | null;
  readonly toMs: number | null;
  /** Stretches longer than this without a figure, ms. */
  readonly gaps: readonly { readonly fromMs: number; readonly toMs: number }[];
  readonly unread: readonly { readonly line: number; readonly text: string }[];
}

/** A stretch without a figure worth naming, h. */
const GAP_H = 6;
const HOUR_MS = 3_600_000;

/** Looks at a file and writes nothing. */
export async function previewLogger(text: string, zone: string, column: string | null): Promise<LoggerPreview> {
  const file = await readLogger(text, zone);
  const chosen = column ?? file.columns[0]?.name ?? null;
  const times = chosen ? (file.figures.get(chosen) ?? []).map(({ at }) => at.getTime()).toSorted((a, b) => a - b) : [];
  const gaps = times.flatMap((toMs, index) => {
    const fromMs = times[index - 1];
    return fromMs !== undefined && toMs - fromMs > GAP_H * HOUR_MS ? [{ fromMs, toMs }] : [];
  });
  return {
    layout: file.layout,
    hasZone: file.hasZone,
    columns: file.columns,
    fromMs: times[0] ?? null,
    toMs: times.at(-1) ?? null,
    gaps,
    unread: file.unread,
  };
}

const PLACE = orNull(ROW_ID);

const IMPORT_LOGGER = object(["requestKey", "name", "vesselId", "text", "zone", "column", "unit"], {
  requestKey: REQUEST_KEY,
  name: NAME,
  vesselId: PLACE,
  text: { type: "string", minLength: 1, maxLength: 8_000_000 },
  /** A time zone by name, where the file's times have none of their own. */
  zone: { type: "string", minLength: 1, maxLength: 60 },
  column: { type: "string", minLength: 1, maxLength: 80 },
  unit: { enum: ["°C", "°F", "pH"] },
});

/**
 * Reads a column of a logger's file in as a device of its own. Read in again it adds what is new.
 * @throws {Refusal} for a file whose times can't be read, a column that is not there
 */
export const importLogger = act(
  { name: "importLogger", schema: IMPORT_LOGGER, may: "grower", mostBytes: 18_000_000 },
  async (db, request, ctx): Promise<{ taken: number; known: number; setAside: number }> => {
    if (request.vesselId !== null && !(await lockVessel(db, request.vesselId)))
      throw refuse("not-found", { thing: "vessel" }, "/vesselId");
    const file = await readLogger(request.text, request.zone);
    if (file.layout === null) throw refuse("no-times", {}, "/text");
    const figures = file.figures.get(request.column) ?? [];
    if (figures.length === 0) throw refuse("no-figures", { column: request.column }, "/column");
    const name = request.name.trim();
    const known = (await listDevices(db)).find((device) => device.name === name);
    if (known && known.kind !== "logger") throw refuse("name-of-device", { name }, "/name");
    const deviceId =
      known?.id ??
      (await insertDevice(db, { name, kind: "logger", tokenHash: null, actorId: ctx.actor.id, addedAt: ctx.now() }));
    const first = figures.reduce((least, { at }) => (at < least ? at : least), figures[0]!.at);
    if (!known || known.vesselId !== request.vesselId)
      await insertPlacing(db, deviceId, request.vesselId, first, ctx.actor.id);
    const quantity: ProbeQuantity = request.unit === "pH" ? "ph" : request.vesselId === null ? "air" : "liquid";
    const readings = await sifted(
      db,
      deviceId,
      figures.map(({ at, value }) => ({
        at,
        quantity,
        value: request.unit === "°F" ? ((value - 32) * 5) / 9 : value,
      })),
      ctx.now(),
    );
    const fresh = await insertReadings(db, readings, ctx.now());
    if (fresh > 0) await keepMovedForecasts(db, ctx.now());
    const aside = readings.filter(({ setAside }) => setAside !== null).length;
    return { taken: Math.max(0, fresh - aside), known: readings.length - fresh, setAside: aside };
  },
);
