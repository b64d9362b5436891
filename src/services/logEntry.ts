import "server-only";
import type { ActionRequest } from "@/contracts/actions/requests";
import { lockBatch, type Batch } from "@/data/batches";
import type { Queryable } from "@/data/db";
import { findEntry, insertEntry, type NewEntry } from "@/data/entries";
import type { Context } from "./context";
import { keepForecast } from "./ferment/keepForecast";
import { Refusal, refuseAt } from "./refusal";
import { requireRoomFor } from "./room";
import { momentOf, write } from "./write";

type LoggedThing = ActionRequest<"logEntry">["entry"];
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

async function requireCorrectable(db: Queryable, id: number, batch: Batch): Promise<void> {
  const earlier = await findEntry(db, id);
  if (!earlier || earlier.batchId !== batch.id)
    throw refuseAt("not-found", "/correctsId", "The entry to correct is not in this batch's log.");
  if (earlier.correctedById !== null)
    throw new Refusal(
      "entry-corrected",
      "This entry has been corrected meanwhile. Reload to see the log as it stands.",
    );
}

/**
 * Adds a line to a batch's log; with `correctsId` it takes the place of an earlier one, which stays readable.
 * @throws {Refusal} for a batch that has ended, a moment before its start or ahead, an entry corrected already
 */
export const logEntry = (ctx: Context, input: unknown): Promise<{ entryId: number }> =>
  write(ctx, "logEntry", input, async (db, request) => {
    const batch = await lockBatch(db, request.batchId);
    if (!batch) throw refuseAt("not-found", "/batchId", "There is no such batch.");
    const correctsId = request.correctsId ?? null;
    if (request.entry.kind === "withdrawn" && correctsId === null)
      throw refuseAt("bad-request", "/correctsId", "Say which entry is withdrawn.");
    // A closed batch takes corrections of what was logged, nothing new.
    if (batch.close && correctsId === null)
      throw new Refusal("batch-closed", `This batch was ${batch.close.kind} already; its log is closed.`);
    if (correctsId !== null) await requireCorrectable(db, correctsId, batch);
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
  });
