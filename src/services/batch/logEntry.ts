import "server-only";
import { writerOf } from "@/data/people";
import { MOMENT, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import {
  ACTS,
  FILMS,
  LIQUIDS,
  PH_INSTRUMENTS,
  PH_SPOTS,
  SMELLS,
  SOLIDS,
  SURFACES,
  TEXTURES,
  UNDER_LENS,
  WARMTHS,
} from "@/core/book/words";
import { act, type Asked } from "../act";
import { lockBatch, type Batch, findEntry, insertEntry, type NewEntry } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { listLinesOfEntry } from "@/data/shed";
import { keepForecast } from "../ferment";
import { refuse } from "../refusal";
import { requireRoomFor } from "../fill";
import { putBack } from "../shed";
import { momentOf } from "../checks";

type LoggedThing = Asked<typeof LOG_ENTRY>["entry"];
type EntryValues = Pick<NewEntry, "kind" | "numberValue" | "word" | "instrument" | "spot" | "settled" | "note">;

function valuesOf(entry: LoggedThing): EntryValues {
  const none = { numberValue: null, word: null, instrument: null, spot: null, settled: null, note: "" };
  switch (entry.kind) {
    case "ph":
      return {
        ...none,
        kind: "ph",
        numberValue: entry.value,
        instrument: entry.instrument,
        spot: entry.spot,
        settled: entry.settled ?? null,
      };
    case "temperature":
      return { ...none, kind: "temperature", numberValue: entry.celsius };
    case "act":
      return { ...none, kind: "act", word: entry.act, numberValue: entry.litres ?? entry.celsius ?? null };
    case "bubbles":
    case "sunk":
    case "parted":
    case "core":
      return { ...none, kind: entry.kind, numberValue: entry.value };
    case "note":
      return { ...none, kind: "note", note: entry.note };
    case "withdrawn":
      return { ...none, kind: "withdrawn" };
    default:
      return { ...none, kind: entry.kind, word: entry.word };
  }
}

/** The entry that is corrected. @throws {Refusal} where something went out of stock with it and it is not crossed out but said otherwise */
async function requireCorrectable(db: Queryable, id: number, batch: Batch, entry: LoggedThing): Promise<void> {
  const earlier = await findEntry(db, id);
  if (!earlier || earlier.batchId !== batch.id) throw refuse("not-found", { thing: "entry" }, "/correctsId");
  if (earlier.correctedById !== null) throw refuse("entry-corrected", {});
  if (earlier.moved && entry.kind !== "withdrawn") throw refuse("entry-moved-stock", {}, "/entry/kind");
}

const entry = <const K extends string, const P extends Record<string, unknown>, const R extends readonly string[]>(
  kind: K,
  required: R,
  properties: P,
) => object(["kind", ...required], { kind: { const: kind }, ...properties });

const LOG_ENTRY = object(["requestKey", "batchId", "entry"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  at: MOMENT,
  correctsId: { anyOf: [ROW_ID, { type: "null" }] },
  entry: {
    type: "object",
    required: ["kind"],
    discriminator: { propertyName: "kind" },
    oneOf: [
      entry("ph", ["value", "instrument", "spot"], {
        value: { type: "number", minimum: 0, maximum: 14 },
        instrument: { enum: PH_INSTRUMENTS },
        spot: { enum: PH_SPOTS },
        settled: { type: "boolean" },
      }),
      entry("temperature", ["celsius"], { celsius: { type: "number", minimum: -10, maximum: 80 } }),
      entry("smell", ["word"], { word: { enum: SMELLS } }),
      entry("surface", ["word"], { word: { enum: SURFACES } }),
      entry("film", ["word"], { word: { enum: FILMS } }),
      entry("solids", ["word"], { word: { enum: SOLIDS } }),
      entry("liquid", ["word"], { word: { enum: LIQUIDS } }),
      entry("texture", ["word"], { word: { enum: TEXTURES } }),
      entry("warmth", ["word"], { word: { enum: WARMTHS } }),
      entry("lens", ["word"], { word: { enum: UNDER_LENS } }),
      entry("bubbles", ["value"], { value: { type: "number", minimum: 0, maximum: 200 } }),
      entry("sunk", ["value"], { value: { type: "number", minimum: 0, maximum: 100 } }),
      entry("parted", ["value"], { value: { type: "number", minimum: 0, maximum: 100 } }),
      entry("core", ["value"], { value: { type: "number", minimum: -10, maximum: 90 } }),
      entry("act", ["act"], {
        act: { enum: ACTS },
        litres: { type: ["number", "null"], minimum: 0.001, maximum: 20000 },
        /** Of the place it went to, or of the thermostat. */
        celsius: { type: ["number", "null"], minimum: -10, maximum: 60 },
      }),
      entry("note", ["note"], { note: { type: "string", minLength: 1, maxLength: 500 } }),
      entry("withdrawn", [], {}),
    ],
  },
});

/**
 * Adds a line to a batch's log; with `correctsId` it takes the place of an earlier one, which stays readable.
 * @throws {Refusal} for a batch that has ended, a moment before its start or ahead, an entry corrected already
 */
export const logEntry = act(
  {
    name: "logEntry",
    schema: LOG_ENTRY,
    may: "helper",
    ofOthers: {
      may: "grower",
      ownerOf: async (db, asked) => {
        const { correctsId } = asked as { correctsId?: number | null };
        return correctsId ? writerOf(db, "entry", correctsId) : null;
      },
    },
  },
  async (db, request, ctx): Promise<{ entryId: number }> => {
    const batch = await lockBatch(db, request.batchId);
    if (!batch) throw refuse("not-found", { thing: "batch" }, "/batchId");
    const correctsId = request.correctsId ?? null;
    if (request.entry.kind === "withdrawn" && correctsId === null) throw refuse("which-entry", {}, "/correctsId");
    // A closed batch takes corrections of what was logged, nothing new.
    if (batch.close && correctsId === null)
      throw refuse("batch-closed", { as: batch.close.kind, by: batch.close.actorName });
    if (correctsId !== null) {
      await requireCorrectable(db, correctsId, batch, request.entry);
      // What an addition took is in stock again, what was drawn off never was.
      await putBack(db, ctx, await listLinesOfEntry(db, correctsId), "/correctsId");
    }
    if (request.entry.kind === "act" && request.entry.act === "topped-up" && correctsId === null)
      await requireRoomFor(db, batch, request.entry.litres ?? 0, "/entry/litres");
    const at = momentOf(ctx, request.at, batch.startedAt);
    const entryId = await insertEntry(db, {
      ...valuesOf(request.entry),
      batchId: batch.id,
      at,
      correctsId,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    await keepForecast(db, batch.id, entryId, ctx.now());
    return { entryId };
  },
);
