import type { HandTool, Injector } from "./loads";

/** A tool as the farm keeps it: a can or knapsack with the smallest dose it can measure, or an injector with its tank and ratio. */
export interface FarmTool {
  readonly kind: "can" | "knapsack" | "injector";
  readonly volumeL: number;
  readonly stepMl: number | null;
  /** Parts of water to one of stock; an injector has it, nothing else does. */
  readonly partsWater: number | null;
}

/** The farm's tool as the planner of loads takes it. */
export function loadTool({ kind, volumeL, stepMl, partsWater }: FarmTool): HandTool | Injector {
  if (kind === "injector") return { type: "injector", partsWater: partsWater ?? 1, tankL: volumeL };
  return { type: "hand", volumeL, ...(stepMl === null ? {} : { stepL: stepMl / 1000 }) };
}
