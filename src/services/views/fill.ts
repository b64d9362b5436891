import "server-only";
import { readMaking } from "../fill";
import { NOTHING, view } from "../view";

export const FILL_VIEWS = {
  making: view({ name: "making", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readMaking(ctx, farm.timeZone)),
} as const;
