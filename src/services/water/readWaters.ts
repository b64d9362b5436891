import "server-only";
import { listOpenStarts, listWaters, type FarmWater, type WaterStart } from "@/data/water";
import type { Context } from "../context";

/** Started water is shown for a week; after that it was used or tipped out. */
const WATER_KEPT_MS = 7 * 86_400_000;

export type WaterView = Omit<FarmWater, "readAt"> & { readonly readMs: number | null };
export type WaterStartView = Omit<WaterStart, "startedAt" | "readyAt"> & {
  readonly startedMs: number;
  readonly readyMs: number;
};

/** The farm's waters, and what stands or bubbles just now. */
export interface WatersView {
  readonly nowMs: number;
  readonly waters: readonly WaterView[];
  readonly starts: readonly WaterStartView[];
}

export async function readWaters(ctx: Context): Promise<WatersView> {
  const now = ctx.now();
  const [waters, starts] = await Promise.all([
    listWaters(ctx.pool),
    listOpenStarts(ctx.pool, new Date(now.getTime() - WATER_KEPT_MS)),
  ]);
  return {
    nowMs: now.getTime(),
    waters: waters.map(({ readAt, ...water }) => ({ ...water, readMs: readAt?.getTime() ?? null })),
    starts: starts.map(({ startedAt, readyAt, ...start }) => ({
      ...start,
      startedMs: startedAt.getTime(),
      readyMs: readyAt.getTime(),
    })),
  };
}
