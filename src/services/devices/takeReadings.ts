import "server-only";
import { createHash } from "node:crypto";
import { checkRequest, type ActionRequest } from "@/contracts/actions/requests";
import { whyAside, type ProbeQuantity } from "@/core/probe/plausible";
import { inTransaction, type Database, type Queryable } from "@/data/db";
import {
  findDeviceByToken,
  findReadingBefore,
  insertReadings,
  lockDevice,
  putForecast,
  type DeviceReading,
} from "@/data/devices";
import { keepMovedForecasts } from "../ferment/keepForecast";
import { Refusal } from "../refusal";

const HOUR_MS = 3_600_000;

export type PostedReadings = ActionRequest<"postReadings">;

/** What became of a post: figures taken, figures that were there already, and those set aside with why. */
export interface Posted {
  readonly taken: number;
  readonly known: number;
  readonly setAside: readonly { readonly at: string; readonly quantity: ProbeQuantity; readonly why: string }[];
}

export const hashOf = (token: string): string => createHash("sha256").update(token).digest("hex");

/** Sorts figures of one device into those that can be and those that can't, each against the one before it. */
export async function sifted(
  db: Queryable,
  deviceId: number,
  figures: readonly { readonly at: Date; readonly quantity: ProbeQuantity; readonly value: number }[],
  now: Date,
): Promise<DeviceReading[]> {
  const sorted = figures.toSorted((a, b) => a.at.getTime() - b.at.getTime());
  const last = new Map<ProbeQuantity, { value: number; at: Date } | null>();
  const readings: DeviceReading[] = [];
  for (const { at, quantity, value } of sorted) {
    if (!last.has(quantity)) last.set(quantity, await findReadingBefore(db, deviceId, quantity, at));
    const before = last.get(quantity) ?? null;
    const setAside = whyAside({
      quantity,
      value,
      fromNowH: (at.getTime() - now.getTime()) / HOUR_MS,
      before: before && {
        value: before.value,
        hoursEarlier: (at.getTime() - before.at.getTime()) / HOUR_MS,
      },
    });
    if (setAside === null) last.set(quantity, { value, at });
    readings.push({ deviceId, quantity, at, value, setAside });
  }
  return readings;
}

/**
 * Takes what a device posts. The same figure posted again is no second one; hours that come late are welcome; what can't be is kept apart.
 * @throws {Refusal} `not-found` for a token that no device has, `bad-request` with the fields at fault
 */
export async function takeReadings(pool: Database, now: Date, token: string, input: unknown): Promise<Posted> {
  const device = await findDeviceByToken(pool, hashOf(token));
  if (!device) throw new Refusal("not-found", "No device has this token.");
  const fields = checkRequest("postReadings", input);
  if (fields) throw new Refusal("bad-request", "This is not what a device posts.", fields);
  const posted = input as PostedReadings;
  return inTransaction(pool, async (db) => {
    await lockDevice(db, device.id);
    const figures = posted.readings.map(({ at, quantity, value }) => ({ at: new Date(at), quantity, value }));
    const readings = await sifted(db, device.id, figures, now);
    const fresh = await insertReadings(db, readings, now);
    if (posted.forecast && device.kind === "station")
      await putForecast(
        db,
        device.id,
        posted.forecast.hours.map(({ at, airC, rainMm, windMPerS }) => ({
          at: new Date(at),
          airC,
          rainMm: rainMm ?? null,
          windMPerS: windMPerS ?? null,
        })),
        new Date(posted.forecast.issuedAt),
      );
    if (fresh > 0 || posted.forecast) await keepMovedForecasts(db, now);
    const aside = readings.filter(({ setAside }) => setAside !== null);
    return {
      taken: Math.max(0, fresh - aside.length),
      known: readings.length - fresh,
      setAside: aside.map(({ at, quantity, setAside }) => ({ at: at.toISOString(), quantity, why: setAside! })),
    };
  });
}
