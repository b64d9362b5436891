import "server-only";
import type { Farm } from "@/data/farm";
import { listMeasures, type FarmMeasure } from "@/data/measures";
import { listVesselStates, type Vessel } from "@/data/vessels";
import type { Context } from "./context";
import { farmView, type FarmView } from "./farmView";
import { readMaking, type MakingView } from "./readMaking";
import { statusOf, type VesselStatus } from "./readYard";
import { meanAirByDay } from "./weather";

export interface BookView extends MakingView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly vessels: readonly (Vessel & { readonly status: VesselStatus })[];
  /** What a unit on hand cost, by ingredient, in minor money. */
  readonly priceMinor: Readonly<Record<string, number>>;
  readonly labourMinorPerH: number;
  /** Mean air of each day from today on, °C. */
  readonly dailyMeanC: readonly number[];
  readonly measures: readonly FarmMeasure[];
}

/** How far ahead a wanted day may lie, d. */
const DAYS_AHEAD = 150;

/** All that choosing and scaling asks of the farm. */
export async function readBook(ctx: Context, farm: Farm): Promise<BookView> {
  const now = ctx.now();
  const [making, states, measures] = await Promise.all([
    readMaking(ctx),
    listVesselStates(ctx.pool),
    listMeasures(ctx.pool),
  ]);
  return {
    ...making,
    farm: farmView(farm),
    nowMs: now.getTime(),
    vessels: states.map((state) => ({
      id: state.id,
      name: state.name,
      kind: state.kind,
      volumeL: state.volumeL,
      diameterM: state.diameterM,
      site: state.site,
      airW: state.airW,
      status: statusOf(state),
    })),
    priceMinor: Object.fromEntries(
      making.shelf.map(({ ingredientId, lots }) => {
        const received = lots.reduce((sum, lot) => sum + lot.received, 0);
        return [ingredientId, lots.reduce((sum, lot) => sum + lot.costMinor, 0) / received];
      }),
    ),
    labourMinorPerH: farm.labourMinorPerH,
    dailyMeanC: meanAirByDay(farm, now, DAYS_AHEAD),
    measures,
  };
}
