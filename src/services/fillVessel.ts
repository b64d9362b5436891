import "server-only";
import type { ActionRequest } from "@/contracts/actions/requests";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { METHODS } from "@/core/book";
import type { Recipe } from "@/core/book/recipe";
import { occupiedLitres } from "@/core/recipe/room";
import { scaleRecipe, type ScaledRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { toMilli } from "@/core/stock/drawOldest";
import { insertBatch, insertBatchLine, listMethodsOfVessel } from "@/data/batches";
import type { Queryable } from "@/data/db";
import { insertEquipmentEvent, lockEquipment } from "@/data/equipment";
import { findFarm } from "@/data/farm";
import { lockVessel, type VesselState } from "@/data/vessels";
import { sayVolume } from "@/formats/amounts";
import { isoDay } from "@/formats/times";
import { listOpenMixings } from "@/data/mixings";
import { lockPlan } from "@/data/plans";
import { endPlan } from "./shed/plans";
import type { Context } from "./context";
import { keepForecast } from "./ferment/keepForecast";
import { pickedPlant } from "./pickedPlant";
import { pickRecipe } from "./recipes";
import { atField, Refusal, refuseAt } from "./refusal";
import { bookIn, drawOut } from "./shed/shedBook";
import { bookWater } from "./waters";
import { momentOf, write } from "./write";

type FillRequest = Omit<ActionRequest<"fillVessel">, "requestKey">;
type FillLine = FillRequest["lines"][number];

/** A fill may have been made some days before it is written down, not longer. */
const EARLIEST_FILL_MS = 60 * 86_400_000;

function requireFree(vessel: VesselState | null): VesselState {
  if (!vessel) throw refuseAt("not-found", "/vesselId", "There is no such vessel.");
  if (vessel.batchId !== null && vessel.closedAs === null)
    throw new Refusal(
      "vessel-busy",
      `${vessel.name} has been filled meanwhile. Pick another vessel; what you typed is kept.`,
      { "/vesselId": "Filled meanwhile." },
    );
  if (vessel.batchId !== null && !vessel.cleaned)
    throw new Refusal("vessel-dirty", `${vessel.name} has not been cleaned since its last batch.`, {
      "/vesselId": "Clean it first.",
    });
  return vessel;
}

function planFill(request: FillRequest, vessel: VesselState, recipe: Recipe): ScaledRecipe {
  return atField("/basisAmount", () =>
    scaleRecipe({
      recipe,
      vesselL: vessel.volumeL,
      diameterM: vessel.diameterM,
      ...(request.headspaceL === null || request.headspaceL === undefined ? {} : { headspaceL: request.headspaceL }),
      targetBasis: request.basisAmount,
      include: (request.include ?? []) as IngredientId[],
      stated: (request.stated ?? []) as ScaleRequest["stated"] & object,
      substitutes: (request.substitutes ?? []) as ScaleRequest["substitutes"] & object,
    }),
  );
}

interface UsedLine {
  readonly ingredient: IngredientId;
  readonly part: "mix" | "cap";
  readonly amount: number;
  readonly unit: "kg" | "L";
  readonly planned: number;
  readonly pickedNow: boolean;
  readonly species: string;
}

/** What really goes in, beside what the recipe asked for; people use what they have, so more or other lines are welcome. */
function usedLines(request: FillRequest, scaled: ScaledRecipe): UsedLine[] {
  return request.lines.map((line: FillLine, index) => {
    const item = atField(`/lines/${index}/ingredientId`, () => findIngredient(line.ingredientId));
    const planned = scaled.lines.find((candidate) => candidate.ingredient === item.id && candidate.part === line.part);
    return {
      ingredient: item.id,
      part: line.part,
      amount: line.used,
      unit: item.stockUnit,
      planned: planned?.amount ?? 0,
      pickedNow: line.pickedNow ?? false,
      species: line.species?.trim() ?? "",
    };
  });
}

function requireRoom(vessel: VesselState, recipe: Recipe, lines: readonly UsedLine[]): number {
  const filledL = occupiedLitres(recipe, lines);
  if (!(filledL > 0)) throw refuseAt("bad-request", "/lines", "Nothing goes in.");
  if (filledL > vessel.volumeL) {
    throw refuseAt(
      "over-brim",
      "/lines",
      `That takes up ${sayVolume(filledL, "metric")} with what the solids push up; ${vessel.name} holds ${sayVolume(vessel.volumeL, "metric")} to the brim.`,
    );
  }
  return filledL;
}

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
  if (line.ingredient === "water" || toMilli(line.amount) === 0) return;
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
      note: "picked for this batch",
      provenance: plant,
      fromBatchId: null,
    },
    startedAt,
  );
  await drawOut(db, ctx, { ...draw, onlyLotId: lotId });
}

