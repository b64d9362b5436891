import "server-only";
import type { EdiblePart } from "@/core/book/crops";
import { isElsewhere, isOnPlan, type ElsewhereKind } from "@/core/apply/elsewhere";
import type { PlotKind } from "@/core/land/geojson";
import { nextPlanting, plantingOn, strengthStage, type PlotStage } from "@/core/land/planting";
import type { Ring } from "@/core/land/ring";
import { insert, places, select, type Queryable } from "../db";
import { listPlantings, type PlantingRow } from "./plantings";

/** A plot as it lies. */
export interface PlotShape {
  readonly id: number;
  readonly name: string;
  readonly kind: PlotKind | ElsewhereKind;
  readonly ring: Ring;
  readonly areaM2: number;
  /** The group it belongs to; empty where none. */
  readonly block: string;
  readonly tags: readonly string[];
}

/** A plot on a day, with what grows on it. */
export interface Plot extends PlotShape {
  /** Empty on bare ground, or where nobody named it. */
  readonly crop: string;
  readonly stage: PlotStage;
  readonly plants: number | null;
  /** The leaves are what is eaten, by somebody's word. */
  readonly leafEaten: boolean;
  readonly harvestOn: string | null;
  /** What is eaten, by somebody's word; null where the book's stands. */
  readonly part: EdiblePart | null;
  readonly planting: PlantingRow | null;
  readonly next: PlantingRow | null;
}

export type NewShape = Omit<PlotShape, "id"> & { readonly actorId: number; readonly addedAt: Date };

/** A plot, and the outline of it that was just written. */
export interface Drawn {
  readonly plotId: number;
  readonly shapeId: number;
}

interface ShapeRow {
  plot_id: number;
  name: string;
  kind: PlotKind | ElsewhereKind;
  ring: Ring;
  area_m2: string;
  block: string;
  tags: string;
}

/** The newest outline of every plot that was no slip, or of these plots; of one that was never meant its last, which does not stand. */
const sqlNewestShapes = (plotIds: readonly number[] | null): string => `
  (select drawn.plot_id, coalesce(max(if(slip.row_id is null, drawn.id, null)), max(drawn.id)) as id, max(slip.row_id is null) as stands
   from plot_shape drawn left join taken_back slip on slip.kind = 'bed-shape' and slip.row_id = drawn.id
   ${plotIds ? `where drawn.plot_id in (${places(plotIds)})` : ""} group by drawn.plot_id)`;
const selectShapes = (plotIds: readonly number[] | null): string => `
  select shape.plot_id, shape.name, shape.kind, shape.ring, shape.area_m2, shape.block, shape.tags
  from plot_shape shape join ${sqlNewestShapes(plotIds)} newest on newest.id = shape.id
  where (shape.put_away = 0 and newest.stands = 1) or ? order by shape.plot_id`;
