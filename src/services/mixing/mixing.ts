import "server-only";
import { writerOf } from "@/data/people";
import { AMOUNT, ID, MINUTES, MOMENT, NOTE, REQUEST_KEY, ROW_ID, WATER_ASKED, object } from "@/contracts/parts";
import { act, type Asked } from "../act";
import { findIngredient, isWater } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { mixProgress } from "@/core/mixing/progress";
import type { MixStep } from "@/core/mixing/mixStep";
import { mixingSteps } from "@/core/mixing/steps";
import { occupiedLitres } from "@/core/recipe/room";
import type { Queryable } from "@/data/db";
import { insertMixEntry, insertMixing, insertMixingEnd, listMixEntries, lockMixing, type Mixing } from "@/data/mixing";
import type { Context } from "../context";
import { fillWith, requirePickable, prepareFill, requireVesselFor, type PreparedFill } from "../fill";
import { START_MIXING, type FillRequest, type MixingRequest, type MixingFill } from "@/contracts/fill";
import { chooseDraw } from "../shed";
import { requireFitWater } from "../water";
import { findFarm } from "@/data/farm";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { pickRecipe } from "../recipes";
import { atField, refuse } from "../refusal";
import { momentOf } from "../checks";

/** The steps of a fill, from what it was meant to be. */
export function stepsOf(recipe: Recipe, fill: Pick<MixingFill, "lines" | "substitutes">): MixStep[] {
  const lines = fill.lines.map((line, index) => {
    const item = atField(`/lines/${index}/ingredientId`, () => findIngredient(line.ingredientId));
    const instead = (fill.substitutes ?? []).find(({ use }) => use === item.id)?.instead;
    const slot = (instead ?? item.id) as typeof item.id;
    const role = recipe.ingredients.find(({ ingredient }) => ingredient === slot)?.role ?? "";
    return { ingredient: item.id, slot, part: line.part, unit: item.stockUnit, amount: line.amount, role };
  });
  return mixingSteps(recipe, lines, occupiedLitres(recipe, lines));
}

type Meant = MixingRequest;
const asFill = ({ lines, ...chosen }: Meant): FillRequest => ({
  ...chosen,
  lines: lines.map(({ amount, ...line }) => ({ ...line, used: amount })),
  labourMin: 1,
});

/** All that its end will ask is asked before the first step: the water, the shed, the plants by name. @throws {Refusal} at the field */
async function requireFinishable(db: Queryable, ctx: Context, request: Meant, { lines }: PreparedFill): Promise<void> {
  const timeZone = (await findFarm(db))?.timeZone ?? "UTC";
  const overrideReason = request.overrideReason ?? null;
  const waterL = lines.reduce((sum, { ingredient, amount }) => sum + (isWater(ingredient) ? amount : 0), 0);
  if (waterL > 0) {
    if (!request.water) throw refuse("which-water", {}, "/water/sourceId");
    await requireFitWater(db, request.water, { volumeL: waterL, at: ctx.now() });
  }
  for (const [index, line] of lines.entries()) {
    if (isWater(line.ingredient)) continue;
    if (line.pickedNow) {
      if (isPickedPlant(line.ingredient) && line.species === "")
        throw refuse("which-plants", {}, `/lines/${index}/species`);
      requirePickable(line.species, `/lines/${index}/species`, overrideReason);
    } else
      await chooseDraw(db, {
        ingredient: line.ingredient,
        amount: line.amount,
        batchId: 0,
        at: ctx.now(),
        timeZone,
        path: `/lines/${index}/used`,
        overrideReason,
      });
  }
}

/** Begins a fill that is done step by step; the vessel is taken from now on. @throws {Refusal} */
export const startMixing = act(
  { name: "startMixing", schema: START_MIXING, may: "helper" },
  async (db, { requestKey: _key, ...request }, ctx): Promise<{ mixingId: number }> => {
    const { recipe } = await pickRecipe(db, request);
    const vessel = await requireVesselFor(db, request.vesselId, recipe);
    stepsOf(recipe, request);
    await requireFinishable(db, ctx, request, prepareFill(asFill(request), vessel, recipe));
    const fill: MixingFill = { ...request, name: recipe.shortName };
    return {
      mixingId: await insertMixing(db, {
        vesselId: request.vesselId,
        planId: request.planId ?? null,
        fill,
        startedAt: ctx.now(),
        actorId: ctx.actor.id,
      }),
    };
  },
);

