import "server-only";
import { ID, MINUTES, MOMENT, REASON, REQUEST_KEY, ROW_ID, WATER_ASKED, object } from "@/contracts/parts";
import { act, type Asked } from "../act";
import { recipeFrom } from "@/core/recipe/document";
import { mixFor } from "@/core/apply/reach";
import { workOutLoads, type WorkedLoads } from "@/core/apply/loads";
import { meshUm } from "@/core/apply/care";
import { loadTool } from "@/core/apply/tool";
import { findCautions, reasonSuffices, type ApplyCaution } from "@/core/apply/cautions";
import { findUseRate } from "@/core/book";
import { cropFacts } from "@/core/book/crops";
import { findUse } from "@/core/book/uses";
import { addDays } from "@/core/calendar";
import { DEFAULT_RULES, ruleDays, type Carried, type HarvestRule } from "@/core/safety/carried";
import { parseDilution } from "@/core/quantity/ratio";
import {
  insertApplication,
  insertApplicationPlot,
  listLastByMethod,
  listHarvestRules,
  listMarks,
  listPatchTests,
  listPlots,
  listTools,
  type Plot,
  type Tool,
} from "@/data/field";
import { findBatch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { listChecksOf, insertStoreMovement, lockStore } from "@/data/stores";
import { findWater } from "@/data/water";
import { isoDay } from "@/formats/times";
import { findFarm } from "@/data/farm";
import { fits } from "@/core/quantity/fits";
import { atField, refuse } from "../refusal";
import { carriedOfBatches } from "../hazards";
import { lastSameDays, sinceWhen } from "./lastSame";
import { airDays, storeState } from "../stores";
import { hourAt, weatherAt } from "../weather";
import { bookWater } from "../water";
import { momentOf } from "../checks";
import type { Context } from "../context";
import { treatableOf } from "./treatable";

const HOUR_MS = 3_600_000;
/** Less water than this is not booked. */
const LEAST_WATER_L = 0.05;

type ApplyRequest = Asked<typeof APPLY_STORE>;

async function findTool(db: Queryable, id: number): Promise<Tool> {
  const tool = (await listTools(db)).find((candidate) => candidate.id === id);
  if (!tool) throw refuse("not-found", { thing: "tool" }, "/toolId");
  return tool;
}

async function findPlots(db: Queryable, ids: readonly number[], day: string): Promise<Plot[]> {
  const known = new Map((await listPlots(db, day, false, ids)).map((plot) => [plot.id, plot]));
  return ids.map((id, index) => {
    const plot = known.get(id);
    if (!plot) throw refuse("not-found", { thing: "plot" }, `/plotIds/${index}`);
    return plot;
  });
}

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
  const crop = cropFacts(plot.crop, plot.leafEaten, plot.part) ?? { part: "leaf", touchesSoil: true, eatenRaw: true };
  if (crop.part === "none") return null;
  const days = carries.map((hazard) =>
    ruleDays(rules.find((rule) => rule.hazard === hazard) ?? DEFAULT_RULES[hazard], crop),
  );
  const most = Math.max(0, ...days);
  return most === 0 ? null : addDays(day, most);
}

const APPLY_STORE = object(
  ["requestKey", "storeId", "useId", "ratio", "mixRateL", "mixRatePer", "toolId", "plotIds", "labourMin"],
  {
    requestKey: REQUEST_KEY,
    storeId: ROW_ID,
    useId: ID,
    ratio: { type: "string", minLength: 1, maxLength: 40 },
    mixRateL: { type: "number", minimum: 0.001, maximum: 1000 },
    mixRatePer: { enum: ["m2", "plant"] },
    toolId: ROW_ID,
    plotIds: { type: "array", minItems: 1, maxItems: 5000, uniqueItems: true, items: ROW_ID },
    /** Mix that each of these plots gets, in their order, L; where it is left out, each gets the rate on its size. */
    mixL: { type: "array", minItems: 1, maxItems: 5000, items: { type: "number", minimum: 0.001, maximum: 1_000_000 } },
    at: MOMENT,
    labourMin: MINUTES,
    overrideReason: REASON,
    /** It was strained for the leaves, and the nozzle looked at. */
    isStrained: { type: "boolean" },
    /** What was done otherwise than planned. */
    note: { type: "string", maxLength: 300 },
    /** What it was thinned with; null where it goes on undiluted. */
    water: { anyOf: [WATER_ASKED, { type: "null" }] },
  },
);