const INSERT_SHAPE = `
  insert into plot_shape (plot_id, name, kind, ring, area_m2, block, tags, put_away, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;

const toShape = (row: ShapeRow): PlotShape => ({
  id: row.plot_id,
  name: row.name,
  kind: row.kind,
  ring: typeof row.ring === "string" ? (JSON.parse(row.ring) as Ring) : row.ring,
  areaM2: Number(row.area_m2),
  block: row.block,
  tags: row.tags === "" ? [] : row.tags.split(","),
});

/** The plots as they lie; those that were put away, and what lies nowhere on the plan, only where the past or these very ones are asked for. */
export const listShapes = async (
  db: Queryable,
  isPastToo = false,
  plotIds: readonly number[] | null = null,
  isElsewhereToo = false,
): Promise<PlotShape[]> =>
  plotIds?.length === 0
    ? []
    : (await select<ShapeRow>(db, selectShapes(plotIds), [...(plotIds ?? []), isPastToo ? 1 : 0]))
        .map(toShape)
        .filter(({ kind }) => isPastToo || isElsewhereToo || plotIds !== null || !isElsewhere(kind));

/** The plots of the plan as they lie. */
export const listLand = async (db: Queryable): Promise<(PlotShape & { readonly kind: PlotKind })[]> =>
  (await listShapes(db)).filter(isOnPlan);

/**
 * The plots as they are on a day; those that were put away only where the past is asked for.
 * @param plotIds these alone; null for all
 */
export async function listPlots(
  db: Queryable,
  day: string,
  isPastToo = false,
  plotIds: readonly number[] | null = null,
  isElsewhereToo = false,
): Promise<Plot[]> {
  const [shapes, plantings] = await Promise.all([
    listShapes(db, isPastToo, plotIds, isElsewhereToo),
    listPlantings(db, plotIds),
  ]);
  const byPlot = new Map<number, PlantingRow[]>();
  for (const planting of plantings) byPlot.set(planting.plotId, [...(byPlot.get(planting.plotId) ?? []), planting]);
  return shapes.map((shape) => {
    const own = byPlot.get(shape.id) ?? [];
    const planting = plantingOn(own, day);
    return {
      ...shape,
      crop: planting?.crop ?? "",
      stage: strengthStage(planting, day),
      plants: planting?.plants ?? null,
      leafEaten: planting?.part === "leaf",
      harvestOn: planting?.harvestFrom ?? null,
      part: planting?.part ?? null,
      planting,
      next: nextPlanting(own, day),
    };
  });
}

/** A mark that differs once any outline, planting or stage was committed. */
export async function landMark(db: Queryable): Promise<string> {
  const [row] = await select<{ shapes: number; plantings: number; seen: number; undone: number }>(
    db,
    `select (select count(*) from plot_shape) as shapes, (select count(*) from planting_state) as plantings,
            (select count(*) from stage_seen) as seen, (select count(*) from taken_back) as undone`,
  );
  return `${row!.shapes}/${row!.plantings}/${row!.seen}/${row!.undone}`;
}

/** The last name of every plot that ever was, by its id: for what is told of the past. */
export const listPlotNames = async (db: Queryable): Promise<ReadonlyMap<number, string>> =>
  new Map((await listShapes(db, true)).map(({ id, name }) => [id, name]));

const writeShape = (
  db: Queryable,
  plotId: number,
  { name, kind, ring, areaM2, block, tags, actorId, addedAt }: NewShape,
  isPutAway: boolean,
): Promise<number> =>
  insert(db, INSERT_SHAPE, [
    plotId,
    name,
    kind,
    JSON.stringify(ring),
    areaM2.toFixed(3),
    block,
    tags.join(","),
    isPutAway ? 1 : 0,
    actorId,
    addedAt,
  ]);

/** Draws a plot in. */
export async function insertPlot(db: Queryable, shape: NewShape): Promise<Drawn> {
  const id = await insert(db, "insert into plot (name, actor_id, added_at) values (?, ?, ?)", [
    shape.name,
    shape.actorId,
    shape.addedAt,
  ]);
  return { plotId: id, shapeId: await writeShape(db, id, shape, false) };
}

const FREE_NAME = "update plot set name = null where id = ?";
/** Frees the name of a plot for a moment, so that two may swap theirs. */
export const freePlotName = async (db: Queryable, id: number): Promise<void> =>
  void (await db.execute(FREE_NAME, [id]));

/** Draws it anew, under this name. */
export async function redrawPlot(db: Queryable, id: number, shape: NewShape): Promise<Drawn> {
  await namePlot(db, id, shape.name);
  return { plotId: id, shapeId: await writeShape(db, id, shape, false) };
}

/** Puts it away, and frees its name. */
export async function putPlotAway(db: Queryable, id: number, shape: NewShape): Promise<Drawn> {
  await freePlotName(db, id);
  return { plotId: id, shapeId: await writeShape(db, id, shape, true) };
}

/** A bed, or something off the plan, that was put away, by its last outline. */
export interface PutAway {
  readonly shapeId: number;
  readonly name: string;
}

/** What was put away and can be brought back, the latest first. */
export const listPutAway = (db: Queryable): Promise<PutAway[]> =>
  select<PutAway>(
    db,
    `select shape.id as shapeId, shape.name from plot_shape shape join ${sqlNewestShapes(null)} newest on newest.id = shape.id
     where shape.put_away = 1 and newest.stands = 1 order by shape.id desc`,
  );

/** A plot by its newest outline that stands, locked, and the name that it had by the one before; null where a later one stands, or none is such. */
export async function findLastShape(
  db: Queryable,
  shapeId: number,
): Promise<{ readonly plotId: number; readonly nameBefore: string | null } | null> {
  const [asked] = await select<{ plot_id: number }>(db, "select plot_id from plot_shape where id = ?", [shapeId]);
  if (!asked || !(await lockPlot(db, asked.plot_id))) return null;
  const [last, before] = await select<{ id: number; name: string; put_away: number }>(
    db,
    `select drawn.id, drawn.name, drawn.put_away from plot_shape drawn
     left join taken_back slip on slip.kind = 'bed-shape' and slip.row_id = drawn.id
     where drawn.plot_id = ? and slip.row_id is null order by drawn.id desc limit 2`,
    [asked.plot_id],
  );
  if (last?.id !== shapeId) return null;
  return { plotId: asked.plot_id, nameBefore: before && before.put_away === 0 ? before.name : null };
}

/** Gives a plot its name again. A name that is taken fails as a duplicate. */
export const namePlot = async (db: Queryable, id: number, name: string): Promise<void> =>
  void (await db.execute("update plot set name = ? where id = ?", [name, id]));

/** Keeps others from redrawing a plot. @returns whether there is such a plot */
export const lockPlot = async (db: Queryable, id: number): Promise<boolean> =>
  (await select(db, "select id from plot where id = ? for update", [id])).length > 0;
