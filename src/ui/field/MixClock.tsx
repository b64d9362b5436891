"use client";
import { useEffect, useState } from "react";
import { clockTime, sayDuration } from "@/formats/times";
import { Button } from "../kit/Button";
import type { Applying } from "./useApply";

const HOUR_MS = 3_600_000;
const TICK_MS = 20_000;
/** A living mix that stands in the can for longer is spent, where its method says nothing closer; judged. */
const SESSION_H = 4;

const slotOf = (storeId: number) => `mixed-${storeId}`;

/** When it was mixed, as this device keeps it; null where nobody said. */
function useMixedAt(storeId: number) {
  const [mixedMs, setMixedMs] = useState<number | null>(null);
  const [nowMs, setNowMs] = useState(0);
  useEffect(() => {
    const read = () => {
      setMixedMs(Number(localStorage.getItem(slotOf(storeId))) || null);
      setNowMs(Date.now());
    };
    read();
    const timer = setInterval(read, TICK_MS);
    return () => clearInterval(timer);
  }, [storeId]);
  return {
    mixedMs,
    nowMs,
    set: (ms: number | null) => {
      if (ms === null) localStorage.removeItem(slotOf(storeId));
      else localStorage.setItem(slotOf(storeId), String(ms));
      setMixedMs(ms);
      setNowMs(Date.now());
    },
  };
}

/** The clock of a living mix: from when it is thinned to when it must be out of the can. It runs on though the page is closed. */
export const MixClock = ({ applying }: { readonly applying: Applying }) => {
  const { choice, view } = applying;
  const { mixedMs, nowMs, set } = useMixedAt(choice.store.id);
  const { keeping } = choice.recipe;
  if (!keeping.living || choice.useId === "compost") return null;
  const hours = Math.min(
    SESSION_H,
    choice.use.target === "leaves" ? (keeping.afterH?.leaves ?? SESSION_H) : (keeping.afterH?.soil ?? SESSION_H),
  );
  const leftH = mixedMs === null ? null : (mixedMs - nowMs) / HOUR_MS + hours;
  return (
    <section aria-label="Clock of the mix" className="border-l-4 border-marigold py-1 pl-3" aria-live="polite">
      {leftH === null || mixedMs === null ? (
        <>
          <p>
            It lives: what is thinned goes on in the same session, within {sayDuration(hours)}. Thin no more than that.
          </p>
          <Button onClick={() => set(Date.now())}>It is mixed: start the clock</Button>
        </>
      ) : (
        <>
          <p className={leftH <= 0 ? "font-semibold text-rust" : "font-semibold"}>
            Mixed at {clockTime(new Date(mixedMs), view.farm)}.{" "}
            {leftH > 0
              ? `Out of the can by ${clockTime(new Date(mixedMs + hours * HOUR_MS), view.farm)}: ${sayDuration(leftH)} left.`
              : "Its time is over: what is left goes onto the compost."}
          </p>
          <Button variant="quiet" onClick={() => set(null)}>
            It is out of the can
          </Button>
        </>
      )}
    </section>
  );
};
