import "server-only";
import { isOnPlan } from "@/core/apply/elsewhere";
import { METHODS } from "@/core/book";
import { centreOf, type Ring } from "@/core/land/ring";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readPlots } from "../field";

/** What a trial is begun from. */
export interface TrialStartView {
  readonly farm: FarmView;
  readonly today: string;
  readonly methods: readonly { readonly id: string; readonly name: string }[];
  readonly plots: readonly {
    readonly id: number;
    readonly name: string;
    readonly crop: string;
    /** Outline on the plan; null for what lies nowhere on it. */
    readonly ring: Ring | null;
    readonly areaM2: number;
  }[];
}

/** Beds from north to south and west to east, with what grows there; inputs by the book. */
export async function readTrialStart(ctx: Context, farm: Farm): Promise<TrialStartView> {
  const today = isoDay(ctx.now(), farm);
  const plots = await readPlots(ctx.pool, today);
  return {
    ...{ farm: farmView(farm), today, methods: METHODS.map(({ id, name }) => ({ id, name })) },
    plots: plots
      .map((plot) => ({ plot, at: isOnPlan(plot) ? centreOf(plot.ring) : ([0, Infinity] as const) }))
      .toSorted((one, other) => one.at[1] - other.at[1] || one.at[0] - other.at[0])
      .map(({ plot }) => ({
        ...{ id: plot.id, name: plot.name, crop: plot.crop, areaM2: plot.areaM2 },
        ring: isOnPlan(plot) ? plot.ring : null,
      })),
  };
}
