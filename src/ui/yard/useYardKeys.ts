"use client";
import { useEffect } from "react";
import { isTyping } from "../frame/keys";
import type { YardHands, YardPage } from "./yardHands";

const columns = () => [...document.querySelectorAll<HTMLElement>("[data-vessel]")];

function actOn({ id, status }: YardPage["vessels"][number], hands: YardHands): void {
  if (status === "free") hands.fill(id);
  else if (status === "dirty") hands.clean(id);
  else hands.log(id);
}

/** Keys of the yard: v and the arrows walk along the vessels, Enter does what is next, l logs, c closes, r goes to the round. */
export function useYardKeys(vessels: YardPage["vessels"], hands: YardHands): void {
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
      else if (event.key === "Enter") actOn(vessel, hands);
      else if (event.key === "l" && vessel.batch) hands.log(vessel.id);
      else if (event.key === "c" && vessel.batch) hands.close(vessel.id);
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [vessels, hands]);
}
