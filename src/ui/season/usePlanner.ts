"use client";
import { useEffect, useRef, useState } from "react";
import type { Progress } from "@/core/plan/planSeason";
import type { Season, SeasonPlan } from "@/core/plan/season";
import { makePlanner } from "./makePlanner";
import { PlannerPool } from "./PlannerPool";
import type { Found } from "./planTalk";

export interface Planner {
  /** Null while nothing is being planned. */
  readonly progress: Progress | null;
  readonly start: (season: Season, ms: number, onPlan: (plan: SeasonPlan, found: Found | null) => void) => void;
  readonly stop: () => void;
}
/** A season of fewer needs has its best plan before a second search helps. */
const SEVERAL_FROM = 60;
const MOST_SEARCHES = 4;
/** One core is left for the page. */
const searchesFor = ({ needs }: Season): number =>
  needs.length < SEVERAL_FROM ? 1 : Math.max(1, Math.min(MOST_SEARCHES, (navigator.hardwareConcurrency || 2) - 1));

/** The planner in workers of its own: the page goes on while they search. @param searches side by side; as many as the device has cores for where left out */
export function usePlanner(searches?: number): Planner {
  const pool = useRef<PlannerPool | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  useEffect(
    () => () => {
      pool.current?.end();
      pool.current = null;
    },
    [],
  );
  const poolNow = (): PlannerPool => (pool.current ??= new PlannerPool(makePlanner));
  return {
    progress,
    start: (season, ms, onPlan) => {
      setProgress({ rounds: 0, share: 0, unmet: 0, cost: 0, isBuilt: false });
      poolNow().start(season, ms, searches ?? searchesFor(season), {
        onProgress: setProgress,
        onPlan: (plan, found) => {
          onPlan(plan, found);
          if (found) setProgress(null);
        },
      });
    },
    stop: () => pool.current?.stop(),
  };
}