async function requireOpen(db: Queryable, id: number): Promise<Mixing<MixingFill>> {
  const mixing = await lockMixing<MixingFill>(db, id);
  if (!mixing) throw refuse("not-found", { thing: "mixing" }, "/mixingId");
  if (mixing.end) throw refuse(mixing.end.batchId === null ? "mixing-given-up" : "mixing-finished", {});
  return mixing;
}

/** What a tick must say for its step to count as done. @throws {Refusal} */
function requireDone(step: MixStep, request: Asked<typeof TICK_MIXING>): void {
  if (step.amount && (request.amount === null || request.amount === undefined))
    throw refuse("how-much-went-in", {}, "/amount");
  // A round that does not fit yet is only looked at; the ticks are for when it is done.
  const left =
    request.kind === "round" ? undefined : step.checks.find((check) => !(request.checks ?? []).includes(check));
  if (left) throw refuse("checks-left", { left }, "/checks");
  if (step.answers.length === 0) return;
  const answer = step.answers.find(({ word }) => word === request.answer);
  if (!answer) throw refuse("which-answer", {}, "/answer");
  if (!answer.fits && request.kind === "done") throw refuse("answer-stops", { then: answer.then }, "/answer");
}

const TICK_MIXING = object(["requestKey", "mixingId", "stepKey", "kind"], {
  requestKey: REQUEST_KEY,
  mixingId: ROW_ID,
  stepKey: { type: "string", minLength: 1, maxLength: 80 },
  kind: { enum: ["done", "undone", "round"] },
  amount: { anyOf: [AMOUNT, { type: "null" }] },
  answer: { type: ["string", "null"], maxLength: 80 },
  checks: { type: "array", maxItems: 12, items: { type: "string", maxLength: 200 } },
  at: MOMENT,
});

/**
 * Ticks a step, one round of it, or takes a tick back; each with its moment and person, so that any device goes on where this one stopped.
 * @throws {Refusal} for a check that is not ticked, an answer that does not fit, a tick from before the last one
 */
export const tickMixing = act(
  { name: "tickMixing", schema: TICK_MIXING, may: "helper" },
  async (db, request, ctx): Promise<{ mixingId: number }> => {
    const mixing = await requireOpen(db, request.mixingId);
    const { recipe } = await pickRecipe(db, mixing.fill);
    const steps = stepsOf(recipe, mixing.fill);
    const step = steps.find(({ key }) => key === request.stepKey);
    if (!step) throw refuse("not-found", { thing: "step" }, "/stepKey");
    const at = momentOf(ctx, request.at, mixing.startedAt);
    const entries = await listMixEntries(db, mixing.id);
    const state = mixProgress(steps, entries, at.getTime()).steps.find(({ step: { key } }) => key === step.key)!;
    if (request.kind === "undone" && !state.done) throw refuse("not-ticked", {}, "/stepKey");
    // Two people at one drum: the second tick of a step is the first one again.
    if (request.kind === "done" && state.done) return { mixingId: mixing.id };
    if (request.kind !== "undone") requireDone(step, request);
    await insertMixEntry(db, {
      mixingId: mixing.id,
      stepKey: step.key,
      kind: request.kind,
      amount: step.amount && request.kind === "done" ? request.amount! : null,
      answer: request.answer ?? null,
      at,
      actorId: ctx.actor.id,
    });
    return { mixingId: mixing.id };
  },
);

