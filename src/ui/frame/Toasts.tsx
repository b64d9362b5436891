"use client";
import { useEffect, useState } from "react";
import type * as sonner from "sonner";
import { showsMessages } from "../kit/told";
import { whenIdle } from "../kit/whenIdle";

type Sonner = typeof sonner;

/** Where messages are shown in passing. What shows them comes after the page, or with the first message. */
export const Toasts = () => {
  const [shows, setShows] = useState<Sonner | null>(null);

  useEffect(() => {
    // Where it can't be fetched now, the next message asks again.
    const fetchIt = () => void import("sonner").then(setShows, () => undefined);
    const messages = showsMessages(fetchIt);
    // Those that stand below are mounted by now.
    if (shows) messages.from(shows.toast);
    const callOff = shows ? () => undefined : whenIdle(fetchIt);
    return () => {
      callOff();
      messages.end();
    };
  }, [shows]);

  if (!shows) return null;
  return (
    <shows.Toaster
      position="bottom-left"
      offset={{ bottom: 76 }}
      toastOptions={{
        className: "!rounded-none !border-2 !border-ink !bg-chalk !text-ink !text-base !font-[inherit]",
        duration: 7000,
      }}
    />
  );
};
