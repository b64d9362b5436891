"use client";
import { useEffect } from "react";
import type { YardVessel } from "@/services/yard";
import { isTyping } from "../frame/keys";
import type { VesselActs } from "./VesselColumn";

const columns = () => [...document.querySelectorAll<HTMLElement>("[data-vessel]")];

function actOn(vessel: YardVessel, acts: VesselActs): void {
  if (vessel.status === "free") acts.onFill(vessel);
  else if (vessel.status === "dirty") acts.onClean(vessel);
  else acts.onLog(vessel);
}

/** Keys of the yard: v and the arrows walk along the vessels, Enter does what is next, l logs, c closes, r goes to the round. */
export function useYardKeys(vessels: readonly YardVessel[], acts: VesselActs): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event)) return;
      const all = columns();
      const at = all.findIndex((column) => column === document.activeElement);
      const vessel = at >= 0 ? vessels.find(({ name }) => name === all[at]?.dataset.vessel) : undefined;
      const go = (index: number) => {
        const column = all[Math.max(0, Math.min(all.length - 1, index))];
        column?.focus();
        column?.scrollIntoView({ block: "nearest", inline: "nearest" });
      };
      if (event.key === "v") go(0);
      else if (event.key === "r") document.querySelector<HTMLElement>("[data-round]")?.focus();
      else if (!vessel) return;
      else if (event.key === "ArrowRight") go(at + 1);
      else if (event.key === "ArrowLeft") go(at - 1);
      else if (event.key === "Enter") actOn(vessel, acts);
      else if (event.key === "l" && vessel.batch) acts.onLog(vessel);
      else if (event.key === "c" && vessel.batch) acts.onClose(vessel);
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [vessels, acts]);
}