/** What really went in, from the ticks; lines that were never ticked did not go in. */
function linesMixed(mixing: Mixing<MixingFill>, steps: ReturnType<typeof mixProgress>["steps"]) {
  return mixing.fill.lines.flatMap((line) => {
    const done = steps.find(({ step }) => step.key === `add-${line.part}-${line.ingredientId}`)?.done;
    return done && (done.amount ?? 0) > 0
      ? [
          {
            ingredientId: line.ingredientId,
            part: line.part,
            used: done.amount!,
            pickedNow: line.pickedNow ?? false,
            species: line.species ?? "",
          },
        ]
      : [];
  });
}

const FINISH_MIXING = object(["requestKey", "mixingId", "labourMin"], {
  requestKey: REQUEST_KEY,
  mixingId: ROW_ID,
  statedC: { type: ["number", "null"], minimum: -5, maximum: 60 },
  labourMin: MINUTES,
  overrideReason: { type: ["string", "null"], maxLength: 300 },
  /** Where the water that was meant is not to be had any more, what went in in its place. */
  water: { anyOf: [WATER_ASKED, { type: "null" }] },
  /** Where the vessel was taken meanwhile, the one it stands in. */
  vesselId: { anyOf: [ROW_ID, { type: "null" }] },
  /** Ingredients of which more went in than the shed's books hold: the rest came from elsewhere. */
  elsewhere: { type: "array", maxItems: 40, uniqueItems: true, items: ID },
  /** What was picked, where it was not named before. */
  species: { type: "string", maxLength: 120 },
});

/**
 * Makes the batch of what was mixed: drawn from the shed as it really went in, its clock started when the last living thing went in.
 * @throws {Refusal} while a step is open, and as any fill
 */
export const finishMixing = act(
  { name: "finishMixing", schema: FINISH_MIXING, may: "helper" },
  async (db, request, ctx): Promise<{ batchId: number }> => {
    const mixing = await requireOpen(db, request.mixingId);
    const { recipe } = await pickRecipe(db, mixing.fill);
    const { steps, next, timeNoughtMs } = mixProgress(
      stepsOf(recipe, mixing.fill),
      await listMixEntries(db, mixing.id),
      ctx.now().getTime(),
    );
    if (next) throw refuse("steps-left", { next: next.step.title }, "/mixingId");
    if (timeNoughtMs === null) throw refuse("nothing-went-in", {}, "/mixingId");
    const { name: _name, lines: _lines, ...chosen } = mixing.fill;
    const species = request.species?.trim() ?? "";
    const { batchId } = await fillWith(
      db,
      ctx,
      {
        ...chosen,
        vesselId: request.vesselId ?? chosen.vesselId,
        water: request.water ?? chosen.water ?? null,
        lines: linesMixed(mixing, steps).map((line) =>
          line.species === "" && line.pickedNow ? { ...line, species } : line,
        ),
        startedAt: new Date(timeNoughtMs).toISOString(),
        statedC: request.statedC ?? mixing.fill.statedC ?? null,
        labourMin: request.labourMin,
        overrideReason: request.overrideReason ?? mixing.fill.overrideReason ?? null,
      },
      { mixingId: mixing.id, elsewhere: request.elsewhere ?? [] },
    );
    await insertMixingEnd(db, { mixingId: mixing.id, batchId, note: "", at: ctx.now(), actorId: ctx.actor.id });
    return { batchId };
  },
);

const DROP_MIXING = object(["requestKey", "mixingId"], {
  requestKey: REQUEST_KEY,
  mixingId: ROW_ID,
  note: NOTE,
});

/** Gives a mixing up; the vessel is free again. Nothing was drawn. @throws {Refusal} */
export const dropMixing = act(
  {
    name: "dropMixing",
    schema: DROP_MIXING,
    may: "helper",
    ofOthers: {
      may: "grower",
      ownerOf: (db, asked) => writerOf(db, "mixing", (asked as { mixingId: number }).mixingId),
    },
  },
  async (db, request, ctx): Promise<{ mixingId: number }> => {
    const mixing = await requireOpen(db, request.mixingId);
    await insertMixingEnd(db, {
      mixingId: mixing.id,
      batchId: null,
      note: request.note ?? "",
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { mixingId: mixing.id };
  },
);
