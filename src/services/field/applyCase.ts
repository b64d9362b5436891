import "server-only";
import { MINUTES, MOMENT, ID, REASON, REQUEST_KEY, ROW_ID, WATER_ASKED, object, orNull } from "@/contracts/parts";
import type { Asked } from "../act";
import { blend } from "@/core/apply/blend";
import { addBrought, broughtPerL, NOTHING_BROUGHT, timesBrought, type BroughtAmounts } from "@/core/apply/brought";
import { findCautions, gatherCautions, type ApplyCaution } from "@/core/apply/cautions";
import { isElsewhere, rateFor, usesOn } from "@/core/apply/elsewhere";
import { mixFor } from "@/core/apply/reach";
import { isSolid } from "@/core/apply/solids";
import { findUse, type UseId } from "@/core/book/uses";
import { parseDilution } from "@/core/quantity/ratio";
import { recipeFrom } from "@/core/recipe/document";
import { findBatch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import {
  listBrought,
  listHarvestRules,
  listLastByMethod,
  listMarks,
  listPatchTests,
  listPlots,
  listTools,
  type Plot,
  type Tool,
} from "@/data/field";
import { listChecksOf, lockStore, type Store } from "@/data/stores";
import { findWater } from "@/data/water";
import { isoDay } from "@/formats/times";
import { contentsOfBatches } from "../content";
import { momentOf } from "../checks";
import type { Context } from "../context";
import { carriedOfBatches, type CarriedOf } from "../hazards";
import { atField, refuse } from "../refusal";
import { airDays, storeState } from "../stores";
import { hourAt } from "../weather";
import { broughtSince, lastSameDays, sinceWhen } from "./lastSame";
import { treatableBeside } from "./treatable";

const HOUR_MS = 3_600_000;

export const APPLY_STORE = object(
  ["requestKey", "storeId", "useId", "ratio", "mixRateL", "mixRatePer", "toolId", "plotIds", "labourMin"],
  {
    requestKey: REQUEST_KEY,
    storeId: ROW_ID,
    /** A second liquid in the same can, so many parts of it to one of the first. */
    second: orNull(
      object(["storeId", "parts"], { storeId: ROW_ID, parts: { type: "number", minimum: 0.001, maximum: 1000 } }),
    ),
    useId: ID,
    ratio: { type: "string", minLength: 1, maxLength: 40 },
    mixRateL: { type: "number", minimum: 0.001, maximum: 1000 },
    /** What the rate is counted to; `whole` gives each plot the same, whatever its size. */
    mixRatePer: { enum: ["m2", "plant", "whole"] },
    toolId: ROW_ID,
    plotIds: { type: "array", minItems: 1, maxItems: 5000, uniqueItems: true, items: ROW_ID },
    /** Mix that each of these plots gets, in their order, L; where it is left out, each gets the rate on its size. */
    mixL: { type: "array", minItems: 1, maxItems: 5000, items: { type: "number", minimum: 0.001, maximum: 1_000_000 } },
    at: MOMENT,
    labourMin: MINUTES,
    overrideReason: REASON,
    /** It was strained for the leaves, and the nozzle looked at. */
    isStrained: { type: "boolean" },
    /** How deep a solid was worked in, cm. */
    depthCm: orNull({ type: "number", minimum: 1, maximum: 100 }),
    /** What was done otherwise than planned. */
    note: { type: "string", maxLength: 300 },
    /** What it was thinned with; null where it goes on undiluted. */
    water: { anyOf: [WATER_ASKED, { type: "null" }] },
    /** The step of a planned job that this is. */
    jobStep: orNull(
      object(["jobId", "stepKey"], { jobId: ROW_ID, stepKey: { type: "string", minLength: 1, maxLength: 12 } }),
    ),
  },
);
export type ApplyRequest = Asked<typeof APPLY_STORE>;

/** A liquid of the can: all that it is judged by, and its share of the concentrate. */
export interface Liquid {
  readonly store: Store;
  readonly methodId: string;
  readonly carried: CarriedOf;
  readonly brings: BroughtAmounts;
  readonly share: number;
}

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

/** The stores that go into the can, locked in one order, so that two who blend the same ones do not wait for each other. */
async function lockLiquids(db: Queryable, { storeId, second }: ApplyRequest): Promise<readonly [Store, ...Store[]]> {
  if (second?.storeId === storeId) throw refuse("same-store-twice", {}, "/second/storeId");
  const locked = new Map<number, Store>();
  for (const id of [storeId, ...(second ? [second.storeId] : [])].toSorted((a, b) => a - b)) {
    const store = await lockStore(db, id);
    if (!store) throw refuse("not-found", { thing: "store" }, id === storeId ? "/storeId" : "/second/storeId");
    locked.set(id, store);
  }
  return [locked.get(storeId)!, ...(second ? [locked.get(second.storeId)!] : [])];
}

async function liquidsOf(db: Queryable, stores: readonly Store[], parts: number): Promise<Liquid[]> {
  const batchIds = stores.map(({ batchId }) => batchId);
  const [carried, contents] = await Promise.all([carriedOfBatches(db, batchIds), contentsOfBatches(db, batchIds)]);
  const shares = stores.length === 1 ? [1] : [1 / (1 + parts), parts / (1 + parts)];
  return Promise.all(
    stores.map(async (store, index) => {
      const content = contents.get(store.batchId);
      return {
        store,
        methodId: (await findBatch(db, store.batchId))!.methodId,
        carried: carried.get(store.batchId)!,
        brings: content ? broughtPerL(content, isSolid(recipeFrom(store.recipe))) : NOTHING_BROUGHT,
        share: shares[index]!,
      };
    }),
  );
}

/** What lies nowhere on the plan is used in its own way, and never together with beds. @throws {Refusal} */
function requireUseThere({ recipe }: Store, use: UseId, plots: readonly Plot[]): void {
  const away = plots.filter(({ kind }) => isElsewhere(kind));
  if (away.length === 0) return;
  if (away.length < plots.length) throw refuse("beds-and-elsewhere", {}, "/plotIds");
  const document = recipeFrom(recipe);
  const wrong = away.find(({ kind }) => !usesOn(document, [kind]).includes(use));
  if (wrong) throw refuse("use-not-there", { plot: wrong.name, use }, "/useId");
}

/** All that an application is judged and planned by, as it stands now. */
export async function caseOf(db: Queryable, ctx: Context, request: ApplyRequest) {
  const stores = await lockLiquids(db, request);
  const shelfFrom = new Date(Math.max(...stores.map((store) => store.shelfFrom.getTime())));
  const at = momentOf(ctx, request.at, shelfFrom);
  const use = atField("/useId", () => findUse(request.useId));
  const tool = await findTool(db, request.toolId);
  const farm = await findFarm(db);
  const today = isoDay(at, { timeZone: farm?.timeZone ?? "UTC" });
  const plots = await findPlots(db, request.plotIds, today);
  const dilution = atField("/ratio", () => parseDilution(request.ratio, [], "/ratio", farm?.units ?? "metric"));
  const liquids = await liquidsOf(db, stores, request.second?.parts ?? 1);
  // Of two the scarcer one says how much there is.
  const availableL = liquids.some(({ store }) => store.onHandL <= 0)
    ? 0
    : blend(liquids.map(({ store, share }) => ({ availableL: store.onHandL, parts: share }))).totalL;
  requireUseThere(liquids[0]!.store, use.id, plots);
  const rules = await listHarvestRules(db);
  return { liquids, availableL, at, use, tool, plots, farm, dilution, rules, today };
}
export type ApplyCaseRead = Awaited<ReturnType<typeof caseOf>>;

/** Mix that a plot gets: what was said of it, else the rate on its size, L. */
export function mixOf(request: ApplyRequest, { plots }: Pick<ApplyCaseRead, "plots">, index: number): number {
  const { areaM2, plants } = plots[index]!;
  const said = request.mixL?.[index];
  if (said !== undefined) return said;
  if (request.mixRatePer === "whole") return request.mixRateL;
  return mixFor({ areaM2, plants }, { amountL: request.mixRateL, per: request.mixRatePer }) ?? 0;
}

/** What a litre of all that is in the can brings, g. */
const blendBrings = (liquids: readonly Liquid[]): BroughtAmounts =>
  liquids.map(({ brings, share }) => timesBrought(brings, share)).reduce(addBrought, NOTHING_BROUGHT);

/** The plots as they are judged for one of the liquids. */
async function plotsJudged(db: Queryable, request: ApplyRequest, it: ApplyCaseRead, { methodId }: Liquid) {
  const [lastByMethod, marks, brought] = await Promise.all([
    listLastByMethod(db, sinceWhen(it.at), request.plotIds),
    listMarks(db),
    listBrought(db, broughtSince(it.today), request.plotIds),
  ]);
  const treatableOf = treatableBeside(marks);
  return it.plots.map(({ id, name, kind, crop, leafEaten, harvestOn, part, ring, areaM2 }, index) => {
    const treatable = treatableOf(ring);
    const mixL = mixOf(request, it, index);
    const told = { name, crop, leafEaten, harvestOn, part, lastSameD: lastSameDays(lastByMethod, id, methodId, it.at) };
    return isElsewhere(kind)
      ? told
      : {
          ...told,
          treatableM2: treatable.areaM2,
          nearWater: treatable.near,
          mixL,
          areaM2,
          broughtG: brought.get(id) ?? null,
        };
  });
}

/** What speaks against one liquid of the can. */
async function cautionsOfLiquid(
  db: Queryable,
  ctx: Context,
  request: ApplyRequest,
  it: ApplyCaseRead,
  liquid: Liquid,
): Promise<ApplyCaution[]> {
  const { at, use, farm } = it;
  const { store, carried } = liquid;
  const recipe = recipeFrom(store.recipe);
  const other = it.liquids.find((one) => one !== liquid);
  const state = storeState(store, await listChecksOf(db, store.id), farm ? await airDays(db, farm, at) : [], at);
  const [plots, tests, hour] = await Promise.all([
    plotsJudged(db, request, it, liquid),
    listPatchTests(db, [store.batchId]),
    farm ? hourAt(db, farm, at, ctx.now()) : null,
  ]);
  const thinner = request.water ? await findWater(db, request.water.sourceId) : null;
  return findCautions({
    recipe,
    rate: rateFor(recipe, use.id),
    use,
    partsWater: it.dilution.partsWater,
    hoursPastExpiry: (at.getTime() - store.expiresAt.getTime()) / HOUR_MS,
    hoursSinceShelf: (at.getTime() - store.shelfFrom.getTime()) / HOUR_MS,
    smelt: state.smelt,
    recheck: state.recheck,
    plots,
    ...carried,
    riverWater: carried.riverWater || thinner?.kind === "river",
    rules: it.rules,
    today: it.today,
    patchTests: tests,
    brings: blendBrings(it.liquids),
    ...(other ? { with: recipeFrom(other.store.recipe) } : {}),
    ...(hour ? { hour: { ...hour, atMs: at.getTime() } } : {}),
  });
}

/** All that speaks against an application, each thing once, the gravest first. */
export async function cautionsOf(
  db: Queryable,
  ctx: Context,
  request: ApplyRequest,
  it: ApplyCaseRead,
): Promise<ApplyCaution[]> {
  const found: ApplyCaution[] = [];
  for (const liquid of it.liquids) found.push(...(await cautionsOfLiquid(db, ctx, request, it, liquid)));
  return gatherCautions(found);
}
