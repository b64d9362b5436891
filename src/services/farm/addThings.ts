import "server-only";
import { REQUEST_KEY, object, NAME } from "@/contracts/parts";
import { act } from "../act";
import { HELD_BEFORE } from "@/core/choose/firstDrum";
import { isInline, TOOL_KINDS } from "@/core/apply/tool";
import { insertTool } from "@/data/field";
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
  heldBefore: { enum: HELD_BEFORE },
});

/** A vessel for the yard. @throws {Refusal} */
export const addVessel = act(
  { name: "addVessel", schema: ADD_VESSEL, may: "grower" },
  async (db, request, ctx): Promise<{ vesselId: number }> => {
    const vessel = {
      name: request.name.trim(),
      kind: request.kind,
      volumeL: request.volumeL,
      diameterM: request.diameterM ?? null,
      site: request.site ?? "",
      airW: request.airW ?? 0,
      heldBefore: request.heldBefore ?? ("nothing" as const),
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
  kind: { enum: TOOL_KINDS },
  volumeL: { type: "number", minimum: 0.1, maximum: 2000 },
  stepMl: { type: ["number", "null"], minimum: 0.001, maximum: 1000 },
  partsWater: { type: ["number", "null"], minimum: 1, maximum: 5000 },
});

/** What carries a mix to the beds. @throws {Refusal} */
export const addTool = act(
  { name: "addTool", schema: ADD_TOOL, may: "grower" },
  async (db, request): Promise<{ toolId: number }> => {
    const isInjector = isInline(request.kind);
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
