import "server-only";
import type { BroughtAmounts } from "@/core/apply/brought";
import type { Load } from "@/core/apply/loads";
import type { Carried } from "@/core/safety/carried";
import { insert, places, select, type Queryable } from "../db";

export interface NewApplication {
  readonly storeId: number;
  readonly useId: string;
  readonly partsWater: number;
  readonly mixRateL: number;
  readonly mixRatePer: "m2" | "plant" | "whole";
  readonly toolId: number;
  readonly mixL: number;
  readonly concentrateL: number;
  /** What it carried, by code. */
  readonly carries: readonly Carried[];
  readonly loads: readonly Load[];
  readonly labourMin: number;
  readonly overrideReason: string | null;
  readonly note: string;
  readonly weather: WeatherThen | null;
  /** What a litre of the concentrate brought, g, as known at that hour. */
  readonly brings: BroughtAmounts;
  /** What it went on together with, in one can; null where it went on alone. */
  readonly blendId: number | null;
  /** How deep a solid was worked in, cm; null where it was not. */
  readonly depthCm: number | null;
  readonly at: Date;
  readonly actorId: number;
  readonly addedAt: Date;
}

/** What one plot got once, with what is needed to price it. */
export interface PlotApplication {
  readonly applicationId: number;
  readonly plotId: number;
  readonly batchId: number;
  readonly storeLabel: string;
  readonly useId: string;
  readonly partsWater: number;
  readonly mixL: number;
  readonly concentrateL: number;
  readonly applicationMixL: number;
  readonly labourMin: number;
  readonly at: Date;
  readonly actorName: string;
  readonly methodId: string;
  readonly carries: readonly Carried[];
  /** The day from which the plot may be harvested again; null where nothing was carried. */
  readonly clearOn: string | null;
  readonly batchName: string;
  /** What was done otherwise than planned. */
  readonly note: string;
  readonly overrideReason: string | null;
  readonly weather: WeatherThen | null;
  /** What was in the can with it; null where it went on alone. */
  readonly blendedWith: string | null;
  readonly depthCm: number | null;
}

/** The weather of an hour in which something was put on. */
export interface WeatherThen {
  readonly airC: number;
  readonly rainMm: number | null;
  readonly windMPerS: number | null;
  /** Whether a station measured it, or the usual year stands for it. */
  readonly source: "measured" | "expected" | "usual";
}

interface PlotApplicationRow {
  method_id: string;
  carries: string;
  clear_on: string | null;
  batch_name: string;
  note: string;
  override_reason: string | null;
  weather: WeatherThen | string | null;
  application_id: number;
  plot_id: number;
  batch_id: number;
  store_label: string;
  use_id: string;
  parts_water: string;
  mix_l: string;
  concentrate_l: string;
  application_mix_l: string;
  labour_min: string;
  at: Date;
  actor_name: string;
  blended_with: string | null;
  depth_cm: string | null;
}

