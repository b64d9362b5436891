"use client";
import { useEffect, useEffectEvent } from "react";

/** Whether a key belongs to something that is being typed or to an open panel, rather than to the screen. */
export function isTyping(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return true;
  const target = event.target as HTMLElement | null;
  return (
    document.querySelector("[role=dialog]") !== null ||
    (target !== null && (target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName)))
  );
}

/** A key of the screen: does its act unless something is being typed or a panel is open. */
export function useKey(key: string, act: () => void): void {
  const onPress = useEffectEvent(act);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== key || isTyping(event)) return;
      event.preventDefault();
      onPress();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [key]);
}