/** The water of a fill is booked with it, so that no batch starts in water that nobody looked at. */
async function requireWater(
  db: Queryable,
  request: FillRequest,
  batchId: number,
  lines: readonly UsedLine[],
  at: Date,
): Promise<void> {
  const volumeL = lines.find(({ ingredient }) => ingredient === "water")?.amount ?? 0;
  if (volumeL <= 0) return;
  if (!request.water) throw refuseAt("bad-request", "/water/sourceId", "Which water goes in?");
  await bookWater(db, request.water, { batchId, applicationId: null, volumeL, at });
}

/** A vessel that once held dung is kept for it: no scrubbing makes it fit for what goes on leaves. */
async function requireKeptApart(db: Queryable, vessel: VesselState, recipe: Recipe): Promise<void> {
  if (recipe.vesselUse === "manure") return;
  const held = await listMethodsOfVessel(db, vessel.id);
  const dung = METHODS.find(({ id, vesselUse }) => vesselUse === "manure" && held.includes(id));
  if (dung)
    throw refuseAt(
      "unfit",
      "/methodId",
      `${vessel.name} has held ${dung.name.toLowerCase()}: it is kept for dung from then on. Take another vessel.`,
    );
}

/** A vessel that is free, has air where the recipe needs it, and held no dung where it may not. @throws {Refusal} */
export async function requireVesselFor(
  db: Queryable,
  vesselId: number,
  recipe: Recipe,
  mixingId: number | null = null,
): Promise<VesselState> {
  const vessel = requireFree(await lockVessel(db, vesselId));
  const mixing = (await listOpenMixings(db)).find((open) => open.vesselId === vesselId && open.id !== mixingId);
  if (mixing)
    throw new Refusal(
      "vessel-busy",
      `${vessel.name} is being filled by ${mixing.actorName} step by step. Finish or give up that one first.`,
      {
        "/vesselId": "Being filled.",
      },
    );
  if (recipe.aerated && vessel.airW === 0)
    throw new Refusal("unfit", `${vessel.name} has no air, and ${recipe.name.toLowerCase()} needs it all the way.`, {
      "/methodId": "This vessel has no air.",
    });
  await requireKeptApart(db, vessel, recipe);
  return vessel;
}

/** The batch itself, within a transaction: the vessel taken, the recipe frozen, the shed drawn on, the plan ended. @throws {Refusal} */
export async function fillWith(
  db: Queryable,
  ctx: Context,
  request: FillRequest,
  { mixingId }: { readonly mixingId: number | null },
): Promise<{ batchId: number }> {
  const { recipe, document, versionNo } = await pickRecipe(db, request);
  const startedAt = momentOf(ctx, request.startedAt, null, "/startedAt");
  if (ctx.now().getTime() - startedAt.getTime() > EARLIEST_FILL_MS)
    throw refuseAt("time", "/startedAt", "That is more than two months ago.");
  const vessel = await requireVesselFor(db, request.vesselId, recipe, mixingId);
  const scaled = planFill(request, vessel, recipe);
  const lines = usedLines(request, scaled);
  const filledL = requireRoom(vessel, recipe, lines);
  const farm = await findFarm(db);
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
    await drawLine(db, ctx, batchId, line, index, startedAt, clock, request.overrideReason ?? null);
  }
  await requireWater(db, request, batchId, lines, startedAt);
  for (const equipmentId of request.toolIds ?? []) {
    if (!(await lockEquipment(db, equipmentId))) throw refuseAt("not-found", "/toolIds", "There is no such tool.");
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
export const fillVessel = (ctx: Context, input: unknown): Promise<{ batchId: number }> =>
  write(ctx, "fillVessel", input, (db, { requestKey: _key, ...request }) =>
    fillWith(db, ctx, request, { mixingId: null }),
  );
