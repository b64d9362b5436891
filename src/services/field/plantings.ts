import "server-only";
import { DAY, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { GROWTH_STAGES, type SeenStage } from "@/core/land/planting";
import { insertPlanting, insertPlantingState, insertStageSeen, listLand, lockPlanting, lockPlot } from "@/data/field";
import { act, type Asked } from "../act";
import { dayOnFarm, writtenBy } from "../checks";
import { refuse } from "../refusal";

const MOST_PLOTS = 500;
const TOLD = {
  crop: { type: "string", minLength: 1, maxLength: 60 },
  part: { anyOf: [{ enum: ["leaf", "stem", "root", "fruit", "seed", "flower", "none"] }, { type: "null" }] },
  perennial: { type: "boolean" },
  plantedOn: orNull(DAY),
  sown: { type: "boolean" },
  plants: { type: ["integer", "null"], minimum: 1, maximum: 1_000_000 },
  spacingCm: { type: ["number", "null"], minimum: 0.5, maximum: 2000 },
  harvestFrom: orNull(DAY),
  harvestTo: orNull(DAY),
} as const;

const PLANT = object(["requestKey", "plotIds", "crop"], {
  requestKey: REQUEST_KEY,
  plotIds: { type: "array", minItems: 1, maxItems: MOST_PLOTS, uniqueItems: true, items: ROW_ID },
  ...TOLD,
});
type Told = Omit<Asked<typeof PLANT>, "requestKey" | "plotIds">;

/** What was said of a planting, with what was left out as nothing. @throws {Refusal} for a harvest that ends before it begins, or the planting */
function tellingOf(told: Told) {
  const { plantedOn = null, harvestFrom = null, harvestTo = null } = told;
  if (plantedOn !== null && harvestFrom !== null && harvestFrom < plantedOn)
    throw refuse("harvest-before-planting", {}, "/harvestFrom");
  if (harvestTo !== null && harvestTo < (harvestFrom ?? plantedOn ?? harvestTo))
    throw refuse("harvest-ends-early", {}, "/harvestTo");
  return {
    crop: told.crop.trim(),
    part: told.part ?? null,
    perennial: told.perennial ?? false,
    plantedOn,
    sown: told.sown ?? false,
    plants: told.plants ?? null,
    spacingCm: told.spacingCm ?? null,
    harvestFrom,
    harvestTo,
  };
}

/** The same crop on one plot or on many at once; on a day ahead it is meant to be, and the ground is bare till then. @throws {Refusal} */
export const plantPlots = act(
  { name: "plantPlots", schema: PLANT, may: "grower" },
  async (db, request, ctx): Promise<{ plantingIds: readonly number[] }> => {
    const { plotIds, requestKey: _key, ...told } = request;
    const telling = tellingOf(told);
    const standing = new Set((await listLand(db)).map(({ id }) => id));
    const plantingIds: number[] = [];
    for (const [index, plotId] of plotIds.entries()) {
      if (!standing.has(plotId)) throw refuse("not-found", { thing: "plot" }, `/plotIds/${index}`);
      await lockPlot(db, plotId);
      plantingIds.push(await insertPlanting(db, plotId, { ...telling, endedOn: null, ...writtenBy(ctx) }));
    }
    return { plantingIds };
  },
);

const CHANGE = object(["requestKey", "plantingId", "crop"], {
  requestKey: REQUEST_KEY,
  plantingId: ROW_ID,
  ...TOLD,
  endedOn: orNull(DAY),
});

/** A planting told otherwise: its dates, its number, its end; what was said before stays readable. @throws {Refusal} */
export const changePlanting = act(
  { name: "changePlanting", schema: CHANGE, may: "grower" },
  async (db, request, ctx): Promise<{ plantingId: number }> => {
    const { plantingId, endedOn = null, requestKey: _key, ...told } = request;
    if (!(await lockPlanting(db, plantingId))) throw refuse("not-found", { thing: "planting" }, "/plantingId");
    const telling = tellingOf(told);
    if (endedOn !== null && telling.plantedOn !== null && endedOn < telling.plantedOn)
      throw refuse("ended-before-planting", {}, "/endedOn");
    await insertPlantingState(db, plantingId, { ...telling, endedOn, ...writtenBy(ctx) });
    return { plantingId };
  },
);

const CLEAR = object(["requestKey", "plantingIds", "on"], {
  requestKey: REQUEST_KEY,
  plantingIds: { type: "array", minItems: 1, maxItems: MOST_PLOTS, uniqueItems: true, items: ROW_ID },
  /** Null takes the clearing back. */
  on: orNull(DAY),
});

/** Plots are cleared of what grew on them, or it was a mistake and it stands. @throws {Refusal} */
export const clearPlantings = act(
  { name: "clearPlantings", schema: CLEAR, may: "grower" },
  async (db, request, ctx): Promise<{ cleared: number }> => {
    if (request.on !== null && request.on > (await dayOnFarm(db, ctx.now()))) throw refuse("day-ahead", {}, "/on");
    for (const [index, id] of request.plantingIds.entries()) {
      const planting = await lockPlanting(db, id);
      if (!planting) throw refuse("not-found", { thing: "planting" }, `/plantingIds/${index}`);
      await insertPlantingState(db, id, { ...planting, endedOn: request.on, ...writtenBy(ctx) });
    }
    return { cleared: request.plantingIds.length };
  },
);

const SEE_STAGE = object(["requestKey", "plantingIds", "stage"], {
  requestKey: REQUEST_KEY,
  plantingIds: { type: "array", minItems: 1, maxItems: MOST_PLOTS, uniqueItems: true, items: ROW_ID },
  stage: { enum: GROWTH_STAGES.filter((stage): stage is SeenStage => stage !== "bare") },
  on: DAY,
});

/** How far a crop was seen to be, whatever its dates say; the latest word counts. @throws {Refusal} */
export const seeStage = act(
  { name: "seeStage", schema: SEE_STAGE, may: "helper" },
  async (db, request, ctx): Promise<{ seen: number; stageIds: number[] }> => {
    const today = await dayOnFarm(db, ctx.now());
    const on = request.on ?? today;
    const stageIds: number[] = [];
    if (on > today) throw refuse("day-ahead", {}, "/on");
    for (const [index, id] of request.plantingIds.entries()) {
      if (!(await lockPlanting(db, id))) throw refuse("not-found", { thing: "planting" }, `/plantingIds/${index}`);
      stageIds.push(await insertStageSeen(db, id, request.stage, on, ctx.actor.id, ctx.now()));
    }
    return { seen: request.plantingIds.length, stageIds };
  },
);
