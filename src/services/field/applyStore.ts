import "server-only";
import { ID, MINUTES, MOMENT, REASON, REQUEST_KEY, ROW_ID, WATER_ASKED, object } from "@/contracts/parts";
import { act, type Asked } from "../act";
import { recipeFrom } from "@/core/recipe/document";
import { planLoads, type LoadsPlan } from "@/core/apply/loads";
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
import { lastSameDays } from "./lastSame";
import { airDays, storeState } from "../stores";
import { bookWater } from "../water";
import { momentOf } from "../checks";

type ApplyRequest = Asked<typeof APPLY_STORE>;

async function findTool(db: Queryable, id: number): Promise<Tool> {
  const tool = (await listTools(db)).find((candidate) => candidate.id === id);
  if (!tool) throw refuse("not-found", { thing: "tool" }, "/toolId");
  return tool;
}

async function findPlots(db: Queryable, ids: readonly number[]): Promise<Plot[]> {
  const known = new Map((await listPlots(db)).map((plot) => [plot.id, plot]));
  return ids.map((id, index) => {
    const plot = known.get(id);
    if (!plot) throw refuse("not-found", { thing: "plot" }, `/plotIds/${index}`);
    return plot;
  });
}

/** Concentrate really measured out, once each dose is rounded to what the tool can measure. */
const measuredL = (plan: LoadsPlan) => plan.totals.concentrateL + plan.roundingErrorL;

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
  const crop = cropFacts(plot.crop, plot.leafEaten) ?? { part: "leaf", touchesSoil: true, eatenRaw: true };
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
    at: MOMENT,
    labourMin: MINUTES,
    overrideReason: REASON,
    /** What it was thinned with; null where it goes on undiluted. */
    water: { anyOf: [WATER_ASKED, { type: "null" }] },
  },
);

/**
 * Puts a store on plots: the store goes down by what was measured out, each plot's log gets its share.
 * @throws {Refusal} for a store that holds too little, an injector that is too weak, a caution overridden without a reason
 */
export const applyStore = act(
  { name: "applyStore", schema: APPLY_STORE, may: "everybody" },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    const store = await lockStore(db, request.storeId);
    if (!store) throw refuse("not-found", { thing: "store" }, "/storeId");
    const at = momentOf(ctx, request.at, store.shelfFrom);
    const use = atField("/useId", () => findUse(request.useId));
    const [tool, plots, farm] = [
      await findTool(db, request.toolId),
      await findPlots(db, request.plotIds),
      await findFarm(db),
    ];
    const units = farm?.units ?? "metric";
    const dilution = atField("/ratio", () => parseDilution(request.ratio, [], "/ratio", units));
    const recipe = recipeFrom(store.recipe);
    const rate = findUseRate(recipe, use.id);
    const state = storeState(store, await listChecksOf(db, store.id), farm ? await airDays(db, farm, at) : [], at);
    const [carried, rules, lastByMethod] = [
      (await carriedOfBatches(db, [store.batchId])).get(store.batchId)!,
      await listHarvestRules(db),
      await listLastByMethod(db),
    ];
    const thinner = request.water ? await findWater(db, request.water.sourceId) : null;
    const today = isoDay(at, { timeZone: farm?.timeZone ?? "UTC" });
    const { methodId } = (await findBatch(db, store.batchId))!;
    requireReason(
      findCautions({
        recipe,
        rate,
        use,
        partsWater: dilution.partsWater,
        hoursPastExpiry: (at.getTime() - store.expiresAt.getTime()) / 3_600_000,
        hoursSinceShelf: (at.getTime() - store.shelfFrom.getTime()) / 3_600_000,
        smelt: state.smelt,
        recheck: state.recheck,
        plots: plots.map(({ id, name, crop, leafEaten, harvestOn }) => ({
          name,
          crop,
          leafEaten,
          harvestOn,
          lastSameD: lastSameDays(lastByMethod, id, methodId, at),
        })),
        ...carried,
        riverWater: carried.riverWater || thinner?.kind === "river",
        rules,
        today,
      }),
      request,
    );
    const plan = atField("/toolId", () =>
      planLoads({
        dilution,
        mixRate: { amountL: request.mixRateL, per: request.mixRatePer },
        plots: plots.map(({ name, areaM2, plants }) => ({ id: name, areaM2, plants })),
        tool: loadTool(tool),
        availableL: store.onHandL,
      }),
    );
    const concentrateL = measuredL(plan);
    if (!fits(concentrateL, store.onHandL)) {
      throw refuse("short-for-plots", { takesL: concentrateL, leftL: store.onHandL }, "/plotIds");
    }
    const applicationId = await insertApplication(db, {
      storeId: store.id,
      useId: use.id,
      partsWater: dilution.partsWater,
      mixRateL: request.mixRateL,
      mixRatePer: request.mixRatePer,
      toolId: tool.id,
      mixL: plan.totals.mixL,
      concentrateL: Math.min(concentrateL, store.onHandL),
      carries: use.id === "compost" ? [] : carried.carries,
      loads: plan.loads,
      labourMin: request.labourMin,
      overrideReason: request.overrideReason?.trim() || null,
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
        use.id === "compost" ? null : clearDay(plots[index]!, carried.carries, rules, today),
      );
    await insertStoreMovement(db, {
      storeId: store.id,
      changeByL: -Math.min(concentrateL, store.onHandL),
      kind: "applied",
      applicationId,
      at,
      actorId: ctx.actor.id,
      note: "",
    });
    const waterL = plan.totals.mixL - plan.totals.concentrateL;
    if (waterL > 0.05) {
      if (!request.water) throw refuse("which-water-thins", {}, "/water/sourceId");
      await bookWater(db, request.water, { batchId: null, applicationId, volumeL: waterL, at });
    }
    return { applicationId };
  },
);
