import { useRouter } from "next/navigation";
import { useEffect } from "react";

/** Ribbons, round and verdicts move with the clock. */
const USUAL_MS = 5 * 60_000;

/** What a screen shows is read again by itself every so often, and as soon as a phone that slept is looked at. Nothing typed is lost by it. */
export function useRefreshing(everyMs = USUAL_MS): void {
  const router = useRouter();
  useEffect(() => {
    const look = () => router.refresh();
    const timer = setInterval(look, everyMs);
    const woken = () => document.visibilityState === "visible" && look();
    document.addEventListener("visibilitychange", woken);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", woken);
    };
  }, [router, everyMs]);
}
