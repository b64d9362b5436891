"use client";
import { useEffect, useState } from "react";
import type { SizeView } from "@/services/trials";
import { useDoor } from "../acts/act";
import { scaleOf, smallestOf, spreadOf, type TrialDraft } from "./trialDraft";

const PAUSE_MS = 250;

/** How likely so many pairs would tell, asked of the farm as it is typed; the last answer stands until the next, null before any. */
export function useSize(draft: TrialDraft, pairs: number): SizeView | null {
  const door = useDoor();
  const [size, setSize] = useState<SizeView | null>(null);
  const [scale, difference, spread] = [scaleOf(draft), smallestOf(draft), spreadOf(draft)];
  const isWhole = difference !== null && difference > 0 && (scale === "ordinal" || (spread !== null && spread > 0));
  const key = isWhole
    ? JSON.stringify({ scale, difference, spread: spread || 1, looks: draft.looks, inputs: draft.inputs.length, pairs })
    : "";
  useEffect(() => {
    if (key === "") return;
    const asking = new AbortController();
    const query = Object.fromEntries(
      Object.entries(JSON.parse(key) as Record<string, string | number>).map(([name, value]) => [name, String(value)]),
    );
    const timer = setTimeout(() => {
      door.read("trialSize", query, asking.signal).then(
        (answer) => answer.ok && setSize(answer.value as SizeView),
        () => undefined,
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      asking.abort();
    };
  }, [door, key]);
  return key === "" ? null : size;
}
