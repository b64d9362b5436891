import "server-only";
import { DAY, NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { PLOT_KINDS } from "@/core/land/geojson";
import { requireRing } from "@/core/land/edit";
import { areaM2, boundsOf, rectangle, type Point, type Ring } from "@/core/land/ring";
import type { Queryable } from "@/data/db";
import {
  freePlotName,
  insertPlanting,
  insertPlot,
  insertStageSeen,
  listLand,
  lockPlot,
  putPlotAway,
  redrawPlot,
  type Drawn,
  type PlotShape,
} from "@/data/field";
import { act, type Asked } from "../act";
import { dayOnFarm, withFreeName, writtenBy } from "../checks";
import type { Context } from "../context";
import { atField, refuse } from "../refusal";

const COORDINATE = { type: "number", minimum: -20_000, maximum: 20_000 } as const;
export const POINT = { type: "array", minItems: 2, maxItems: 2, items: COORDINATE } as const;
const DRAWN = object(["name", "kind", "ring"], {
  /** Null for a new one. */
  plotId: orNull(ROW_ID),
  name: { ...NAME, maxLength: 40 },
  kind: { enum: PLOT_KINDS },
  ring: { type: "array", minItems: 3, maxItems: 400, items: POINT },
  block: { type: "string", maxLength: 40 },
  tags: { type: "array", maxItems: 12, items: { type: "string", minLength: 1, maxLength: 20, pattern: "^[^,]+$" } },
});
const DRAW_LAND = object(["requestKey", "plots", "putAway"], {
  requestKey: REQUEST_KEY,
  plots: { type: "array", maxItems: 500, items: DRAWN },
  putAway: { type: "array", maxItems: 500, uniqueItems: true, items: ROW_ID },
});
type DrawnAsked = Asked<typeof DRAW_LAND>["plots"][number];

const toRing = (ring: DrawnAsked["ring"]): Ring => ring.map(([x, y]): Point => [x!, y!]);

/** No two of them may have one name, whatever their order: names are freed before they are taken. */
function requireNames(plots: readonly DrawnAsked[]): void {
  const seen = new Set<string>();
  plots.forEach(({ name }, index) => {
    const plain = name.trim().toLowerCase();
    if (seen.has(plain)) throw refuse("name-taken", { name: name.trim() }, `/plots/${index}/name`);
    seen.add(plain);
  });
}

async function requireStanding(
  db: Queryable,
  ids: readonly { readonly id: number; readonly path: string }[],
): Promise<Map<number, PlotShape>> {
  // One after the other in one order, so that two who redraw the same beds do not wait for each other.
  for (const { id, path } of ids.toSorted((a, b) => a.id - b.id))
    if (!(await lockPlot(db, id))) throw refuse("not-found", { thing: "plot" }, path);
  const shapes = new Map((await listLand(db)).map((shape) => [shape.id, shape]));
  for (const { id, path } of ids) if (!shapes.has(id)) throw refuse("not-found", { thing: "plot" }, path);
  return shapes;
}

/**
 * Draws the land as it is now: plots that are new, redrawn, renamed, parted, joined or put away, all at once or none. What was before stays
 * readable, and what a plot got stays with it.
 * @throws {Refusal} for a name that is taken, an outline that crosses itself, a plot that is put away already
 */
export const drawLand = act(
  { name: "drawLand", schema: DRAW_LAND, may: "grower" },
  async (db, request, ctx): Promise<{ plotIds: readonly number[]; shapeIds: readonly number[] }> => {
    requireNames(request.plots);
    const by = writtenBy(ctx);
    const asked = request.plots.map((drawn, index) => {
      const ring = atField(`/plots/${index}/ring`, () => requireRing(toRing(drawn.ring)));
      const { kind, block = "", tags = [] } = drawn;
      return {
        id: drawn.plotId ?? null,
        index,
        shape: { name: drawn.name.trim(), kind, ring, areaM2: areaM2(ring), block: block.trim(), tags, ...by },
      };
    });
    const standing = await requireStanding(db, [
      ...request.putAway.map((id, index) => ({ id, path: `/putAway/${index}` })),
      ...asked.flatMap(({ id, index }) => (id === null ? [] : [{ id, path: `/plots/${index}/plotId` }])),
    ]);
    const away: Drawn[] = [];
    for (const id of request.putAway) away.push(await putPlotAway(db, id, { ...standing.get(id)!, ...by }));
    // Names that are swapped between two plots are free for a moment.
    for (const { id } of asked) if (id !== null) await freePlotName(db, id);
    const drawn: Drawn[] = [];
    for (const { id, index, shape } of asked)
      drawn.push(
        await named(shape.name, index, () => (id === null ? insertPlot(db, shape) : redrawPlot(db, id, shape))),
      );
    return { plotIds: drawn.map(({ plotId }) => plotId), shapeIds: [...away, ...drawn].map(({ shapeId }) => shapeId) };
  },
);

async function named<T>(name: string, index: number, work: () => Promise<T>): Promise<T> {
  return withFreeName(name, work, `/plots/${index}/name`);
}

/** Path between beds on the field plan, and how far east a bank of beds runs before the next begins south of it, m. */
const PATH_M = 0.6;
const BANK_M = 27;

/** The next free place: east of the last bed of the last bank, or at the head of a new bank. */
function nextPlace(plots: readonly PlotShape[], widthM: number): Point {
  if (plots.length === 0) return [0, 0];
  const boxes = plots.map(({ ring }) => boundsOf(ring));
  const bankM = Math.max(...boxes.map(({ minY }) => minY));
  const eastM = Math.max(...boxes.filter(({ minY }) => minY === bankM).map(({ maxX }) => maxX)) + PATH_M;
  return eastM + widthM <= BANK_M ? [eastM, bankM] : [0, Math.max(...boxes.map(({ maxY }) => maxY)) + 2 * PATH_M];
}

const ADD_PLOT = object(["requestKey", "name", "stage", "widthM", "lengthM"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  crop: { type: "string", maxLength: 60 },
  stage: { enum: ["bare", "seedling", "growing", "flowering", "fruiting", "perennial"] },
  widthM: { type: "number", minimum: 0.1, maximum: 1000 },
  lengthM: { type: "number", minimum: 0.1, maximum: 1000 },
  plants: { type: ["integer", "null"], minimum: 1, maximum: 1000000 },
  leafEaten: { type: "boolean" },
  harvestOn: { anyOf: [DAY, { type: "null" }] },
});

/** What grows on it, as it was said of a plot that is set down. */
async function plant(
  db: Queryable,
  ctx: Context,
  plotId: number,
  request: Omit<Asked<typeof ADD_PLOT>, "requestKey">,
): Promise<void> {
  if (request.stage === "bare") return;
  const by = writtenBy(ctx);
  const isPerennial = request.stage === "perennial";
  const plantingId = await insertPlanting(db, plotId, {
    crop: request.crop?.trim() ?? "",
    part: request.leafEaten ? "leaf" : null,
    perennial: isPerennial,
    plantedOn: null,
    sown: false,
    plants: request.plants ?? null,
    spacingCm: null,
    harvestFrom: request.harvestOn ?? null,
    harvestTo: null,
    endedOn: null,
    ...by,
  });
  const today = await dayOnFarm(db, ctx.now());
  if (request.stage !== "perennial")
    await insertStageSeen(db, plantingId, request.stage, today, by.actorId, by.addedAt);
}

/** A plot with what grows on it, set down beside those that are there, within a transaction. @throws {Refusal} */
export async function addPlotWith(
  db: Queryable,
  ctx: Context,
  request: Omit<Asked<typeof ADD_PLOT>, "requestKey"> & { readonly block?: string },
): Promise<Drawn> {
  const ring = rectangle(nextPlace(await listLand(db), request.widthM), request.widthM, request.lengthM);
  const name = request.name.trim();
  const shape = {
    name,
    kind: request.stage === "perennial" ? ("row" as const) : ("bed" as const),
    ring,
    areaM2: areaM2(ring),
    block: request.block ?? "",
    tags: [],
    actorId: ctx.actor.id,
    addedAt: ctx.now(),
  };
  const drawn = await withFreeName(name, () => insertPlot(db, shape));
  await plant(db, ctx, drawn.plotId, request);
  return drawn;
}

/** A plot with what grows on it, set down beside those that are there. @throws {Refusal} */
export const addPlot = act(
  { name: "addPlot", schema: ADD_PLOT, may: "grower" },
  (db, { requestKey: _key, ...request }, ctx) => addPlotWith(db, ctx, request),
);
