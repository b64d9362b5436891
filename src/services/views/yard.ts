import "server-only";
import { NOTHING, view } from "../view";
import { readYard } from "../yard";

export const YARD_VIEWS = {
  yard: view({ name: "yard", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readYard(ctx, farm)),
} as const;
