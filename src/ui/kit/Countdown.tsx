"use client";
import { useEffect, useState } from "react";

const two = (value: number) => String(value).padStart(2, "0");

/** "12:05", or "1 h 02:00". */
export function sayClock(leftMs: number): string {
  const seconds = Math.max(0, Math.ceil(leftMs / 1000));
  const hours = Math.floor(seconds / 3600);
  const rest = `${two(Math.floor((seconds % 3600) / 60))}:${two(seconds % 60)}`;
  return hours > 0 ? `${hours} h ${rest}` : rest;
}

/** The moment, looked at every second while something runs. */
export function useNow(running: boolean, startMs: number): number {
  const [nowMs, setNowMs] = useState(startMs);
  useEffect(() => {
    if (!running) return;
    // The server's clock is the farm's; the phone's only tells how long ago that was.
    const begun = performance.now();
    const timer = setInterval(() => setNowMs(startMs + performance.now() - begun), 500);
    return () => clearInterval(timer);
  }, [running, startMs]);
  return nowMs;
}
