import "server-only";
import { recipeFrom } from "@/core/recipe/document";
import type { Plot } from "@/data/plots";
import type { Store } from "@/data/stores";

/** Warned so far ahead, the beds that could still take it are named. */
export const WARN_H = 72;
const MOST = 4;
const DAY_MS = 86_400_000;

/**
 * Beds that could take a store that is about to be over: those whose stage it has a use for, and none that is harvested within a week
 * where its leaves are eaten. None for a store that has time.
 */
export function takersOf(store: Store, plots: readonly Plot[], nowMs: number): string[] {
  if (store.expiresAt.getTime() - nowMs > WARN_H * 3_600_000) return [];
  const uses = new Set(recipeFrom(store.recipe).uses.map(({ use }) => use));
  const over = store.expiresAt.getTime() <= nowMs;
  // Past its day it is for bare ground and the heap alone.
  if (over)
    return plots
      .filter(({ stage }) => stage === "bare")
      .map(({ name }) => name)
      .slice(0, MOST);
  const takes = ({ stage, leafEaten, harvestOn }: Plot) => {
    const soon = harvestOn !== null && Date.parse(harvestOn) - nowMs < 7 * DAY_MS;
    if (leafEaten && soon) return false;
    if (stage === "bare") return uses.has("drench-bare");
    if (stage === "seedling") return uses.has("seedling");
    return uses.has("drench-growing") || uses.has("foliar");
  };
  return plots
    .filter(takes)
    .map(({ name }) => name)
    .slice(0, MOST);
}
