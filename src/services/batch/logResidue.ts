import "server-only";
import { AMOUNT, MOMENT, REASON, REQUEST_KEY, ROW_ID, SHORT, object, orNull } from "@/contracts/parts";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { recipeFrom } from "@/core/recipe/document";
import { foulsFood, RESIDUE_TO, RESIDUES, type Residue, type ResidueTo } from "@/core/recipe/residue";
import { insertResidue, listBatchLines, listResidues, lockBatch, type Batch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import { act } from "../act";
import { momentOf } from "../checks";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { bookIn } from "../shed";

const LOG_RESIDUE = object(["requestKey", "batchId", "what", "to"], {
  requestKey: REQUEST_KEY,
  batchId: ROW_ID,
  what: { enum: RESIDUES },
  to: { enum: RESIDUE_TO },
  amount: orNull(AMOUNT),
  unit: { enum: ["kg", "L"] },
  place: SHORT,
  at: MOMENT,
  /** It stands in for what was said before. */
  replacesId: orNull(ROW_ID),
  /** There was no such thing: what was said before is taken back. */
  isNone: { type: "boolean" },
  overrideReason: REASON,
});

/** Ingredients that serve again once the batch is over. */
const SERVE_AGAIN: Partial<Record<Residue, readonly IngredientId[]>> = { shell: ["eggshell", "shell-meal"] };

/** Refuses to put what makes ill where food grows without a reason. @throws {Refusal} `reason-needed` */
export async function requireCleanEnd(db: Queryable, batch: Batch, to: ResidueTo, reason: string): Promise<void> {
  const used = (await listBatchLines(db, batch.id)).map((line) => ({
    ingredient: line.ingredientId as IngredientId,
    amount: line.used,
  }));
  if (foulsFood({ recipe: recipeFrom(batch.recipe.document), used }, to) && reason.trim() === "")
    throw refuse("reason-needed", { because: { code: "residue-on-food" } }, "/overrideReason");
}

/** What is kept to serve again comes into the shed, at no cost, and knows the batch that it was in; null where nobody weighed it. */
async function keep(
  db: Queryable,
  ctx: Context,
  batch: Batch,
  what: Residue,
  amount: number | null,
  at: Date,
): Promise<number | null> {
  const lines = await listBatchLines(db, batch.id);
  const again = (SERVE_AGAIN[what] ?? []).find((id) => lines.some(({ ingredientId }) => ingredientId === id));
  if (!again || amount === null || amount === 0) return null;
  const farm = await findFarm(db);
  return bookIn(
    db,
    ctx,
    {
      ingredientId: again,
      origin: "home-made",
      receivedOn: isoDay(at, farm ?? { timeZone: "UTC" }),
      received: amount,
      costMinor: 0,
      expiresOn: null,
      note: `${findIngredient(again).name}, served once in ${batch.recipe.shortName} ${batch.id}`,
      fromBatchId: batch.id,
    },
    at,
  );
}

/**
 * Writes down what a batch left and where that went: once it is strained, or while it runs (foam, rinse). What was said before is replaced by a later
 * entry that says so.
 * @throws {Refusal} for a batch that there is not, what was replaced already or is a lot of the shed, food beds without a reason
 */
export const logResidue = act(
  { name: "logResidue", schema: LOG_RESIDUE, may: "helper" },
  async (db, request, ctx): Promise<{ residueId: number }> => {
    const batch = await lockBatch(db, request.batchId);
    if (!batch) throw refuse("not-found", { thing: "batch" }, "/batchId");
    const at = momentOf(ctx, request.at, batch.startedAt);
    const replacesId = request.replacesId ?? null;
    if (replacesId !== null) {
      const before = (await listResidues(db, batch.id)).find(({ id }) => id === replacesId);
      if (!before) throw refuse("entry-corrected", {}, "/replacesId");
      if (before.lotId !== null) throw refuse("residue-in-shed", {}, "/replacesId");
    }
    const isNone = request.isNone ?? false;
    const amount = request.amount ?? null;
    if (!isNone) await requireCleanEnd(db, batch, request.to, request.overrideReason ?? "");
    const lotId = request.to === "kept" && !isNone ? await keep(db, ctx, batch, request.what, amount, at) : null;
    return {
      residueId: await insertResidue(db, batch.id, {
        what: request.what,
        to: request.to,
        amount,
        unit: request.unit ?? "kg",
        place: request.place?.trim() ?? "",
        lotId,
        overrideReason: request.overrideReason?.trim() || null,
        replacesId,
        isNone,
        at,
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);
