"use client";
import { useEffect, useRef, useState } from "react";
import type { Progress } from "@/core/plan/planSeason";
import type { Season, SeasonPlan } from "@/core/plan/season";
import type { Found, FromPlanner, ToPlanner } from "./planTalk";

export interface Planner {
  /** Null while nothing is being planned. */
  readonly progress: Progress | null;
  readonly start: (season: Season, ms: number, onPlan: (plan: SeasonPlan, found: Found | null) => void) => void;
  readonly stop: () => void;
}

/** The planner in a worker of its own: the page goes on while it searches. */
export function usePlanner(): Planner {
  const worker = useRef<Worker | null>(null);
  const hear = useRef<((plan: SeasonPlan, found: Found | null) => void) | null>(null);
  const asked = useRef(0);
  const [progress, setProgress] = useState<Progress | null>(null);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  const workerNow = (): Worker => {
    if (worker.current) return worker.current;
    const made = new Worker(new URL("./plan.worker.ts", import.meta.url), { type: "module" });
    made.addEventListener("message", ({ data }: MessageEvent<FromPlanner>) => {
      if (data.id !== asked.current) return;
      if (data.type === "progress") return setProgress(data.progress);
      hear.current?.(data.plan, data.type === "done" ? data.found : null);
      if (data.type === "done") setProgress(null);
    });
    worker.current = made;
    return made;
  };
  const tell = (message: ToPlanner): void => workerNow().postMessage(message);
  return {
    progress,
    start: (season, ms, onPlan) => {
      asked.current += 1;
      hear.current = onPlan;
      setProgress({ rounds: 0, share: 0, unmet: 0, cost: 0, isBuilt: false });
      tell({ type: "plan", id: asked.current, season, ms, seed: asked.current });
    },
    stop: () => tell({ type: "stop" }),
  };
}
