import "server-only";
import { timesBrought } from "@/core/apply/brought";
import { meshUm } from "@/core/apply/care";
import { reasonSuffices, type ApplyCaution } from "@/core/apply/cautions";
import { isElsewhere } from "@/core/apply/elsewhere";
import { workOutLoads, type Load, type WorkedLoads } from "@/core/apply/loads";
import { isSolid } from "@/core/apply/solids";
import { loadTool } from "@/core/apply/tool";
import { cropFacts } from "@/core/book/crops";
import { addDays } from "@/core/calendar";
import { fits } from "@/core/quantity/fits";
import { recipeFrom } from "@/core/recipe/document";
import { ruleDays, ruleFor, type Carried, type HarvestRule } from "@/core/safety/carried";
import type { Queryable } from "@/data/db";
import {
  addToBrought,
  insertApplication,
  insertApplicationPlot,
  insertBlend,
  noteLatest,
  type Plot,
} from "@/data/field";
import { insertStoreMovement } from "@/data/stores";
import { act } from "../act";
import type { Context } from "../context";
import { atField, refuse } from "../refusal";
import { bookWater } from "../water";
import { weatherAt } from "../weather";
import { markStep } from "./jobs";
import {
  APPLY_STORE,
  cautionsOf,
  caseOf,
  mixOf,
  type ApplyCaseRead,
  type ApplyRequest,
  type Liquid,
} from "./applyCase";

/** Less water than this is not booked. */
const LEAST_WATER_L = 0.05;

/** Concentrate really measured out, once each dose is rounded to what the tool can measure. */
const measuredL = (plan: WorkedLoads) => plan.totals.concentrateL + plan.roundingErrorL;

function requireReason(cautions: readonly ApplyCaution[], request: ApplyRequest): void {
  const reason = request.overrideReason ?? "";
  if (reasonSuffices(cautions, reason)) return;
  const barred = cautions.find(({ weight }) => weight === "never");
  if (barred) throw refuse("use-barred", { caution: barred }, "/storeId");
  const full = cautions.some(({ weight }) => weight === "blocked");
  throw refuse(
    "reason-needed",
    { because: { code: "caution", caution: cautions[0]!, inFull: full } },
    "/overrideReason",
  );
}

/** The day from which a plot may be harvested again by the rules; null where nothing that is carried asks for days. */
function clearDay(plot: Plot, carries: readonly Carried[], rules: readonly HarvestRule[], day: string): string | null {
  if (isElsewhere(plot.kind)) return null;
  const crop = cropFacts(plot.crop, plot.leafEaten, plot.part) ?? { part: "leaf", touchesSoil: true, eatenRaw: true };
  if (crop.part === "none") return null;
  const days = carries.map((hazard) => ruleDays(ruleFor(hazard, rules), crop));
  const most = Math.max(0, ...days);
  return most === 0 ? null : addDays(day, most);
}

/** @throws {Refusal} where the stores hold less than the plots take, or the tool can't do it */
function planFor({ dilution, plots, tool, availableL, liquids }: ApplyCaseRead, request: ApplyRequest): WorkedLoads {
  const plan = atField("/toolId", () =>
    workOutLoads({
      dilution,
      mixRate: { amountL: request.mixRateL, per: request.mixRatePer === "plant" ? "plant" : "m2" },
      plots: plots.map(({ name, areaM2, plants }, index) => ({
        id: name,
        areaM2,
        plants,
        mixL: request.mixRatePer === "whole" ? mixOf(request, { plots }, index) : (request.mixL?.[index] ?? null),
      })),
      tool: loadTool(tool),
      availableL,
    }),
  );
  const takesL = measuredL(plan);
  const short = liquids.find(({ store, share }) => !fits(takesL * share, store.onHandL));
  if (short) throw refuse("short-for-plots", { takesL: takesL * short.share, leftL: short.store.onHandL }, "/plotIds");
  return plan;
}

/** The loads as far as one liquid of the can is in them. */
const loadsOf = (loads: readonly Load[], share: number): Load[] =>
  loads.map(({ count, mixL, concentrateL, waterL }) => ({
    count,
    mixL: mixL * share,
    concentrateL: concentrateL * share,
    waterL: waterL * share,
  }));

