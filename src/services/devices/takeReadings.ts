import "server-only";
import { createHash } from "node:crypto";
import { MOMENT, object } from "@/contracts/parts";
import { CLOCK_AHEAD_H, PROBE_QUANTITIES, whyAside, type AsideCode, type ProbeQuantity } from "@/core/probe/plausible";
import { inTransaction, type Database, type Queryable } from "@/data/db";
import {
  findDeviceByToken,
  lockDevice,
  type DeviceHead,
  findReadingBefore,
  insertReadings,
  type DeviceReading,
  putForecast,
} from "@/data/devices";
import { bareAct, type Asked } from "../act";
import type { Context } from "../context";
import { keepMovedForecasts } from "../ferment";
import { refuse } from "../refusal";

const HOUR_MS = 3_600_000;

/** What a device posts to /api/readings: figures of any past hour, and, from a station, what it expects. */
const POST_READINGS = object(["readings"], {
  readings: {
    type: "array",
    maxItems: 5000,
    items: object(["at", "quantity", "value"], {
      at: MOMENT,
      quantity: { enum: PROBE_QUANTITIES },
      value: { type: "number", minimum: -10_000, maximum: 10_000 },
    }),
  },
  forecast: object(["issuedAt", "hours"], {
    issuedAt: MOMENT,
    hours: {
      type: "array",
      maxItems: 400,
      items: object(["at", "airC"], {
        at: MOMENT,
        airC: { type: "number", minimum: -60, maximum: 60 },
        rainMm: { type: "number", minimum: 0, maximum: 300 },
        windMPerS: { type: "number", minimum: 0, maximum: 80 },
      }),
    },
  }),
});

/** A forecast further ahead than this is nobody's, d. */
const FORECAST_AHEAD_D = 20;

/** What became of a post: figures taken, figures that were there already, and those set aside with why. */
export interface Posted {
  readonly taken: number;
  readonly known: number;
  readonly setAside: readonly {
    readonly at: string;
    readonly quantity: ProbeQuantity | "forecast";
    readonly code: AsideCode | "too-far";
  }[];
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

/** Keeps what a station expects, as far as it can be; what can't be is said and left. */
async function takeForecast(
  db: Queryable,
  deviceId: number,
  { issuedAt, hours }: NonNullable<PostedReadings["forecast"]>,
  now: Date,
): Promise<Posted["setAside"]> {
  const latest = new Date(now.getTime() + CLOCK_AHEAD_H * HOUR_MS);
  if (new Date(issuedAt) > latest) return [{ at: issuedAt, quantity: "forecast", code: "clock-ahead" }];
  const farthest = new Date(now.getTime() + FORECAST_AHEAD_D * 24 * HOUR_MS);
  const expected = hours.map(({ at, airC, rainMm, windMPerS }) => ({
    at: new Date(at),
    airC,
    rainMm: rainMm ?? null,
    windMPerS: windMPerS ?? null,
  }));
  const near = expected.filter(({ at }) => at <= farthest);
  await putForecast(db, deviceId, near, new Date(issuedAt), latest);
  return expected
    .filter(({ at }) => at > farthest)
    .map(({ at }) => ({ at: at.toISOString(), quantity: "forecast" as const, code: "too-far" as const }));
}

export type PostedReadings = Asked<typeof POST_READINGS>;

/** A device that said who it is. */
export interface DeviceAsker extends Pick<Context, "pool" | "now"> {
  readonly device: DeviceHead;
}

/** The device of a token, or null. */
export const deviceOf = (pool: Database, token: string): Promise<DeviceHead | null> =>
  findDeviceByToken(pool, hashOf(token));

/**
 * Takes what a device posts. The same figure posted again is no second one; hours that come late are welcome; what can't be is kept apart.
 * @throws {Refusal} `bad-request` with the fields at fault
 */
export const postReadings = bareAct(
  { name: "postReadings", schema: POST_READINGS, may: "device" },
  ({ pool, now: clock, device }: DeviceAsker, posted): Promise<Posted> => {
    const now = clock();
    return inTransaction(pool, async (db) => {
      await lockDevice(db, device.id);
      const figures = posted.readings.map(({ at, quantity, value }) => ({ at: new Date(at), quantity, value }));
      const readings = await sifted(db, device.id, figures, now);
      const fresh = await insertReadings(db, readings, now);
      const forecastAside =
        posted.forecast && device.kind === "station" ? await takeForecast(db, device.id, posted.forecast, now) : [];
      if (fresh > 0 || posted.forecast) await keepMovedForecasts(db, now);
      const aside = readings.flatMap(({ at, quantity, setAside }) =>
        setAside ? [{ at: at.toISOString(), quantity, code: setAside.code }] : [],
      );
      return {
        taken: Math.max(0, fresh - aside.length),
        known: readings.length - fresh,
        setAside: [...aside, ...forecastAside],
      };
    });
  },
);

/** The same from within: a device's post by its token. @throws {Refusal} `not-found` for a token that no device has */
export async function takeReadings(pool: Database, now: Date, token: string, input: unknown): Promise<Posted> {
  const device = await deviceOf(pool, token);
  if (!device) throw refuse("not-found", { thing: "device" });
  return postReadings({ pool, now: () => now, device }, input);
}
