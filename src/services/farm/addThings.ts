import "server-only";
import { DAY, REQUEST_KEY, object, NAME } from "@/contracts/parts";
import { act } from "../act";
import { insertPlot, insertTool, listPlots, type Plot } from "@/data/field";
import { insertVessel } from "@/data/vessels";
import { refuse } from "../refusal";
import { withFreeName } from "../checks";

const ADD_VESSEL = object(["requestKey", "name", "kind", "volumeL"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  kind: { enum: ["drum", "tote", "pail", "jar"] },
  volumeL: { type: "number", minimum: 0.1, maximum: 20000 },
  diameterM: { type: ["number", "null"], minimum: 0.03, maximum: 5 },
  site: { type: "string", maxLength: 60 },
  airW: { type: "number", minimum: 0, maximum: 10000 },
});

/** A vessel for the yard. @throws {Refusal} */
export const addVessel = act(
  { name: "addVessel", schema: ADD_VESSEL, may: "everybody" },
  async (db, request, ctx): Promise<{ vesselId: number }> => {
    const vessel = {
      name: request.name.trim(),
      kind: request.kind,
      volumeL: request.volumeL,
      diameterM: request.diameterM ?? null,
      site: request.site ?? "",
      airW: request.airW ?? 0,
    };
    return {
      vesselId: await withFreeName(vessel.name, () =>
        insertVessel(db, { ...vessel, addedAt: ctx.now(), actorId: ctx.actor.id }),
      ),
    };
  },
);

const ADD_TOOL = object(["requestKey", "name", "kind", "volumeL"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  kind: { enum: ["can", "knapsack", "injector"] },
  volumeL: { type: "number", minimum: 0.1, maximum: 2000 },
  stepMl: { type: ["number", "null"], minimum: 0.001, maximum: 1000 },
  partsWater: { type: ["number", "null"], minimum: 1, maximum: 5000 },
});

/** A can, a knapsack or an injector. @throws {Refusal} */
export const addTool = act(
  { name: "addTool", schema: ADD_TOOL, may: "everybody" },
  async (db, request): Promise<{ toolId: number }> => {
    const isInjector = request.kind === "injector";
    if (isInjector && !request.partsWater) throw refuse("injector-ratio", {}, "/partsWater");
    const tool = {
      name: request.name.trim(),
      kind: request.kind,
      volumeL: request.volumeL,
      stepMl: request.stepMl ?? null,
      partsWater: isInjector ? request.partsWater! : null,
    };
    return { toolId: await withFreeName(tool.name, () => insertTool(db, tool)) };
  },
);

/** Path between beds on the field plan, and how far east a bank of beds runs before the next begins south of it, m. */
const PATH_M = 0.6;
const BANK_M = 27;

/** The next free place: east of the last bed of the last bank, or at the head of a new bank. */
function nextPlace(plots: readonly Plot[], widthM: number): { xM: number; yM: number } {
  const bankM = plots.reduce((south, plot) => Math.max(south, plot.yM), 0);
  const eastM = plots
    .filter(({ yM }) => yM === bankM)
    .reduce((edge, plot) => Math.max(edge, plot.xM + plot.widthM + PATH_M), 0);
  if (eastM + widthM <= BANK_M || eastM === 0) return { xM: eastM, yM: bankM };
  return { xM: 0, yM: plots.reduce((south, plot) => Math.max(south, plot.yM + plot.lengthM + 2 * PATH_M), 0) };
}

const ADD_PLOT = object(["requestKey", "name", "stage", "widthM", "lengthM"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 40 },
  crop: { type: "string", maxLength: 60 },
  stage: { enum: ["bare", "seedling", "growing", "flowering", "fruiting", "perennial"] },
  widthM: { type: "number", minimum: 0.1, maximum: 1000 },
  lengthM: { type: "number", minimum: 0.1, maximum: 1000 },
  plants: { type: ["integer", "null"], minimum: 1, maximum: 1000000 },
  leafEaten: { type: "boolean" },
  harvestOn: { anyOf: [DAY, { type: "null" }] },
});

/** A plot, set down beside those that are there. @throws {Refusal} */
export const addPlot = act(
  { name: "addPlot", schema: ADD_PLOT, may: "everybody" },
  async (db, request, ctx): Promise<{ plotId: number }> => {
    const place = nextPlace(await listPlots(db), request.widthM);
    const name = request.name.trim();
    const plot = {
      name,
      crop: request.crop ?? "",
      stage: request.stage,
      plants: request.plants ?? null,
      leafEaten: request.leafEaten ?? false,
      harvestOn: request.harvestOn ?? null,
      ...place,
      widthM: request.widthM,
      lengthM: request.lengthM,
    };
    return {
      plotId: await withFreeName(name, () => insertPlot(db, { ...plot, actorId: ctx.actor.id, addedAt: ctx.now() })),
    };
  },
);
