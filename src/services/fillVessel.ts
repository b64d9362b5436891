import "server-only";
import type { ActionRequest } from "@/contracts/actions/requests";
import { findMethod, findSchool } from "@/core/book";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { recipeOf, type Recipe } from "@/core/book/recipe";
import { documentOf } from "@/core/recipe/document";
import { occupiedLitres } from "@/core/recipe/room";
import { scaleRecipe, type ScaledRecipe } from "@/core/recipe/scale";
import { drawOldestFirst, toMilli } from "@/core/stock/drawOldest";
import { insertBatch, insertBatchLine } from "@/data/batches";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { insertLot, insertStockMovement, lockLots } from "@/data/stock";
import { lockVessel, type VesselState } from "@/data/vessels";
import { sayStock, sayVolume } from "@/formats/amounts";
import { isoDay } from "@/formats/times";
import type { Context } from "./context";
import { atField, Refusal, refuseAt } from "./refusal";
import { momentOf, write } from "./write";

type FillRequest = ActionRequest<"fillVessel">;
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

/** The recipe that was picked. */
function recipeFor(request: FillRequest): Recipe {
  const method = atField("/methodId", () => findMethod(request.methodId));
  return recipeOf(
    method,
    atField("/schoolId", () => findSchool(method, request.schoolId)),
  );
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
  today: string,
): Promise<void> {
  const amountMilli = toMilli(line.amount);
  if (line.ingredient === "water" || amountMilli === 0) return;
  const by = { actorId: ctx.actor.id, addedAt: ctx.now() };
  if (line.pickedNow) {
    const lotId = await insertLot(db, {
      ingredientId: line.ingredient,
      unit: line.unit,
      origin: "foraged",
      receivedOn: today,
      received: line.amount,
      costMinor: 0,
      expiresOn: null,
      note: "picked for this batch",
      ...by,
    });
    await insertStockMovement(db, {
      lotId,
      changeBy: line.amount,
      kind: "received",
      batchId: null,
      at: startedAt,
      actorId: ctx.actor.id,
      note: "",
    });
  }
  const lots = await lockLots(db, line.ingredient);
  // What was picked for this batch goes into this batch, before older lots on the shelf.
  const shelf = line.pickedNow ? lots.slice(-1) : lots;
  const { draws, shortMilli } = drawOldestFirst(
    shelf.map(({ id, receivedOn, onHand }) => ({ lotId: id, receivedOn, onHandMilli: toMilli(onHand) })),
    amountMilli,
  );
  if (shortMilli > 0) {
    const held = sayStock((amountMilli - shortMilli) / 1000, line.unit, "metric", 4);
    throw refuseAt(
      "short-of-stock",
      `/lines/${index}/used`,
      `The shed holds ${held} of ${findIngredient(line.ingredient).name.toLowerCase()}.`,
    );
  }
  for (const draw of draws) {
    await insertStockMovement(db, {
      lotId: draw.lotId,
      changeBy: -draw.amountMilli / 1000,
      kind: "used",
      batchId,
      at: startedAt,
      actorId: ctx.actor.id,
      note: "",
    });
  }
}

/**
 * Starts a batch: the vessel is taken, the recipe frozen, the shed drawn on by what was really used.
 * @throws {Refusal} for a vessel that is taken or dirty, a fill over the brim, more than the shed holds, a start in the future
 */
export const fillVessel = (ctx: Context, input: unknown): Promise<{ batchId: number }> =>
  write(ctx, "fillVessel", input, async (db, request) => {
    const recipe = recipeFor(request);
    const startedAt = momentOf(ctx, request.startedAt, null, "/startedAt");
    if (ctx.now().getTime() - startedAt.getTime() > EARLIEST_FILL_MS)
      throw refuseAt("time", "/startedAt", "That is more than two months ago.");
    const vessel = requireFree(await lockVessel(db, request.vesselId));
    if (recipe.aerated && vessel.airW === 0)
      throw new Refusal("unfit", `${vessel.name} has no air, and ${recipe.name.toLowerCase()} needs it all the way.`, {
        "/methodId": "This vessel has no air.",
      });
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
        versionNo: null,
        document: documentOf(recipe, { name: recipe.school.name, source: "the book", note: recipe.school.stance }),
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
      await drawLine(
        db,
        ctx,
        batchId,
        line,
        index,
        startedAt,
        isoDay(startedAt, { timeZone: farm?.timeZone ?? "UTC" }),
      );
    }
    return { batchId };
  });
