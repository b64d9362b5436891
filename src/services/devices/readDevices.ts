import "server-only";
import type { Aside } from "@/core/probe/plausible";
import { listDevices, type DeviceQuantity, type DeviceKind, listReadingsOf, listSetAside } from "@/data/devices";
import type { Farm } from "@/data/farm";
import { listVesselStates } from "@/data/vessels";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";

const HOUR_MS = 3_600_000;
const SHOWN_H = 72;
/** A device that has not posted for so long is asked after, h. */
const QUIET_H = 4;

export interface DeviceView {
  readonly id: number;
  readonly name: string;
  readonly kind: DeviceKind;
  readonly vesselId: number | null;
  readonly vesselName: string | null;
  readonly retired: boolean;
  readonly lastMs: number | null;
  /** Has been quiet for longer than it should. */
  readonly quiet: boolean;
  readonly series: readonly { readonly atMs: number; readonly quantity: DeviceQuantity; readonly value: number }[];
  readonly setAside: readonly {
    readonly atMs: number;
    readonly quantity: DeviceQuantity;
    readonly value: number;
    readonly aside: Aside;
  }[];
}

export interface DevicesView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly devices: readonly DeviceView[];
  readonly vessels: readonly { readonly id: number; readonly name: string }[];
}

/** The farm's devices with what they posted in the last days, and what of it was kept apart. */
export async function readDevices(ctx: Context, farm: Farm): Promise<DevicesView> {
  const now = ctx.now();
  const [devices, vessels] = await Promise.all([listDevices(ctx.pool), listVesselStates(ctx.pool)]);
  const since = new Date(now.getTime() - SHOWN_H * HOUR_MS);
  const views = await Promise.all(
    devices.map(async (device): Promise<DeviceView> => {
      const [readings, aside] = await Promise.all([
        listReadingsOf(ctx.pool, device.id, since),
        listSetAside(ctx.pool, device.id),
      ]);
      const lastMs = device.lastAt?.getTime() ?? null;
      return {
        id: device.id,
        name: device.name,
        kind: device.kind,
        vesselId: device.vesselId,
        vesselName: device.vesselName,
        retired: device.retiredAt !== null,
        lastMs,
        quiet:
          device.kind !== "logger" &&
          device.retiredAt === null &&
          (lastMs === null || now.getTime() - lastMs > QUIET_H * HOUR_MS),
        series: readings
          .filter(({ setAside, at }) => setAside === null && at <= now)
          .map(({ at, quantity, value }) => ({ atMs: at.getTime(), quantity, value })),
        setAside: aside.map(({ at, quantity, value, setAside }) => ({
          atMs: at.getTime(),
          quantity,
          value,
          aside: setAside!,
        })),
      };
    }),
  );
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    devices: views,
    vessels: vessels.map(({ id, name }) => ({ id, name })),
  };
}
