import "server-only";
import { insertPlot, insertTool, listPlots, type Plot } from "@/data/plots";
import { insertVessel } from "@/data/vessels";
import type { Context } from "./context";
import { refuseAt } from "./refusal";
import { withFreeName, write } from "./write";

/** A vessel for the yard. @throws {Refusal} */
export const addVessel = (ctx: Context, input: unknown): Promise<{ vesselId: number }> =>
  write(ctx, "addVessel", input, async (db, request) => {
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
  });

/** A can, a knapsack or an injector. @throws {Refusal} */
export const addTool = (ctx: Context, input: unknown): Promise<{ toolId: number }> =>
  write(ctx, "addTool", input, async (db, request) => {
    const isInjector = request.kind === "injector";
    if (isInjector && !request.partsWater)
      throw refuseAt("bad-request", "/partsWater", "An injector needs its ratio: parts of water to one of stock.");
    const tool = {
      name: request.name.trim(),
      kind: request.kind,
      volumeL: request.volumeL,
      stepMl: request.stepMl ?? null,
      partsWater: isInjector ? request.partsWater! : null,
    };
    return { toolId: await withFreeName(tool.name, () => insertTool(db, tool)) };
  });

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

/** A plot, set down beside those that are there. @throws {Refusal} */
export const addPlot = (ctx: Context, input: unknown): Promise<{ plotId: number }> =>
  write(ctx, "addPlot", input, async (db, request) => {
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
  });
