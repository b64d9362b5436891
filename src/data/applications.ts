import "server-only";
import type { Load } from "@/core/apply/loads";
import { insert, select, type Queryable } from "./db";

export interface NewApplication {
  readonly storeId: number;
  readonly useId: string;
  readonly partsWater: number;
  readonly mixRateL: number;
  readonly mixRatePer: "m2" | "plant";
  readonly toolId: number;
  readonly mixL: number;
  readonly concentrateL: number;
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
}

interface PlotApplicationRow {
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
  insert into application (store_id, use_id, parts_water, mix_rate_l, mix_rate_per, tool_id, mix_l, concentrate_l, loads, labour_min, override_reason, at, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const INSERT_PLOT = "insert into application_plot (application_id, plot_id, mix_l, concentrate_l) values (?, ?, ?, ?)";
const SELECT = `
  select application.id as application_id, part.plot_id, store.batch_id, store.label as store_label, application.use_id, application.parts_water,
         part.mix_l, part.concentrate_l, application.mix_l as application_mix_l, application.labour_min, application.at, actor.name as actor_name
  from application_plot part
  join application on application.id = part.application_id
  join store on store.id = application.store_id
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
): Promise<number> => insert(db, INSERT_PLOT, [applicationId, plotId, mixL.toFixed(3), concentrateL.toFixed(3)]);

/** The newest application of each plot that ever got one. */
export const listLatestByPlot = async (db: Queryable): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_LATEST)).map(toPlotApplication);
/** Everything that plots got, newest first. */
export const listPlotApplications = async (db: Queryable): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_ALL)).map(toPlotApplication);
export const listApplicationsOfBatch = async (db: Queryable, batchId: number): Promise<PlotApplication[]> =>
  (await select<PlotApplicationRow>(db, SELECT_OF_BATCH, [batchId])).map(toPlotApplication);