/** Writes down what went on of one liquid, with each plot's share of what was really measured out, and takes it from its store. */
async function writeDown(
  db: Queryable,
  ctx: Context,
  request: ApplyRequest,
  it: ApplyCaseRead,
  plan: WorkedLoads,
  { store, methodId, carried, brings, share }: Liquid,
  blendId: number | null,
): Promise<number> {
  const { at, use, tool, plots, dilution } = it;
  const takenL = Math.min(measuredL(plan) * share, store.onHandL);
  const ontoHeap = use.id === "compost";
  const applicationId = await insertApplication(db, {
    storeId: store.id,
    useId: use.id,
    partsWater: dilution.partsWater,
    mixRateL: request.mixRateL * share,
    mixRatePer: request.mixRatePer,
    toolId: tool.id,
    mixL: plan.totals.mixL * share,
    concentrateL: takenL,
    carries: ontoHeap ? [] : carried.carries,
    loads: loadsOf(plan.loads, share),
    labourMin: request.labourMin * share,
    overrideReason: request.overrideReason?.trim() || null,
    note: request.note?.trim() ?? "",
    weather: await weatherAt(db, it.farm, at),
    brings,
    blendId,
    depthCm: request.depthCm ?? null,
    at,
    actorId: ctx.actor.id,
    addedAt: ctx.now(),
  });
  const measuredShare = measuredL(plan) / plan.totals.concentrateL;
  for (const [index, part] of plan.plots.entries()) {
    // As the books keep it, to the millilitre, so that taking it back takes off just what was put on.
    const concentrateL = Number((part.concentrateL * measuredShare * share).toFixed(3));
    const plot = plots[index]!;
    const clearOn = ontoHeap ? null : clearDay(plot, carried.carries, it.rules, it.today);
    await insertApplicationPlot(db, applicationId, plot.id, part.mixL * share, concentrateL, clearOn);
    await addToBrought(db, plot.id, it.today, timesBrought(brings, concentrateL));
    await noteLatest(db, plot.id, methodId, at, store.id);
  }
  await insertStoreMovement(db, {
    storeId: store.id,
    changeByL: -takenL,
    kind: "applied",
    applicationId,
    at,
    actorId: ctx.actor.id,
    note: "",
  });
  return applicationId;
}

/**
 * Puts a store on plots, or two of them in one can: each store goes down by what was measured out of it, each plot's log gets its share.
 * @throws {Refusal} for a store that holds too little, an injector that is too weak, a caution overridden without a reason
 */
export const applyStore = act(
  { name: "applyStore", schema: APPLY_STORE, may: "helper" },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    if (request.mixL && request.mixL.length !== request.plotIds.length)
      throw refuse("shares-do-not-match", { plots: request.plotIds.length, shares: request.mixL.length }, "/mixL");
    const it = await caseOf(db, ctx, request);
    requireReason(await cautionsOf(db, ctx, request, it), request);
    if (it.use.target === "leaves" && request.isStrained !== true)
      throw refuse("strain-first", { meshMm: meshUm(it.tool.kind, it.use.id) / 1000 }, "/isStrained");
    const plan = planFor(it, request);
    const blendId = it.liquids.length > 1 ? await insertBlend(db, ctx.now()) : null;
    const made: number[] = [];
    for (const liquid of it.liquids) made.push(await writeDown(db, ctx, request, it, plan, liquid, blendId));
    const applicationId = made[0]!;
    const waterL = plan.totals.mixL - plan.totals.concentrateL;
    // What is mixed into a bed or potting mix is thinned by that, not by water.
    if (waterL > LEAST_WATER_L && !isSolid(recipeFrom(it.liquids[0]!.store.recipe))) {
      if (!request.water) throw refuse("which-water-thins", {}, "/water/sourceId");
      await bookWater(db, request.water, { batchId: null, applicationId, volumeL: waterL, at: it.at });
    }
    if (request.jobStep) await markStep(db, ctx, request.jobStep, applicationId, it.at);
    return { applicationId };
  },
);