const INSERT_APPLICATION = `
  insert into application (store_id, use_id, parts_water, mix_rate_l, mix_rate_per, tool_id, mix_l, concentrate_l, carries, loads, labour_min, override_reason, note, weather, brings, blend_id, depth_cm, at, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const INSERT_PLOT =
  "insert into application_plot (application_id, plot_id, mix_l, concentrate_l, clear_on) values (?, ?, ?, ?, ?)";
const SELECT = `
  select application.id as application_id, part.plot_id, store.batch_id, store.label as store_label, application.use_id, application.parts_water,
         part.mix_l, part.concentrate_l, application.mix_l as application_mix_l, application.labour_min, application.at, application.actor_id, actor.name as actor_name,
         batch.method_id, json_value(batch.recipe, '$.shortName') as batch_name, application.carries, part.clear_on, application.note,
         application.override_reason, application.weather, application.depth_cm,
         other_store.label as blended_with
  from application_plot part
  join application on application.id = part.application_id
  join store on store.id = application.store_id
  join batch on batch.id = store.batch_id
  join actor on actor.id = application.actor_id
  left join application other on other.blend_id = application.blend_id and other.id <> application.id
  left join store other_store on other_store.id = other.store_id
  left join application_taken_back gone on gone.application_id = application.id
  where gone.application_id is null`;
const SELECT_ALL = `${SELECT} order by application.at desc, application.id desc, part.plot_id`;
const SELECT_OF_BATCH = `${SELECT} and store.batch_id = ? order by application.at desc, application.id desc, part.plot_id`;

const toPlotApplication = (row: PlotApplicationRow): PlotApplication => ({
  applicationId: row.application_id,
  plotId: row.plot_id,
  batchId: row.batch_id,
  storeLabel: row.store_label,
  useId: row.use_id,
  partsWater: Number(row.parts_water),
  mixL: Number(row.mix_l),
  concentrateL: Number(row.concentrate_l),
  applicationMixL: Number(row.application_mix_l),
  labourMin: Number(row.labour_min),
  at: row.at,
  actorName: row.actor_name,
  methodId: row.method_id,
  carries: row.carries === "" ? [] : (row.carries.split(" ") as Carried[]),
  clearOn: row.clear_on,
  batchName: row.batch_name,
  note: row.note,
  overrideReason: row.override_reason,
  weather: typeof row.weather === "string" ? (JSON.parse(row.weather) as WeatherThen) : row.weather,
  blendedWith: row.blended_with,
  depthCm: row.depth_cm === null ? null : Number(row.depth_cm),
});

export const insertApplication = (db: Queryable, made: NewApplication): Promise<number> =>
  insert(db, INSERT_APPLICATION, [
    made.storeId,
    made.useId,
    made.partsWater.toFixed(3),
    made.mixRateL,
    made.mixRatePer,
    made.toolId,
    made.mixL.toFixed(3),
    made.concentrateL.toFixed(3),
    made.carries.join(" "),
    JSON.stringify(made.loads),
    made.labourMin,
    made.overrideReason,
    made.note,
    made.weather && JSON.stringify(made.weather),
    JSON.stringify(made.brings),
    made.blendId,
    made.depthCm,
    made.at,
    made.actorId,
    made.addedAt,
  ]);
export const insertApplicationPlot = (
  db: Queryable,
  applicationId: number,
  plotId: number,
  mixL: number,
  concentrateL: number,
  clearOn: string | null,
): Promise<number> =>
  insert(db, INSERT_PLOT, [applicationId, plotId, mixL.toFixed(3), concentrateL.toFixed(3), clearOn]);

/** The day from which each plot that waits may be harvested again, the latest of its applications. @param day from which on, ISO date */
export const listClearDays = async (db: Queryable, day: string): Promise<ReadonlyMap<number, string>> =>
  new Map(
    (
      await select<{ plot_id: number; clear_on: string }>(
        db,
        `select plot_id, max(clear_on) as clear_on from application_plot
         where clear_on >= ? and application_id not in (select application_id from application_taken_back) group by plot_id`,
        [day],
      )
    ).map(({ plot_id, clear_on }) => [plot_id, clear_on]),
  );
/** What went on which plot since a moment, the earliest first: no more than a look after it needs. */
export const listDosesSince = async (
  db: Queryable,
  since: Date,
): Promise<
  readonly {
    readonly applicationId: number;
    readonly plotId: number;
    readonly plotName: string;
    readonly atMs: number;
  }[]
> =>
  (
    await select<{ applicationId: number; plotId: number; plotName: string; at: Date }>(
      db,
      `select application.id as applicationId, part.plot_id as plotId, plot.name as plotName, application.at
       from application_plot part join application on application.id = part.application_id join plot on plot.id = part.plot_id
       where application.at >= ? and application.id not in (select application_id from application_taken_back)
       order by application.at, part.plot_id`,
      [since],
    )
  ).map(({ at, ...dose }) => ({ ...dose, atMs: at.getTime() }));

/** Everything that plots got, newest first. */
export const listPlotApplications = async (db: Queryable): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_ALL)).map(toPlotApplication);
export const listApplicationsOfBatch = async (db: Queryable, batchId: number): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_OF_BATCH, [batchId])).map(toPlotApplication);
/** Everything that a plot got, newest first. */
export const listApplicationsOfPlot = async (db: Queryable, plotId: number): Promise<PlotApplication[]> =>
  (
    await select<PlotApplicationRow>(
      db,
      `${SELECT} and part.plot_id = ? order by application.at desc, application.id desc`,
      [plotId],
    )
  ).map(toPlotApplication);
/** What went on these plots since a moment, the earliest first. */
export async function listApplicationsOn(
  db: Queryable,
  plotIds: readonly number[],
  since: Date,
): Promise<(PlotApplication & { readonly actorId: number })[]> {
  if (plotIds.length === 0) return [];
  const sql = `${SELECT} and part.plot_id in (${places(plotIds)}) and application.at >= ? order by application.at, application.id, part.plot_id`;
  const rows = await select<PlotApplicationRow & { actor_id: number }>(db, sql, [...plotIds, since]);
  return rows.map((row) => ({ ...toPlotApplication(row), actorId: row.actor_id }));
}
/** Where these batches went, newest first. */
export async function listApplicationsOfBatches(
  db: Queryable,
  batchIds: readonly number[],
): Promise<PlotApplication[]> {
  if (batchIds.length === 0) return [];
  const sql = `${SELECT} and store.batch_id in (${places(batchIds)}) order by application.at desc, application.id desc, part.plot_id`;
  return (await select<PlotApplicationRow>(db, sql, [...batchIds])).map(toPlotApplication);
}

/** A number under which liquids of one can are put on. */
export const insertBlend = (db: Queryable, addedAt: Date): Promise<number> =>
  insert(db, "insert into blend (added_at) values (?)", [addedAt]);
