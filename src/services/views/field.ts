import "server-only";
import { DAY, object } from "@/contracts/parts";
import { readApplicationRecord, readField, readJobs, readPlot, readProgrammes } from "../field";
import { readTrace } from "../trace";
import { ID, NOTHING, view } from "../view";

export const FIELD_VIEWS = {
  field: view({ name: "field", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readField(ctx, farm)),
  plot: view({ name: "plot", schema: object(["id"], { id: ID }), may: "viewer" }, ({ ctx, farm }, { id }) =>
    readPlot(ctx, farm, id),
  ),
  jobs: view({ name: "jobs", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readJobs(ctx, farm)),
  programmes: view({ name: "programmes", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) =>
    readProgrammes(ctx, farm),
  ),
  /** Of a span of days, both in it; of all days where none is given. */
  applicationRecord: view(
    { name: "applicationRecord", schema: object([], { from: DAY, to: DAY }), may: "viewer" },
    ({ ctx, farm }, asked) => readApplicationRecord(ctx, farm, asked),
  ),
  /** Of one of the three. */
  trace: view(
    { name: "trace", schema: object([], { plotId: ID, batchId: ID, lotId: ID }), may: "viewer" },
    ({ ctx, farm }, asked) => readTrace(ctx, farm, asked),
  ),
} as const;
