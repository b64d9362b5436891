import "server-only";
import { isInline } from "@/core/apply/tool";
import { METHODS } from "@/core/book";
import { leadTime, type LeadTime } from "@/core/choose/leadTime";
import { startFor, type StartAnswer } from "@/core/choose/startFor";
import { farmRecipe } from "@/core/recipe/pick";
import { type Farm, listMeasures, type FarmMeasure } from "@/data/farm";
import { listPlots, listTools, type Plot } from "@/data/field";
import { listVesselStates, type Vessel } from "@/data/vessels";
import { noonOf } from "@/formats/times";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readMaking, type MakingView } from "../fill";
import { statusOf, type VesselStatus } from "../yard";
import { meanAirByDay } from "../weather";

export interface StartView {
  readonly methodId: string;
  readonly answer: StartAnswer;
}

export interface BookView extends MakingView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly vessels: readonly (Vessel & { readonly status: VesselStatus })[];
  /** What a unit on hand cost, by ingredient, in minor money. */
  readonly priceMinor: Readonly<Record<string, number>>;
  readonly labourMinorPerH: number;
  /** Mean air of the next days, °C. */
  readonly airC: number;
  /** How long each method takes from today on, in the air that is expected, by the farm's own choice of recipe. */
  readonly lead: Readonly<Record<string, LeadTime>>;
  /** The same in an ordinary room. */
  readonly leadIndoors: Readonly<Record<string, LeadTime>>;
  /** When to start each for a wanted day; null where none was asked for. */
  readonly wanted: {
    readonly day: string;
    readonly problem: string | null;
    readonly starts: readonly StartView[];
  } | null;
  readonly measures: readonly FarmMeasure[];
  /** Beds that a batch may be made for. */
  readonly beds: readonly Pick<Plot, "id" | "name" | "crop" | "areaM2">[];
  /** What the farm's largest can or knapsack holds, L; null where it has none. */
  readonly canL: number | null;
}

/** How far ahead a wanted day may lie, d. */
const DAYS_AHEAD = 150;

/** The forecast's reach: what a batch that is started now would stand in. */
const LEAD_DAYS = 10;
const DAY_MS = 86_400_000;
/** Liquid in an ordinary room. */
const ROOM_C = 20;

const meanOf = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** When each method would have to be started for the noon of a day; what fits first, the latest start in front. */
function startsFor(
  day: string,
  farm: Farm,
  making: MakingView,
  dailyMeanC: readonly number[],
  now: Date,
): BookView["wanted"] {
  const wantedMs = noonOf(day, farm).getTime();
  const none = (problem: string) => ({ day, problem, starts: [] });
  if (!Number.isFinite(wantedMs)) return none("That is no day.");
  if (wantedMs < now.getTime() - DAY_MS) return none("That day has been.");
  if (wantedMs > now.getTime() + (DAYS_AHEAD - 1) * DAY_MS)
    return none("That is too far ahead: within five months, please.");
  const meanC = (fromMs: number, toMs: number) => {
    const dayOf = (ms: number) => Math.max(0, Math.floor((ms - now.getTime()) / DAY_MS));
    return meanOf(dailyMeanC.slice(dayOf(fromMs), dayOf(toMs) + 1));
  };
  const starts = METHODS.filter(({ family }) => family !== "preparation").map(({ id }) => ({
    methodId: id,
    answer: startFor(farmRecipe(making, id), now.getTime(), wantedMs, meanC),
  }));
  const rank = ({ answer }: StartView) => (answer.fits ? answer.startAtMs : Infinity);
  return { day, problem: null, starts: starts.toSorted((a, b) => rank(a) - rank(b)) };
}

/** All that choosing and scaling asks of the farm. */
export async function readBook(ctx: Context, farm: Farm, day: string | null): Promise<BookView> {
  const now = ctx.now();
  const dailyMeanC = await meanAirByDay(ctx.pool, farm, now, DAYS_AHEAD);
  const [making, states, measures, plots, tools] = await Promise.all([
    readMaking(ctx, farm.timeZone),
    listVesselStates(ctx.pool),
    listMeasures(ctx.pool),
    listPlots(ctx.pool, isoDay(now, farm)),
    listTools(ctx.pool),
  ]);
  const cansL = tools.flatMap(({ kind, volumeL }) => (isInline(kind) || kind === "tote" ? [] : [volumeL]));
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
      heldBefore: state.heldBefore,
      state: state.state,
      status: statusOf(state),
    })),
    priceMinor: Object.fromEntries(
      making.shelf.map(({ ingredientId, unitCostMinor }) => [ingredientId, unitCostMinor]),
    ),
    labourMinorPerH: farm.labourMinorPerH,
    airC: meanOf(dailyMeanC.slice(0, LEAD_DAYS)),
    lead: Object.fromEntries(
      METHODS.map(({ id }) => [id, leadTime(farmRecipe(making, id), meanOf(dailyMeanC.slice(0, LEAD_DAYS)))]),
    ),
    leadIndoors: Object.fromEntries(METHODS.map(({ id }) => [id, leadTime(farmRecipe(making, id), ROOM_C)])),
    wanted: day === null ? null : startsFor(day, farm, making, dailyMeanC, now),
    measures,
    beds: plots.map(({ id, name, crop, areaM2 }) => ({ id, name, crop, areaM2 })),
    canL: cansL.length > 0 ? Math.max(...cansL) : null,
  };
}
