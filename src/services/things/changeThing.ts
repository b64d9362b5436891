import "server-only";
import { NAME, NOTE, object, orNull, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { isInline, TOOL_KINDS, type ToolKind } from "@/core/apply/tool";
import { INGREDIENTS } from "@/core/book/ingredients";
import { HELD_BEFORE } from "@/core/choose/firstDrum";
import { fits } from "@/core/quantity/fits";
import { WATER_SOURCES } from "@/core/water/chlorine";
import { findBatch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { insertThingChange, lockThing, updateThing, type ThingFacts, type ThingKind } from "@/data/things";
import { lockVessel } from "@/data/vessels";
import { sameName } from "@/formats/csv/tables";
import type { Thing as ThingWord } from "@/words/en/refusals";
import { act, type Act } from "../act";
import { withFreeName } from "../checks";
import type { Context } from "../context";
import { refuse } from "../refusal";

/** A kind by the word that refusals have for it. */
export const THING_WORDS: Readonly<Record<ThingKind, ThingWord>> = {
  "person": "person",
  "vessel": "vessel",
  "tool": "tool",
  "water": "water",
  "equipment": "equipment",
  "own-ingredient": "own-ingredient",
  "gathering-place": "place",
  "worm-bin": "bin",
  "device": "device",
};

/** Of what was asked, what differs from how it stands. */
const differing = (was: ThingFacts, asked: ThingFacts): ThingFacts =>
  Object.fromEntries(Object.entries(asked).filter(([fact, value]) => value !== undefined && value !== was[fact]));

/**
 * Writes a thing anew and keeps how it was; nothing is written where nothing differs.
 * @throws {Refusal} for none, and for a name that another has
 */
export async function writeThing(
  db: Queryable,
  ctx: Context,
  kind: ThingKind,
  id: number,
  asked: ThingFacts,
  note = "",
): Promise<void> {
  const was = await lockThing(db, kind, id);
  if (!was) throw refuse("not-found", { thing: THING_WORDS[kind] }, "/id");
  const change = differing(was, asked);
  if (Object.keys(change).length === 0) return;
  await withFreeName(String(change.name ?? ""), () => updateThing(db, kind, id, change));
  await insertThingChange(db, {
    kind,
    thingId: id,
    was: Object.fromEntries(Object.keys(change).map((fact) => [fact, was[fact] ?? null])),
    became: change,
    note,
    at: ctx.now(),
    actorId: ctx.actor.id,
  });
}

type Check = (db: Queryable, id: number, asked: ThingFacts) => Promise<void>;
const nothingToCheck: Check = () => Promise.resolve();

type ChangeRequest<F> = { readonly requestKey: string; readonly id: number } & { readonly [K in keyof F]?: unknown };

/** The act that changes things of a kind: any of its facts, each as it may be set up. */
function changeOf<const N extends string, const F extends Record<string, object>>(
  actName: N,
  kind: ThingKind,
  facts: F,
  check: Check = nothingToCheck,
): Act<ChangeRequest<F>, { id: number }> {
  // What each lets through is told by its facts; worked out from the schema it is more than the compiler bears.
  const schema: object = object(["requestKey", "id"], { requestKey: REQUEST_KEY, id: ROW_ID, ...facts });
  const change = async (db: Queryable, request: unknown, ctx: Context): Promise<{ id: number }> => {
    const { requestKey: _key, id, ...asked } = request as { requestKey: string; id: number } & ThingFacts;
    const tidy = Object.fromEntries(
      Object.entries(asked as ThingFacts).map(([fact, value]) => [
        fact,
        typeof value === "string" ? value.trim() : value,
      ]),
    );
    await check(db, id, tidy);
    await writeThing(db, ctx, kind, id, tidy);
    return { id };
  };
  return act({ name: actName, schema, may: kind === "person" ? "steward" : "grower" }, change) as Act<
    ChangeRequest<F>,
    { id: number }
  >;
}

const name = (maxLength: number) => ({ ...NAME, maxLength });
const SHORT_TEXT = (maxLength: number) => ({ type: "string", maxLength }) as const;

/** A full vessel can't be smaller than what stands in it. */
const vesselHolds: Check = async (db, id, asked) => {
  const vessel = await lockVessel(db, id);
  if (!vessel || vessel.batchId === null || vessel.ended || typeof asked.volumeL !== "number") return;
  const batch = await findBatch(db, vessel.batchId);
  if (batch && !fits(batch.filledL, asked.volumeL))
    throw refuse("over-brim", { takesL: batch.filledL, vessel: vessel.name, holdsL: asked.volumeL }, "/volumeL");
};

/** What draws into passing water has its ratio, and nothing else has one. */
const toolHasRatio: Check = async (db, id, asked) => {
  const was = await lockThing(db, "tool", id);
  if (!was) return;
  const inline = isInline((asked.kind ?? was.kind) as ToolKind);
  const parts = asked.partsWater === undefined ? was.partsWater : asked.partsWater;
  if (inline && !parts) throw refuse("injector-ratio", {}, "/partsWater");
  if (!inline && parts) Object.assign(asked, { partsWater: null });
};

/** A name of the book would hide the book's own. */
const notOfBook: Check = (_db, _id, asked) => {
  const typed = asked.name;
  if (typeof typed === "string" && Object.values(INGREDIENTS).some((known) => sameName(known.name, typed)))
    throw refuse("name-of-book", { name: typed }, "/name");
  return Promise.resolve();
};

export const changePerson = changeOf("changePerson", "person", { name: name(60) });
export const changeVessel = changeOf(
  "changeVessel",
  "vessel",
  {
    name: name(40),
    kind: { enum: ["drum", "tote", "pail", "jar"] },
    volumeL: { type: "number", minimum: 0.1, maximum: 20000 },
    diameterM: { type: ["number", "null"], minimum: 0.03, maximum: 5 },
    site: SHORT_TEXT(60),
    airW: { type: "number", minimum: 0, maximum: 10000 },
    heldBefore: { enum: HELD_BEFORE },
  },
  vesselHolds,
);
export const changeTool = changeOf(
  "changeTool",
  "tool",
  {
    name: name(40),
    kind: { enum: TOOL_KINDS },
    volumeL: { type: "number", minimum: 0.1, maximum: 2000 },
    stepMl: { type: ["number", "null"], minimum: 0.001, maximum: 1000 },
    partsWater: { type: ["number", "null"], minimum: 1, maximum: 5000 },
  },
  toolHasRatio,
);
export const changeWater = changeOf("changeWater", "water", { name: name(60), kind: { enum: WATER_SOURCES } });
export const changeEquipment = changeOf("changeEquipment", "equipment", {
  name: name(60),
  count: { type: "integer", minimum: 1, maximum: 1000 },
  size: { type: ["number", "null"], minimum: 0.001, maximum: 100000 },
  outlets: { type: ["integer", "null"], minimum: 1, maximum: 100 },
  note: NOTE,
});
export const changeOwnIngredient = changeOf(
  "changeOwnIngredient",
  "own-ingredient",
  {
    name: name(60),
    densityKgPerL: orNull({ type: "number", minimum: 0.02, maximum: 5 }),
    keepsD: orNull({ type: "integer", minimum: 1, maximum: 10000 }),
    caution: SHORT_TEXT(300),
    keeping: SHORT_TEXT(200),
  },
  notOfBook,
);
export const changeGatheringPlace = changeOf("changeGatheringPlace", "gathering-place", {
  name: name(60),
  ground: SHORT_TEXT(200),
  permission: SHORT_TEXT(120),
  restD: { type: "integer", minimum: 0, maximum: 3650 },
});
export const changeWormBin = changeOf("changeWormBin", "worm-bin", { name: name(60) });
export const changeDevice = changeOf("changeDevice", "device", { name: name(60) });
