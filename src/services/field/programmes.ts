import "server-only";
import { ID, NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { isOnPlan } from "@/core/apply/elsewhere";
import { groupBy } from "@/core/groupBy";
import { findRecipe } from "@/core/book";
import { findUseRate } from "@/core/book/useRate";
import { USE_IDS } from "@/core/book/uses";
import { addDays } from "@/core/calendar";
import {
  GROWTH_STAGES,
  nextPlanting,
  plantingOn,
  stageOn,
  type GrowthStage,
  type Planting,
} from "@/core/land/planting";
import type { FactDue, FactPlot } from "@/core/plan/farm";
import {
  clashesOf,
  daysDue,
  type Clash,
  type Due,
  type Programme,
  type ProgrammePlot,
} from "@/core/programme/programme";
import { insertProgramme, listHarvestRules, listLastByMethod, listPlantings, listProgrammes } from "@/data/field";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import { act } from "../act";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { readPlots } from "./readPlots";
import { atField, refuse } from "../refusal";
import { lastSameDays, sinceLastYear } from "./lastSame";

const STEP = object(["methodId", "use", "everyD", "from", "to"], {
  methodId: ID,
  use: { enum: USE_IDS },
  partsWater: orNull({ type: "number", minimum: 0, maximum: 100_000 }),
  mixLPerM2: orNull({ type: "number", minimum: 0.001, maximum: 100 }),
  everyD: { type: "integer", minimum: 1, maximum: 365 },
  from: { enum: GROWTH_STAGES },
  to: { enum: GROWTH_STAGES },
});

const SET_PROGRAMME = object(["requestKey", "name", "crops", "steps"], {
  requestKey: REQUEST_KEY,
  /** Null for a new one. */
  programmeId: orNull(ROW_ID),
  name: { ...NAME, maxLength: 60 },
  crops: { type: "array", maxItems: 40, uniqueItems: true, items: { ...NAME, maxLength: 40 } },
  steps: { type: "array", maxItems: 40, items: STEP },
  putAway: { type: "boolean" },
});

/** What crops of a kind are given over a season, told or told anew; what was said before stays readable. @throws {Refusal} */
export const setProgramme = act(
  { name: "setProgramme", schema: SET_PROGRAMME, may: "grower" },
  async (db, request, ctx): Promise<{ programmeId: number; rowId: number }> => {
    const programmeId = request.programmeId ?? null;
    const known = await listProgrammes(db);
    if (programmeId !== null && !known.some(({ id }) => id === programmeId))
      throw refuse("not-found", { thing: "programme" }, "/programmeId");
    for (const [index, { methodId, use }] of request.steps.entries()) {
      const recipe = atField(`/steps/${index}/methodId`, () => findRecipe(methodId));
      if (!findUseRate(recipe, use)) throw refuse("use-not-of-method", { method: recipe.name }, `/steps/${index}/use`);
    }
    const rowId = await insertProgramme(db, programmeId, {
      name: request.name.trim(),
      crops: request.crops.map((crop) => crop.trim()),
      steps: request.steps.map(({ partsWater = null, mixLPerM2 = null, ...step }) => ({
        ...step,
        partsWater,
        mixLPerM2,
      })),
      isPutAway: request.putAway ?? false,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { programmeId: programmeId ?? rowId, rowId };
  },
);

/** A plot with what it is given by the programmes. */
export interface PlotCalendar {
  readonly id: number;
  readonly name: string;
  readonly crop: string;
  readonly stage: GrowthStage;
  readonly dues: readonly Due[];
  readonly clashes: readonly Clash[];
}

export interface ProgrammesView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly today: string;
  readonly untilDay: string;
  readonly programmes: readonly Programme[];
  /** Plots that something stands on or is to be planted on, in the order of the field. */
  readonly plots: readonly PlotCalendar[];
}

const CALENDAR_D = 182;

/** A plot that something stands on or is to be planted on, as its programmes see it. */
interface CalendarPlot {
  readonly id: number;
  readonly name: string;
  readonly areaM2: number;
  readonly planting: Planting;
  readonly plot: ProgrammePlot;
  readonly dues: readonly Due[];
}

async function loadCalendar(db: Queryable, farm: Farm, now: Date, untilDay: string) {
  const today = isoDay(now, farm);
  const programmes = await listProgrammes(db);
  if (programmes.length === 0) return { programmes, plots: [], rules: [] };
  const [plots, plantings, made, rules] = await Promise.all([
    readPlots(db, today),
    listPlantings(db),
    listLastByMethod(db, sinceLastYear(now)),
    listHarvestRules(db),
  ]);
  const plantingsOf = groupBy(plantings, ({ plotId }) => plotId);
  const madeOf = groupBy(made, ({ plotId }) => plotId);
  const calendars = plots.filter(isOnPlan).flatMap(({ id, name, areaM2 }): CalendarPlot[] => {
    const own = plantingsOf.get(id) ?? [];
    const planting = plantingOn(own, today) ?? nextPlanting(own, today);
    if (!planting) return [];
    const ofPlot = madeOf.get(id) ?? [];
    const plot: ProgrammePlot = {
      id,
      planting,
      lastByMethod: Object.fromEntries(
        ofPlot.map(({ methodId }) => [methodId, lastSameDays(ofPlot, id, methodId, now)!]),
      ),
    };
    return [{ id, name, areaM2, planting, plot, dues: daysDue(plot, programmes, today, untilDay) }];
  });
  return { programmes, plots: calendars, rules };
}

/** What the programmes ask for on each plot, from today to a last day. */
export async function readCalendar(
  db: Queryable,
  farm: Farm,
  now: Date,
  untilDay: string,
): Promise<{ readonly programmes: readonly Programme[]; readonly plots: readonly PlotCalendar[] }> {
  const { programmes, plots, rules } = await loadCalendar(db, farm, now, untilDay);
  const today = isoDay(now, farm);
  return {
    programmes,
    plots: plots.map(({ id, name, planting, plot, dues }) => ({
      id,
      name,
      crop: planting.crop,
      stage: stageOn(planting, today),
      dues,
      clashes: clashesOf(plot, dues, rules),
    })),
  };
}

/** Days after its own that a due application may be looked at for the season. */
const MOST_LATER_D = 4;

/** The same for the season: what falls into the days before picking is left out, and of the rest it is told until when it may be given. */
export async function readSeasonPlots(db: Queryable, farm: Farm, now: Date, untilDay: string): Promise<FactPlot[]> {
  const { programmes, plots, rules } = await loadCalendar(db, farm, now, untilDay);
  const today = isoDay(now, farm);
  const stepOf = ({ programmeId, step }: Due) => programmes.find(({ id }) => id === programmeId)!.steps[step]!;
  return plots.map(({ id, name, areaM2, planting, plot, dues }) => ({
    id,
    name,
    crop: planting.crop,
    areaM2,
    dues: dues.flatMap((due): FactDue[] => {
      const day = due.day < today ? today : due.day;
      const mayBeOn = (on: string): boolean =>
        !clashesOf(plot, [{ ...due, day: on }], rules).some(({ code }) => code === "before-harvest");
      if (!mayBeOn(day)) return [];
      let laterD = 0;
      while (laterD < MOST_LATER_D && mayBeOn(addDays(day, laterD + 1))) laterD += 1;
      const { everyD, partsWater, mixLPerM2 } = stepOf(due);
      return [
        {
          programmeId: due.programmeId,
          step: due.step,
          methodId: due.methodId,
          use: due.use,
          everyD,
          day,
          latestOn: addDays(day, laterD),
          partsWater,
          mixLPerM2,
        },
      ];
    }),
  }));
}

/** The farm's programmes, and what they come to over half a year. */
export async function readProgrammes(ctx: Context, farm: Farm): Promise<ProgrammesView> {
  const now = ctx.now();
  const today = isoDay(now, farm);
  const untilDay = addDays(today, CALENDAR_D);
  const { programmes, plots } = await readCalendar(ctx.pool, farm, now, untilDay);
  return { farm: farmView(farm), nowMs: now.getTime(), today, untilDay, programmes, plots };
}
