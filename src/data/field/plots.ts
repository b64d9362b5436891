import "server-only";
import { insert, select, type Queryable } from "../db";

export type PlotStage = "bare" | "seedling" | "growing" | "flowering" | "fruiting" | "perennial";

export interface Plot {
  readonly id: number;
  readonly name: string;
  readonly crop: string;
  readonly stage: PlotStage;
  readonly areaM2: number;
  readonly plants: number | null;
  readonly leafEaten: boolean;
  readonly harvestOn: string | null;
  readonly xM: number;
  readonly yM: number;
  readonly widthM: number;
  readonly lengthM: number;
}

export type NewPlot = Omit<Plot, "id" | "areaM2"> & { readonly actorId: number; readonly addedAt: Date };

export interface Tool {
  readonly id: number;
  readonly name: string;
  readonly kind: "can" | "knapsack" | "injector";
  readonly volumeL: number;
  readonly stepMl: number | null;
  readonly partsWater: number | null;
}

interface PlotRow {
  id: number;
  name: string;
  crop: string;
  stage: PlotStage;
  area_m2: string;
  plants: number | null;
  leaf_eaten: number;
  harvest_on: string | null;
  x_m: string;
  y_m: string;
  width_m: string;
  length_m: string;
}
interface ToolRow {
  id: number;
  name: string;
  kind: Tool["kind"];
  volume_l: string;
  step_ml: string | null;
  parts_water: string | null;
}

const SELECT_PLOTS =
  "select id, name, crop, stage, area_m2, plants, leaf_eaten, harvest_on, x_m, y_m, width_m, length_m from plot order by id";
const INSERT_PLOT = `
  insert into plot (name, crop, stage, area_m2, plants, leaf_eaten, harvest_on, x_m, y_m, width_m, length_m, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;
const SELECT_TOOLS = "select id, name, kind, volume_l, step_ml, parts_water from tool order by id";
const INSERT_TOOL = "insert into tool (name, kind, volume_l, step_ml, parts_water) values (?, ?, ?, ?, ?)";

const toPlot = (row: PlotRow): Plot => ({
  id: row.id,
  name: row.name,
  crop: row.crop,
  stage: row.stage,
  areaM2: Number(row.area_m2),
  plants: row.plants,
  leafEaten: row.leaf_eaten === 1,
  harvestOn: row.harvest_on,
  xM: Number(row.x_m),
  yM: Number(row.y_m),
  widthM: Number(row.width_m),
  lengthM: Number(row.length_m),
});
const numberOrNull = (text: string | null) => (text === null ? null : Number(text));
const toTool = (row: ToolRow): Tool => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  volumeL: Number(row.volume_l),
  stepMl: numberOrNull(row.step_ml),
  partsWater: numberOrNull(row.parts_water),
});

export const listPlots = async (db: Queryable): Promise<Plot[]> =>
  (await select<PlotRow>(db, SELECT_PLOTS)).map(toPlot);
export const insertPlot = (db: Queryable, plot: NewPlot): Promise<number> =>
  insert(db, INSERT_PLOT, [
    plot.name,
    plot.crop,
    plot.stage,
    (plot.widthM * plot.lengthM).toFixed(2),
    plot.plants,
    plot.leafEaten ? 1 : 0,
    plot.harvestOn,
    plot.xM,
    plot.yM,
    plot.widthM,
    plot.lengthM,
    plot.actorId,
    plot.addedAt,
  ]);

export const listTools = async (db: Queryable): Promise<Tool[]> =>
  (await select<ToolRow>(db, SELECT_TOOLS)).map(toTool);
export const insertTool = (db: Queryable, tool: Omit<Tool, "id">): Promise<number> =>
  insert(db, INSERT_TOOL, [tool.name, tool.kind, tool.volumeL, tool.stepMl, tool.partsWater]);
