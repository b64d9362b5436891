import "server-only";
import type { Load } from "@/core/apply/loads";
import type { Carried } from "@/core/safety/carried";
import { insert, select, type Queryable } from "../db";

export interface NewApplication {
  readonly storeId: number;
  readonly useId: string;
  readonly partsWater: number;
  readonly mixRateL: number;
  readonly mixRatePer: "m2" | "plant";
  readonly toolId: number;
  readonly mixL: number;
  readonly concentrateL: number;
  /** What it carried, by code. */
  readonly carries: readonly Carried[];
  readonly loads: readonly Load[];
  readonly labourMin: number;
  readonly overrideReason: string | null;
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
}

interface PlotApplicationRow {
  method_id: string;
  carries: string;
  clear_on: string | null;
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
}

const INSERT_APPLICATION = `
  insert into application (store_id, use_id, parts_water, mix_rate_l, mix_rate_per, tool_id, mix_l, concentrate_l, carries, loads, labour_min, override_reason, at, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const INSERT_PLOT =
  "insert into application_plot (application_id, plot_id, mix_l, concentrate_l, clear_on) values (?, ?, ?, ?, ?)";
const SELECT = `
  select application.id as application_id, part.plot_id, store.batch_id, store.label as store_label, application.use_id, application.parts_water,
         part.mix_l, part.concentrate_l, application.mix_l as application_mix_l, application.labour_min, application.at, actor.name as actor_name,
         batch.method_id, application.carries, part.clear_on
  from application_plot part
  join application on application.id = part.application_id
  join store on store.id = application.store_id
  join batch on batch.id = store.batch_id
  join actor on actor.id = application.actor_id`;
const SELECT_LATEST = `${SELECT} where application.id = (
    select newest.application_id from application_plot newest where newest.plot_id = part.plot_id order by newest.application_id desc limit 1)`;
const SELECT_ALL = `${SELECT} order by application.at desc, application.id desc, part.plot_id`;
const SELECT_OF_BATCH = `${SELECT} where store.batch_id = ? order by application.at desc, application.id desc, part.plot_id`;

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

/** The day from which each treated plot may be harvested again, the latest of its applications. */
export const listClearDays = async (db: Queryable): Promise<ReadonlyMap<number, string>> =>
  new Map(
    (
      await select<{ plot_id: number; clear_on: string }>(
        db,
        "select plot_id, max(clear_on) as clear_on from application_plot where clear_on is not null group by plot_id",
      )
    ).map(({ plot_id, clear_on }) => [plot_id, clear_on]),
  );
/** When each plot last got something of each method. */
export const listLastByMethod = async (
  db: Queryable,
): Promise<readonly { readonly plotId: number; readonly methodId: string; readonly at: Date }[]> =>
  (
    await select<{ plot_id: number; method_id: string; at: Date }>(
      db,
      `select part.plot_id, batch.method_id, max(application.at) as at
       from application_plot part join application on application.id = part.application_id
       join store on store.id = application.store_id join batch on batch.id = store.batch_id
       group by part.plot_id, batch.method_id`,
    )
  ).map((row) => ({ plotId: row.plot_id, methodId: row.method_id, at: row.at }));

/** The newest application of each plot that ever got one. */
export const listLatestByPlot = async (db: Queryable): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_LATEST)).map(toPlotApplication);
/** Everything that plots got, newest first. */
export const listPlotApplications = async (db: Queryable): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_ALL)).map(toPlotApplication);
export const listApplicationsOfBatch = async (db: Queryable, batchId: number): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_OF_BATCH, [batchId])).map(toPlotApplication);
