import "server-only";
import { readTools } from "../equipment";
import { NOTHING, view } from "../view";

export const TOOLS_VIEWS = {
  tools: view({ name: "tools", schema: NOTHING, may: "everybody" }, ({ ctx, farm }) => readTools(ctx, farm)),
} as const;
