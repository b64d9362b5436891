"use client";
import { useEffect } from "react";
import { LOCK_AFTER_MIN } from "@/core/people/roles";
import { useFarmAct } from "../acts/farm";

const IDLE_MS = LOCK_AFTER_MIN * 60_000;
const TOUCHES = ["pointerdown", "keydown"] as const;

/** Locks a shared phone that nobody touches, so that nothing stands open on it. */
export const AutoLock = () => {
  const { run } = useFarmAct("lockDevice", "toast");
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const again = () => {
      clearTimeout(timer);
      timer = setTimeout(() => void run({}), IDLE_MS);
    };
    again();
    for (const touch of TOUCHES) window.addEventListener(touch, again);
    return () => {
      clearTimeout(timer);
      for (const touch of TOUCHES) window.removeEventListener(touch, again);
    };
    // A timer begun anew at each drawing would never end.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return null;
};
