import "server-only";
import { NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { landFromGeoJson, landToGeoJson } from "@/core/land/geojson";
import { numbered } from "@/core/land/edit";
import { MARK_KINDS } from "@/core/land/marks";
import { areaM2, type Point } from "@/core/land/ring";
import { findOrigin, insertMark, insertOrigin, insertPlot, listMarks, listLand } from "@/data/field";
import type { Farm } from "@/data/farm";
import { act } from "../act";
import type { Context } from "../context";
import { atField, refuse } from "../refusal";
import { POINT } from "./plots";

const SET_MARK = object(["requestKey", "kind", "name", "line", "bufferM"], {
  requestKey: REQUEST_KEY,
  /** Null for a new one. */
  markId: orNull(ROW_ID),
  kind: { enum: MARK_KINDS },
  name: { ...NAME, maxLength: 40 },
  line: { type: "array", minItems: 1, maxItems: 200, items: POINT },
  bufferM: { type: "number", minimum: 0, maximum: 500 },
  putAway: { type: "boolean" },
});

/** A well, a stream, a tap, drawn in, drawn anew or put away, with the distance that is kept from it. @throws {Refusal} */
export const setMark = act(
  { name: "setMark", schema: SET_MARK, may: "grower" },
  async (db, request, ctx): Promise<{ markId: number; rowId: number }> => {
    const markId = request.markId ?? null;
    if (markId !== null && !(await listMarks(db)).some(({ id }) => id === markId))
      throw refuse("not-found", { thing: "mark" }, "/markId");
    const rowId = await insertMark(db, markId, {
      kind: request.kind,
      name: request.name.trim(),
      line: request.line.map(([x, y]): Point => [x!, y!]),
      bufferM: request.bufferM,
      isPutAway: request.putAway ?? false,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    return { markId: markId ?? rowId, rowId };
  },
);

const IMPORT_LAND = object(["requestKey", "text", "fileName"], {
  requestKey: REQUEST_KEY,
  text: { type: "string", minLength: 2, maxLength: 4_000_000 },
  fileName: { type: "string", minLength: 1, maxLength: 100 },
});

/**
 * Draws in what a GeoJSON file tells. Names that are taken are counted on; the first file says where the plan's corner lies.
 * @throws {Refusal} for a file that is none, or an outline that says nothing
 */
export const importLand = act(
  { name: "importLand", schema: IMPORT_LAND, may: "grower", mostBytes: 9_000_000 },
  async (db, request, ctx): Promise<{ shapeIds: readonly number[]; markRowIds: readonly number[] }> => {
    const origin = await findOrigin(db);
    const land = atField("/text", () => landFromGeoJson(parseJson(request.text), origin));
    const by = { actorId: ctx.actor.id, addedAt: ctx.now() };
    if (!origin) await insertOrigin(db, land.origin, `file ${request.fileName}`, by.actorId, by.addedAt);
    const taken = (await listLand(db)).map(({ name }) => name);
    const shapeIds: number[] = [];
    const markRowIds: number[] = [];
    for (const { name, kind, ring } of land.plots) {
      const own = name.slice(0, 36);
      const free = taken.some((known) => known.toLowerCase() === own.toLowerCase()) ? numbered(own, 1, taken)[0]! : own;
      taken.push(free);
      const { shapeId } = await insertPlot(db, {
        name: free,
        kind,
        ring,
        areaM2: areaM2(ring),
        block: "",
        tags: [],
        ...by,
      });
      shapeIds.push(shapeId);
    }
    for (const mark of land.marks)
      markRowIds.push(await insertMark(db, null, { ...mark, name: mark.name.slice(0, 40), isPutAway: false, ...by }));
    return { shapeIds, markRowIds };
  },
);

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text.replace(/^\uFEFF/, "")) as unknown;
  } catch {
    return null;
  }
}

/** The land as GeoJSON; where nobody has said where its corner lies, it lies at the farm's own place. */
export async function exportLand({ pool }: Context, { latitudeDeg, longitudeDeg }: Farm): Promise<object> {
  const [plots, marks, origin] = await Promise.all([listLand(pool), listMarks(pool), findOrigin(pool)]);
  return landToGeoJson({ plots, marks }, origin ?? { latitudeDeg, longitudeDeg });
}
