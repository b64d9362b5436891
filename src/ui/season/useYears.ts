"use client";
import { useEffect, useRef, useState } from "react";
import type { PlanBody, Season } from "@/core/plan/season";
import type { YearsTold } from "@/core/plan/years/robustPlan";
import type { SeasonYearsView } from "@/services/season";
import type { ActError } from "@/contracts/answer";
import { doorError, useDoor } from "../acts/act";
import { makePlanner } from "./makePlanner";
import type { FromPlanner, ToPlanner } from "./planTalk";

/** So long each of the plans that are tried is searched for, ms. */
const TRY_MS = 2000;
const ASK_LIMIT_MS = 60_000;

export type YearsState =
  | { readonly state: "idle" | "busy" }
  | { readonly state: "told"; readonly told: YearsTold; readonly spread: SeasonYearsView["spread"] }
  | { readonly state: "refused"; readonly error: ActError };

/** A plan in years of weather that might be: asked of the farm, carried out in a worker. */
export function useYears() {
  const door = useDoor();
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<YearsState>({ state: "idle" });
  useEffect(() => () => worker.current?.terminate(), []);
  const ask = async (season: Season, plan: PlanBody): Promise<void> => {
    setState({ state: "busy" });
    const answer = await door.read("seasonYears", {}, AbortSignal.timeout(ASK_LIMIT_MS)).catch(() => null);
    if (!answer?.ok) {
      setState({ state: "refused", error: answer ? answer.error : doorError("out-of-reach") });
      return;
    }
    const { years, spread } = answer.value as SeasonYearsView;
    worker.current?.terminate();
    const made = makePlanner();
    worker.current = made;
    made.addEventListener("message", ({ data }: MessageEvent<FromPlanner>) => {
      if (data.type !== "years") return;
      setState({ state: "told", told: data.told, spread });
      made.terminate();
    });
    const asked: ToPlanner = { type: "years", id: 1, season, plan, years, ms: TRY_MS };
    made.postMessage(asked);
  };
  return { state, ask };
}
