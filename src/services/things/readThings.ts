import "server-only";
import type { Farm } from "@/data/farm";
import { listDevices } from "@/data/devices";
import { listThings, type ThingFacts, type ThingKind, type ThingState } from "@/data/things";
import { listVesselStates } from "@/data/vessels";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";

/** One of the farm's things, with what speaks against putting it away. */
export interface ThingView {
  readonly id: number;
  readonly name: string;
  readonly state: ThingState;
  readonly facts: ThingFacts;
  readonly busy: boolean;
}

export interface ThingsView {
  readonly farm: FarmView;
  readonly kind: ThingKind;
  readonly things: readonly ThingView[];
}

/** All things of a kind, those that are put away as well. */
export async function readThings(ctx: Context, farm: Farm, kind: ThingKind): Promise<ThingsView> {
  const [things, devices, vessels] = await Promise.all([
    listThings(ctx.pool, kind),
    kind === "device" ? listDevices(ctx.pool) : [],
    kind === "vessel" ? listVesselStates(ctx.pool) : [],
  ]);
  const retired = new Set(devices.filter(({ retiredAt }) => retiredAt !== null).map(({ id }) => id));
  const filled = new Set(vessels.filter(({ batchId, ended }) => batchId !== null && !ended).map(({ id }) => id));
  return {
    farm: farmView(farm),
    kind,
    things: things.map(({ id, facts }) => ({
      id,
      name: String(facts.name),
      state: (kind === "device" ? (retired.has(id) ? "retired" : "in-use") : facts.state) as ThingState,
      facts,
      busy: filled.has(id) || (kind === "person" && id === ctx.actor.id),
    })),
  };
}