/** All that an application is judged and planned by, as it stands now. */
async function caseOf(db: Queryable, ctx: Context, request: ApplyRequest) {
  const store = await lockStore(db, request.storeId);
  if (!store) throw refuse("not-found", { thing: "store" }, "/storeId");
  const at = momentOf(ctx, request.at, store.shelfFrom);
  const use = atField("/useId", () => findUse(request.useId));
  const tool = await findTool(db, request.toolId);
  const farm = await findFarm(db);
  const today = isoDay(at, { timeZone: farm?.timeZone ?? "UTC" });
  const plots = await findPlots(db, request.plotIds, today);
  const dilution = atField("/ratio", () => parseDilution(request.ratio, [], "/ratio", farm?.units ?? "metric"));
  const carried = (await carriedOfBatches(db, [store.batchId])).get(store.batchId)!;
  const rules = await listHarvestRules(db);
  return { store, at, use, tool, plots, farm, dilution, carried, rules, today };
}
type ApplyCase = Awaited<ReturnType<typeof caseOf>>;

async function cautionsOf(db: Queryable, ctx: Context, request: ApplyRequest, it: ApplyCase): Promise<ApplyCaution[]> {
  const { store, at, use, plots, farm, carried } = it;
  const recipe = recipeFrom(store.recipe);
  const state = storeState(store, await listChecksOf(db, store.id), farm ? await airDays(db, farm, at) : [], at);
  const [lastByMethod, marks, tests, hour] = await Promise.all([
    listLastByMethod(db, sinceWhen(at), request.plotIds),
    listMarks(db),
    listPatchTests(db, [store.batchId]),
    farm ? hourAt(db, farm, at, ctx.now()) : null,
  ]);
  const thinner = request.water ? await findWater(db, request.water.sourceId) : null;
  const { methodId } = (await findBatch(db, store.batchId))!;
  return findCautions({
    recipe,
    rate: findUseRate(recipe, use.id),
    use,
    partsWater: it.dilution.partsWater,
    hoursPastExpiry: (at.getTime() - store.expiresAt.getTime()) / HOUR_MS,
    hoursSinceShelf: (at.getTime() - store.shelfFrom.getTime()) / HOUR_MS,
    smelt: state.smelt,
    recheck: state.recheck,
    plots: plots.map(({ id, name, crop, leafEaten, harvestOn, part, ring }, index) => {
      const { areaM2, near } = treatableOf(ring, marks);
      return {
        name,
        crop,
        leafEaten,
        harvestOn,
        part,
        lastSameD: lastSameDays(lastByMethod, id, methodId, at),
        treatableM2: areaM2,
        nearWater: near,
        mixL: mixOf(request, it, index),
      };
    }),
    ...carried,
    riverWater: carried.riverWater || thinner?.kind === "river",
    rules: it.rules,
    today: it.today,
    patchTests: tests,
    ...(hour ? { hour: { ...hour, atMs: at.getTime() } } : {}),
  });
}

/** Mix that a plot gets: what was said of it, else the rate on its size, L. */
function mixOf(request: ApplyRequest, { plots }: Pick<ApplyCase, "plots">, index: number): number {
  const { areaM2, plants } = plots[index]!;
  const said = request.mixL?.[index];
  return said ?? mixFor({ areaM2, plants }, { amountL: request.mixRateL, per: request.mixRatePer }) ?? 0;
}

