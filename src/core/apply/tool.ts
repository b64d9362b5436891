import type { HandTool, Injector } from "./loads";

/** What carries a mix to the beds: by hand, pumped through a hose, or drawn into the water that passes. */
export const TOOL_KINDS = ["can", "knapsack", "tote", "siphon", "injector", "drip"] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

/** Draws from a tank into the water that passes, in a set ratio. */
export const isInline = (kind: ToolKind): boolean => kind === "injector" || kind === "siphon" || kind === "drip";

/** Carried by hand, load by load. */
export const isCarried = (kind: ToolKind): boolean => kind === "can" || kind === "knapsack";

/** A tool as the farm keeps it: a can or knapsack with the smallest dose it can measure, or an injector with its tank and ratio. */
export interface FarmTool {
  readonly kind: ToolKind;
  readonly volumeL: number;
  readonly stepMl: number | null;
  /** Parts of water to one of stock; what draws into passing water has it, nothing else does. */
  readonly partsWater: number | null;
}

/** The farm's tool as the planner of loads takes it. */
export function loadTool({ kind, volumeL, stepMl, partsWater }: FarmTool): HandTool | Injector {
  if (isInline(kind)) return { type: "injector", partsWater: partsWater ?? 1, tankL: volumeL };
  return { type: "hand", volumeL, ...(stepMl === null ? {} : { stepL: stepMl / 1000 }) };
}
