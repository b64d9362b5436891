import { isWater } from "@/core/book/ingredients";
import "server-only";
import { FILL_VESSEL, type FillRequest } from "@/contracts/fill";
import { act } from "../act";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { toMilli } from "@/core/stock/drawOldest";
import { insertBatchLine, insertBatch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { insertEquipmentEvent, lockEquipment } from "@/data/equipment";
import { findFarm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import { lockPlan, lockLots } from "@/data/shed";
import { endPlan, stateLotsOf, bookIn, drawOut } from "../shed";
import type { Context } from "../context";
import { keepForecast } from "../ferment";
import { pickedPlant } from "./pickedPlant";
import { prepareFill, requireVesselFor, type UsedLine } from "./prepareFill";
import { pickRecipe } from "../recipes";
import { refuse } from "../refusal";
import { bookWater } from "../water";
import { momentOf } from "../checks";

/** A fill may have been made some days before it is written down, not longer. */
const EARLIEST_FILL_MS = 60 * 86_400_000;

/** Draws one line from the shed, oldest lot first, or books what was picked just now and draws that. */
async function drawLine(
  db: Queryable,
  ctx: Context,
  batchId: number,
  line: UsedLine,
  index: number,
  startedAt: Date,
  clock: { readonly timeZone: string },
  overrideReason: string | null,
): Promise<void> {
  if (isWater(line.ingredient) || toMilli(line.amount) === 0) return;
  const draw = {
    ingredient: line.ingredient,
    amount: line.amount,
    batchId,
    at: startedAt,
    timeZone: clock.timeZone,
    path: `/lines/${index}/used`,
    overrideReason,
  };
  if (!line.pickedNow) {
    await drawOut(db, ctx, draw);
    return;
  }
  if (isPickedPlant(line.ingredient) && line.species === "")
    throw refuse("which-plants", {}, `/lines/${index}/species`);
  const plant = pickedPlant(line.species, `/lines/${index}/species`, overrideReason);
  // What was picked for this batch goes into this batch, before older lots on the shelf.
  const lotId = await bookIn(
    db,
    ctx,
    {
      ingredientId: line.ingredient,
      origin: "foraged",
      receivedOn: isoDay(startedAt, clock),
      received: line.amount,
      costMinor: 0,
      expiresOn: null,
      note: "",
      provenance: plant,
      fromBatchId: null,
      cameWithBatchId: batchId,
    },
    startedAt,
  );
  await drawOut(db, ctx, { ...draw, onlyLotId: lotId });
}

/** What went in beyond what the shed's books hold came from elsewhere: it comes in with this batch, so that the books are right again. */
async function bookFromElsewhere(
  db: Queryable,
  ctx: Context,
  batchId: number,
  line: UsedLine,
  startedAt: Date,
  clock: { readonly timeZone: string },
): Promise<void> {
  const day = isoDay(startedAt, clock);
  const open = (await stateLotsOf(db, line.ingredient, await lockLots(db, line.ingredient), day)).filter(
    ({ hold }) => hold === null,
  );
  const short = line.amount - open.reduce((sum, { onHand }) => sum + onHand, 0);
  if (toMilli(short) <= 0) return;
  await bookIn(
    db,
    ctx,
    {
      ingredientId: line.ingredient,
      origin: "given",
      receivedOn: day,
      received: Number(short.toFixed(3)),
      costMinor: 0,
      expiresOn: null,
      note: "",
      provenance: {},
      fromBatchId: null,
      cameWithBatchId: batchId,
    },
    startedAt,
  );
}

/** The water of a fill is booked with it, so that no batch starts in water that nobody looked at. */
async function requireWater(
  db: Queryable,
  request: FillRequest,
  batchId: number,
  lines: readonly UsedLine[],
  at: Date,
): Promise<void> {
  const volumeL = lines.reduce((sum, { ingredient, amount }) => sum + (isWater(ingredient) ? amount : 0), 0);
  if (volumeL <= 0) return;
  if (!request.water) throw refuse("which-water", {}, "/water/sourceId");
  await bookWater(db, request.water, { batchId, applicationId: null, volumeL, at });
}

/** The batch itself, within a transaction: the vessel taken, the recipe frozen, the shed drawn on, the plan ended. @throws {Refusal} */
export async function fillWith(
  db: Queryable,
  ctx: Context,
  request: FillRequest,
  { mixingId, elsewhere = [] }: { readonly mixingId: number | null; readonly elsewhere?: readonly string[] },
): Promise<{ batchId: number }> {
  const { recipe, document, versionNo } = await pickRecipe(db, request);
  const startedAt = momentOf(ctx, request.startedAt, null, "/startedAt");
  if (ctx.now().getTime() - startedAt.getTime() > EARLIEST_FILL_MS) throw refuse("too-long-ago", {}, "/startedAt");
  const vessel = await requireVesselFor(db, request.vesselId, recipe, mixingId);
  const farm = await findFarm(db);
  const { scaled, lines, filledL } = prepareFill(request, vessel, recipe);
  const batchId = await insertBatch(db, {
    vesselId: vessel.id,
    methodId: recipe.id,
    schoolId: recipe.school.id,
    recipe: {
      methodName: recipe.name,
      shortName: recipe.shortName,
      schoolName: recipe.school.name,
      limitedBy: scaled.limitedBy,
      versionNo,
      document,
    },
    filledL,
    basisAmount: request.basisAmount,
    startedAt,
    statedC: request.statedC ?? null,
    labourMin: request.labourMin,
    powerW: recipe.aerated ? vessel.airW : 0,
    addedAt: ctx.now(),
    actorId: ctx.actor.id,
  });
  for (const [index, line] of lines.entries()) {
    await insertBatchLine(db, batchId, index + 1, {
      ingredientId: line.ingredient,
      part: line.part,
      unit: line.unit,
      planned: line.planned,
      used: line.amount,
    });
    const clock = { timeZone: farm?.timeZone ?? "UTC" };
    if (elsewhere.includes(line.ingredient)) await bookFromElsewhere(db, ctx, batchId, line, startedAt, clock);
    await drawLine(db, ctx, batchId, line, index, startedAt, clock, request.overrideReason ?? null);
  }
  await requireWater(db, request, batchId, lines, startedAt);
  for (const equipmentId of request.equipmentIds ?? []) {
    if (!(await lockEquipment(db, equipmentId))) throw refuse("not-found", { thing: "tool" }, "/equipmentIds");
    await insertEquipmentEvent(db, {
      equipmentId,
      kind: "used",
      batchId,
      note: "",
      at: startedAt,
      actorId: ctx.actor.id,
    });
  }
  await keepForecast(db, batchId, null, ctx.now());
  // What is mixed is mixed, also where its plan was given up meanwhile.
  const planGone = mixingId !== null && request.planId ? !(await lockPlan(db, request.planId))?.open : false;
  if (request.planId && !planGone) await endPlan(db, ctx, request.planId, batchId);
  return { batchId };
}

/**
 * Starts a batch: the vessel is taken, the recipe frozen, the shed drawn on by what was really used.
 * @throws {Refusal} for a vessel that is taken or dirty, a fill over the brim, more than the shed holds, a start in the future
 */
export const fillVessel = act(
  { name: "fillVessel", schema: FILL_VESSEL, may: "helper" },
  (db, { requestKey: _key, ...request }, ctx): Promise<{ batchId: number }> =>
    fillWith(db, ctx, request, { mixingId: null }),
);
