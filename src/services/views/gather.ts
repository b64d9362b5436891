import "server-only";
import { readGather } from "../gather";
import { NOTHING, view } from "../view";

export const GATHER_VIEWS = {
  gather: view({ name: "gather", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readGather(ctx, farm)),
} as const;
