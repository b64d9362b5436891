import "server-only";
import { object } from "@/contracts/parts";
import { readBatch } from "../batch";
import { askWhatIf } from "../ferment";
import { ID, view } from "../view";

const WHAT_IF = object(["batchId"], {
  batchId: ID,
  placeC: { type: "number", minimum: -10, maximum: 45 },
  heaterC: { type: "number", minimum: 5, maximum: 45 },
  /** Times the culture that went in. */
  inoculum: { type: "number", minimum: 0.1, maximum: 10 },
  /** Times the sugar that went in. */
  sugar: { type: "number", minimum: 0.1, maximum: 3 },
  laterH: { type: "number", minimum: 1, maximum: 240 },
  byMs: { type: "number", minimum: 0, maximum: 8.64e15 },
  forPeak: { type: "boolean" },
});

export const BATCH_VIEWS = {
  batch: view({ name: "batch", schema: object(["id"], { id: ID }), may: "viewer" }, ({ ctx, farm }, { id }) =>
    readBatch(ctx, farm, id),
  ),
  whatIf: view({ name: "whatIf", schema: WHAT_IF, may: "viewer" }, ({ ctx, farm }, { batchId, ...asked }) =>
    askWhatIf(ctx, farm, batchId, asked),
  ),
} as const;
