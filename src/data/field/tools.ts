import "server-only";
import type { ToolKind } from "@/core/apply/tool";
import { insert, select, type Queryable } from "../db";

export interface Tool {
  readonly id: number;
  readonly name: string;
  readonly kind: ToolKind;
  readonly volumeL: number;
  readonly stepMl: number | null;
  readonly partsWater: number | null;
}

interface ToolRow {
  id: number;
  name: string;
  kind: Tool["kind"];
  volume_l: string;
  step_ml: string | null;
  parts_water: string | null;
}

const SELECT_TOOLS =
  "select id, name, kind, volume_l, step_ml, parts_water from tool where state = 'in-use' order by id";
const INSERT_TOOL = "insert into tool (name, kind, volume_l, step_ml, parts_water) values (?, ?, ?, ?, ?)";

const numberOrNull = (text: string | null) => (text === null ? null : Number(text));
const toTool = (row: ToolRow): Tool => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  volumeL: Number(row.volume_l),
  stepMl: numberOrNull(row.step_ml),
  partsWater: numberOrNull(row.parts_water),
});

export const listTools = async (db: Queryable): Promise<Tool[]> =>
  (await select<ToolRow>(db, SELECT_TOOLS)).map(toTool);
export const insertTool = (db: Queryable, tool: Omit<Tool, "id">): Promise<number> =>
  insert(db, INSERT_TOOL, [tool.name, tool.kind, tool.volumeL, tool.stepMl, tool.partsWater]);