/** @throws {Refusal} where the store holds less than the plots take, or the tool can't do it */
function planFor({ dilution, plots, tool, store }: ApplyCase, request: ApplyRequest): WorkedLoads {
  const plan = atField("/toolId", () =>
    workOutLoads({
      dilution,
      mixRate: { amountL: request.mixRateL, per: request.mixRatePer },
      plots: plots.map(({ name, areaM2, plants }, index) => ({
        id: name,
        areaM2,
        plants,
        mixL: request.mixL?.[index] ?? null,
      })),
      tool: loadTool(tool),
      availableL: store.onHandL,
    }),
  );
  if (!fits(measuredL(plan), store.onHandL))
    throw refuse("short-for-plots", { takesL: measuredL(plan), leftL: store.onHandL }, "/plotIds");
  return plan;
}

/** Writes the application down with each plot's share of what was really measured out. */
async function writeDown(
  db: Queryable,
  ctx: Context,
  request: ApplyRequest,
  it: ApplyCase,
  plan: WorkedLoads,
): Promise<number> {
  const { store, at, use, tool, plots, dilution, carried } = it;
  const concentrateL = measuredL(plan);
  const ontoHeap = use.id === "compost";
  const applicationId = await insertApplication(db, {
    storeId: store.id,
    useId: use.id,
    partsWater: dilution.partsWater,
    mixRateL: request.mixRateL,
    mixRatePer: request.mixRatePer,
    toolId: tool.id,
    mixL: plan.totals.mixL,
    concentrateL: Math.min(concentrateL, store.onHandL),
    carries: ontoHeap ? [] : carried.carries,
    loads: plan.loads,
    labourMin: request.labourMin,
    overrideReason: request.overrideReason?.trim() || null,
    note: request.note?.trim() ?? "",
    weather: await weatherAt(db, it.farm, at),
    at,
    actorId: ctx.actor.id,
    addedAt: ctx.now(),
  });
  const measuredShare = concentrateL / plan.totals.concentrateL;
  for (const [index, part] of plan.plots.entries())
    await insertApplicationPlot(
      db,
      applicationId,
      plots[index]!.id,
      part.mixL,
      part.concentrateL * measuredShare,
      ontoHeap ? null : clearDay(plots[index]!, carried.carries, it.rules, it.today),
    );
  return applicationId;
}

/**
 * Puts a store on plots: the store goes down by what was measured out, each plot's log gets its share.
 * @throws {Refusal} for a store that holds too little, an injector that is too weak, a caution overridden without a reason
 */
export const applyStore = act(
  { name: "applyStore", schema: APPLY_STORE, may: "everybody" },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    if (request.mixL && request.mixL.length !== request.plotIds.length)
      throw refuse("shares-do-not-match", { plots: request.plotIds.length, shares: request.mixL.length }, "/mixL");
    const it = await caseOf(db, ctx, request);
    const { store, at } = it;
    requireReason(await cautionsOf(db, ctx, request, it), request);
    if (it.use.target === "leaves" && request.isStrained !== true)
      throw refuse("strain-first", { meshMm: meshUm(it.tool.kind, it.use.id) / 1000 }, "/isStrained");
    const plan = planFor(it, request);
    const applicationId = await writeDown(db, ctx, request, it, plan);
    await insertStoreMovement(db, {
      storeId: store.id,
      changeByL: -Math.min(measuredL(plan), store.onHandL),
      kind: "applied",
      applicationId,
      at,
      actorId: ctx.actor.id,
      note: "",
    });
    const waterL = plan.totals.mixL - plan.totals.concentrateL;
    if (waterL > LEAST_WATER_L) {
      if (!request.water) throw refuse("which-water-thins", {}, "/water/sourceId");
      await bookWater(db, request.water, { batchId: null, applicationId, volumeL: waterL, at });
    }
    return { applicationId };
  },
);
