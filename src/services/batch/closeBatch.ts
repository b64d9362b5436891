import "server-only";
import { AMOUNT, MINUTES, MOMENT, NOTE, REASON, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { act, type Asked } from "../act";
import { RESIDUE_TO } from "@/core/recipe/residue";
import { RINSE_TO, standsIn, type RinseTo } from "@/core/recipe/level";
import type { Recipe } from "@/core/book/recipe";
import type { Verdict } from "@/core/judge/judged";
import { isUsable } from "@/core/judge/verdictState";
import { shelfStartH } from "@/core/judge/shelfStart";
import { recipeFrom } from "@/core/recipe/document";
import { listLinesOf, insertClose, lockBatch, type Batch, listStanding } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { insertStore, insertStoreMovement, type StoreContainer } from "@/data/stores";
import { isoDay } from "@/formats/times";
import { assessBatch, hourOf, logItemsOf, readSituation } from "../ferment";
import type { Context } from "../context";
import { lotCostMinor } from "./feedBatch";
import { refuse } from "../refusal";
import { bookIn } from "../shed";
import { momentOf } from "../checks";
import { requireCleanEnd } from "./logResidue";
import { requireRunning } from "./running";

type Judgement = Pick<Verdict, "state" | "spoilt">;

const HOUR_MS = 3_600_000;
/** Sugar and sap add to what was filled; more than this over it is a slip of the key. */
const YIELD_OVER_FILL = 1.1;

async function verdictNow(db: Queryable, batch: Batch, at: Date): Promise<Judgement> {
  const farm = await findFarm(db);
  if (!farm) return { state: "early", spoilt: null };
  const lines = await listLinesOf(db, [batch.id]);
  const situation = await readSituation(db, farm, [batch], lines, at);
  return assessBatch(batch, await listStanding(db, batch.id), situation, at).verdict;
}

function requireYield(request: Asked<typeof CLOSE_BATCH>, batch: Batch, recipe: Recipe): void {
  const kg = request.yieldKg ?? null;
  if (request.kind === "discarded") {
    if (request.yieldL !== 0 || kg !== null) throw refuse("discard-yields-nothing", {}, "/yieldL");
    return;
  }
  if (recipe.yieldUnit === "kg") {
    if (kg === null) throw refuse("yield-kg", {}, "/yieldKg");
    if (kg > batch.basisAmount * recipe.yieldPerBasis.high * YIELD_OVER_FILL)
      throw refuse("more-than-it-gives", {}, "/yieldKg");
    return;
  }
  if (!(request.yieldL > 0)) throw refuse("yield-l", {}, "/yieldL");
  const rinse = rinseOf(request);
  const standsL = standsIn(batch) + (rinse?.to === "in" ? rinse.litres : 0);
  if (request.yieldL > standsL * YIELD_OVER_FILL) throw refuse("more-than-stands", { standsL }, "/yieldL");
  if (rinse?.to === "in" && rinse.litres >= request.yieldL) throw refuse("rinse-over-yield", {}, "/rinseL");
}

/** What it was rinsed with, and where that went; null for no rinse. @throws {Refusal} where nobody said where it went */
function rinseOf({ rinseL, rinseTo }: Asked<typeof CLOSE_BATCH>): { litres: number; to: RinseTo } | null {
  if (!rinseL) return null;
  if (!rinseTo) throw refuse("which-rinse", {}, "/rinseTo");
  return { litres: rinseL, to: rinseTo };
}

/** What stands in the way of straining by the verdict: failed is never strained for use, anything but ready wants a reason. */
function requireFit(request: Asked<typeof CLOSE_BATCH>, verdict: Judgement): void {
  const { state, spoilt } = verdict;
  if (request.kind === "discarded" || isUsable(state)) return;
  if (spoilt === "hold") throw refuse("batch-held", {}, "/kind");
  if (state === "spoiled") throw refuse("batch-failed", {}, "/kind");
  if ((request.overrideReason ?? "").trim() === "") {
    throw refuse("reason-needed", { because: { code: "not-ready", verdict: { state, spoilt } } }, "/overrideReason");
  }
}

const CLOSE_BATCH = object(["requestKey", "batchId", "kind", "yieldL", "residue", "labourMin"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  kind: { enum: ["strained", "discarded"] },
  at: MOMENT,
  yieldL: AMOUNT,
  /** Where what was made is weighed. */
  yieldKg: { type: ["number", "null"], minimum: 0.001, maximum: 20000 },
  /** It serves other recipes: into the shed, as a lot. */
  intoShed: { type: "boolean" },
  residue: { enum: RESIDUE_TO },
  residueKg: { type: ["number", "null"], minimum: 0, maximum: 20000 },
  /** What solids and vessel were rinsed with; it counts in the yield where it went in. */
  rinseL: { type: ["number", "null"], minimum: 0, maximum: 20000 },
  rinseTo: { enum: [...RINSE_TO, null] },
  labourMin: MINUTES,
  atOnce: { type: "boolean" },
  label: { type: "string", maxLength: 60 },
  place: { type: "string", maxLength: 80 },
  container: { enum: ["breathable", "sealed", "vented"] },
  overrideReason: REASON,
  note: NOTE,
});

/**
 * Ends a batch: strained into a store with its shelf clock started, or thrown out. The vessel then waits to be cleaned.
 * @throws {Refusal} for a batch that has ended, a yield over the fill, a failed batch, a verdict that is overridden without a reason
 */
export const closeBatch = act(
  { name: "closeBatch", schema: CLOSE_BATCH, may: "grower" },
  async (db, request, ctx): Promise<{ storeId: number | null }> => {
    const batch = await requireRunning(db, request.batchId);
    const at = momentOf(ctx, request.at, batch.startedAt);
    const recipe = recipeFrom(batch.recipe.document);
    requireYield(request, batch, recipe);
    const verdict = await verdictNow(db, batch, at);
    requireFit(request, verdict);
    await requireCleanEnd(db, batch, request.residue, request.overrideReason ?? "");
    await insertClose(db, {
      batchId: batch.id,
      kind: request.kind,
      at,
      yieldL: request.yieldL,
      yieldKg: request.yieldKg ?? null,
      residue: request.residue,
      residueKg: request.residueKg ?? null,
      rinse: rinseOf(request),
      labourMin: request.labourMin,
      verdict: verdict.state,
      overrideReason: request.overrideReason?.trim() || null,
      note: request.note ?? "",
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
    if (request.kind === "discarded") return { storeId: null };
    if (request.intoShed === true || recipe.yieldUnit === "kg") {
      await stockIt(db, ctx, batch.id, recipe, request, at);
      return { storeId: null };
    }
    return { storeId: await openStore(db, ctx, request, batch, recipe, at) };
  },
);

/** What was made serves other recipes: a home-made lot, at what the batch cost, that knows the batch it came from. */
async function stockIt(
  db: Queryable,
  ctx: Context,
  batchId: number,
  recipe: Recipe,
  request: Asked<typeof CLOSE_BATCH>,
  at: Date,
): Promise<void> {
  if (!recipe.makes) throw refuse("no-ingredient", { method: recipe.name }, "/intoShed");
  const farm = await findFarm(db);
  if (!farm) throw refuse("no-farm", {});
  const batch = (await lockBatch(db, batchId))!;
  await bookIn(
    db,
    ctx,
    {
      ingredientId: recipe.makes,
      origin: "home-made",
      receivedOn: isoDay(at, farm),
      received: recipe.yieldUnit === "kg" ? request.yieldKg! : request.yieldL,
      costMinor: await lotCostMinor(db, batch, farm, 1, at),
      expiresOn: isoDay(new Date(at.getTime() + recipe.keeping.shelfH * HOUR_MS), farm),
      note: request.label?.trim() || `${recipe.shortName} ${batch.id}`,
      fromBatchId: batch.id,
    },
    at,
  );
}

/** What makes gas in the drum makes some in the jar: it is let out, or breathes. */
const usualContainer = (lid: Recipe["lid"]): StoreContainer => (lid === "airlock" ? "vented" : "breathable");

async function openStore(
  db: Queryable,
  ctx: Context,
  request: Asked<typeof CLOSE_BATCH>,
  batch: Batch,
  recipe: Recipe,
  at: Date,
): Promise<number> {
  const { keeping, shortName, lid } = recipe;
  const atOnce = request.atOnce === true || keeping.living;
  // The shelf's clock began when the air stopped, or when it was first ready, not when somebody came to strain it.
  const log = logItemsOf(batch, await listStanding(db, batch.id));
  const shelfFrom = new Date(batch.startedAt.getTime() + shelfStartH(recipe, log, hourOf(batch, at)) * HOUR_MS);
  const storeId = await insertStore(db, {
    batchId: batch.id,
    parentId: null,
    partNo: null,
    container: request.container ?? usualContainer(lid),
    label: request.label?.trim() || `${shortName} ${batch.id}`,
    atOnce,
    place: request.place?.trim() ?? "",
    shelfFrom,
    expiresAt: new Date(shelfFrom.getTime() + keeping.shelfH * HOUR_MS),
  });
  await insertStoreMovement(db, {
    storeId,
    changeByL: request.yieldL,
    kind: "strained",
    applicationId: null,
    at,
    actorId: ctx.actor.id,
    note: "",
  });
  return storeId;
}
