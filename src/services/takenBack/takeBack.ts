import "server-only";
import { writerOf } from "@/data/people";
import type { MixingFill } from "@/contracts/fill";
import { object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { fits } from "@/core/quantity/fits";
import type { Queryable } from "@/data/db";
import { lockMixing } from "@/data/mixing";
import { findLedgerLine, listLinesOfLot, lockPlan } from "@/data/shed";
import { findStoreLine, insertStoreMovement, listStoreLines, lockStore } from "@/data/stores";
import {
  findCheckTime,
  findDrop,
  findJobBegun,
  findOwnVersion,
  insertTakenBackRow,
  lockRowOf,
  TAKEN_BACK_KINDS,
  type PlainKind,
  type TakenBackKind,
} from "@/data/takenBack";
import { lockWaterStart } from "@/data/water";
import { findTrialEntryKind } from "@/data/trials";
import { findLastShape, freePlotName, namePlot } from "@/data/field";
import type { Role } from "@/core/people/roles";
import { act, requireMay, type Asked } from "../act";
import { withFreeName } from "../checks";
import type { Context } from "../context";
import { requireFreeVessel } from "../fill";
import { refuse } from "../refusal";
import { putBack } from "../shed";

const PATH = "/rows";
type Undo = (db: Queryable, ctx: Context, id: number) => Promise<number>;

/** A lot that came in by a slip never came, unless some of it went since. @throws {Refusal} */
async function undoLot(db: Queryable, ctx: Context, id: number): Promise<number> {
  const lines = await listLinesOfLot(db, id);
  const [first] = lines;
  if (!first) throw refuse("not-found", { thing: "lot" }, PATH);
  // What a line of a batch's log brought in goes with that line.
  if (first.entryId !== null) throw refuse("lot-of-log", {}, PATH);
  await putBack(db, ctx, [first], PATH);
  return id;
}

async function undoStockMove(db: Queryable, ctx: Context, id: number): Promise<number> {
  const line = await findLedgerLine(db, id);
  if (!line || line.kind === "received" || line.batchId !== null)
    throw refuse("not-found", { thing: "lot-line" }, PATH);
  await putBack(db, ctx, [line], PATH);
  return id;
}

const correction = (ctx: Context, storeId: number, changeByL: number) => ({
  storeId,
  changeByL,
  kind: "corrected" as const,
  applicationId: null,
  at: ctx.now(),
  actorId: ctx.actor.id,
  note: "",
});

const OUT_OF_CONTAINER = ["composted", "bare-ground", "wasted", "counted", "moved"];

/** What went out of a container, or was measured, by a slip: it holds what it held. @throws {Refusal} */
async function undoContainerMove(db: Queryable, ctx: Context, id: number): Promise<number> {
  const line = await findStoreLine(db, id);
  if (!line || !OUT_OF_CONTAINER.includes(line.kind)) throw refuse("not-found", { thing: "store" }, PATH);
  const store = (await lockStore(db, line.storeId))!;
  if (!fits(line.changeByL, store.onHandL)) throw refuse("end-used", { what: store.label }, PATH);
  await insertStoreMovement(db, correction(ctx, store.id, -line.changeByL));
  return id;
}

/** A part that was poured off is back where it came from. @throws {Refusal} for one that was used since */
async function undoPour(db: Queryable, ctx: Context, partId: number): Promise<number> {
  const [line, ...since] = await listStoreLines(db, partId);
  if (line?.kind !== "poured") throw refuse("not-found", { thing: "store" }, PATH);
  const part = (await lockStore(db, partId))!;
  const whole = part.parentId === null ? null : await lockStore(db, part.parentId);
  if (since.length > 0 || whole === null) throw refuse("end-used", { what: part.label }, PATH);
  await insertStoreMovement(db, correction(ctx, partId, -line.changeByL));
  await insertStoreMovement(db, correction(ctx, whole.id, line.changeByL));
  return partId;
}

const undoPlain =
  (kind: PlainKind): Undo =>
  async (db, ctx, id) => {
    const row = await lockRowOf(db, kind, id);
    if (!row) throw refuse("not-found", { thing: "entry" }, PATH);
    if (row.lotId !== null) await undoLot(db, ctx, row.lotId);
    return id;
  };

/** Water that was set aside by a slip is in its butt. @throws {Refusal} where some went into a batch or a can */
async function undoWater(db: Queryable, _ctx: Context, id: number): Promise<number> {
  const start = await lockWaterStart(db, id);
  if (!start) throw refuse("not-found", { thing: "prepared-water" }, PATH);
  if (start.leftL < start.volumeL) throw refuse("water-used", {}, PATH);
  return id;
}

async function undoPlanDrop(db: Queryable, _ctx: Context, planId: number): Promise<number> {
  await lockPlan(db, planId);
  const end = await findDrop(db, "plan", planId);
  if (end === null) throw refuse("not-found", { thing: "plan" }, PATH);
  return end;
}

/** A filling that was cancelled goes on where it stood, as long as its vessel is free. @throws {Refusal} */
async function undoFillingDrop(db: Queryable, _ctx: Context, mixingId: number): Promise<number> {
  const mixing = await lockMixing<MixingFill>(db, mixingId);
  const end = await findDrop(db, "mixing", mixingId);
  if (!mixing || end === null) throw refuse("not-found", { thing: "mixing" }, PATH);
  await requireFreeVessel(db, mixing.vesselId, mixingId);
  return end;
}

/** A job that was told by a slip; not one of which some is done. @throws {Refusal} */
async function undoJob(db: Queryable, ctx: Context, id: number): Promise<number> {
  if ((await findJobBegun(db, id)) !== null) throw refuse("job-begun", {}, PATH);
  return undoPlain("job")(db, ctx, id);
}

/** So long a word on a container may be a slip of the finger; after that somebody has relied on it, and only a new look counts. */
const CHECK_SLIP_MIN = 10;

async function undoCheck(db: Queryable, ctx: Context, id: number): Promise<number> {
  const at = await findCheckTime(db, id);
  if (at === null) throw refuse("not-found", { thing: "entry" }, PATH);
  if (ctx.now().getTime() - at.getTime() > CHECK_SLIP_MIN * 60_000) throw refuse("check-stands", {}, PATH);
  return id;
}

/** An own version of a recipe that nothing rests on. @throws {Refusal} */
async function undoOwnRecipe(db: Queryable, _ctx: Context, id: number): Promise<number> {
  const version = await findOwnVersion(db, id);
  if (!version) throw refuse("not-found", { thing: "recipe-version" }, PATH);
  if (version.isUsed) throw refuse("version-used", { name: version.name }, PATH);
  return id;
}

/** A bed lies as it lay before, or is put away where it was new; what it got meanwhile stays with it. @throws {Refusal} where it was drawn anew since */
async function undoShape(db: Queryable, _ctx: Context, id: number): Promise<number> {
  const drawn = await findLastShape(db, id);
  if (!drawn) throw refuse("drawn-since", {}, PATH);
  const { plotId, nameBefore } = drawn;
  await freePlotName(db, plotId);
  if (nameBefore !== null) await withFreeName(nameBefore, () => namePlot(db, plotId, nameBefore), PATH);
  return id;
}

/** A note of a trial that was a slip; what somebody looked at can't be unseen. @throws {Refusal} */
async function undoTrialEntry(db: Queryable, ctx: Context, id: number): Promise<number> {
  const kind = await findTrialEntryKind(db, id);
  if (kind === "look" || kind === "opened") throw refuse("trial-look-stays", {}, PATH);
  return undoPlain("trial-entry")(db, ctx, id);
}

/** From which role on, where it is more than whoever may take back at all. */
const LEAST: Readonly<Partial<Record<TakenBackKind, Role>>> = {
  "job": "grower",
  "schedule": "grower",
  "land-mark": "grower",
  "bed-shape": "grower",
  "own-recipe": "grower",
  "keeping": "grower",
  "harvest-rule": "steward",
  "learning-reset": "steward",
};

const UNDO: Readonly<Record<TakenBackKind, Undo>> = {
  "lot": undoLot,
  "stock-move": undoStockMove,
  "container-move": undoContainerMove,
  "pour": undoPour,
  "visit": undoPlain("visit"),
  "bin-entry": undoPlain("bin-entry"),
  "tool-event": undoPlain("tool-event"),
  "look": undoPlain("look"),
  "planting": undoPlain("planting"),
  "stage": undoPlain("stage"),
  "water-read": undoPlain("water-read"),
  "water-level": undoPlain("water-level"),
  "lab": undoPlain("lab"),
  "job": undoJob,
  "schedule": undoPlain("schedule"),
  "land-mark": undoPlain("land-mark"),
  "harvest-rule": undoPlain("harvest-rule"),
  "learning-reset": undoPlain("learning-reset"),
  "patch-look": undoPlain("patch-look"),
  "reading": undoPlain("reading"),
  "trial-entry": undoTrialEntry,
  "store-check": undoCheck,
  "keeping": undoPlain("keeping"),
  "own-recipe": undoOwnRecipe,
  "bed-shape": undoShape,
  "water": undoWater,
  "plan-drop": undoPlanDrop,
  "filling-drop": undoFillingDrop,
};

const TAKE_BACK = object(["requestKey", "rows"], {
  requestKey: REQUEST_KEY,
  /** What was written by the slip, all of it. */
  rows: {
    type: "array",
    minItems: 1,
    maxItems: 400,
    items: object(["kind", "id"], { kind: { enum: TAKEN_BACK_KINDS }, id: ROW_ID }),
  },
});

/** Who wrote any of it that whoever asks did not; the first of them. */
async function othersOf(db: Queryable, asked: unknown, askerId: number): Promise<number | null> {
  const { rows } = asked as Asked<typeof TAKE_BACK>;
  for (const { kind, id } of rows) {
    const writer = await writerOf(db, kind, id);
    if (writer !== null && writer !== askerId) return writer;
  }
  return null;
}

/**
 * Takes what was just done back, all of it or nothing: each row counts no more, and what it moved is where it was.
 * @throws {Refusal} for what was taken back already, and where something hangs on it since
 */
export const takeBack = act(
  { name: "takeBack", schema: TAKE_BACK, may: "helper", ofOthers: { may: "grower", ownerOf: othersOf } },
  async (db, { rows }, ctx): Promise<{ count: number }> => {
    const inOrder = rows.toSorted((a, b) => a.kind.localeCompare(b.kind) || a.id - b.id);
    for (const { kind } of inOrder) requireMay(ctx, LEAST[kind] ?? "helper");
    // Beds that swapped their names swap them back: none is taken while they do.
    for (const { kind, id } of inOrder)
      if (kind === "bed-shape") {
        const drawn = await findLastShape(db, id);
        if (drawn) await freePlotName(db, drawn.plotId);
      }
    for (const { kind, id } of inOrder) {
      const rowId = await UNDO[kind](db, ctx, id);
      const isNew = await insertTakenBackRow(db, { kind, id: rowId, at: ctx.now(), actorId: ctx.actor.id });
      if (!isNew) throw refuse("undone-already", {}, PATH);
    }
    return { count: rows.length };
  },
);
