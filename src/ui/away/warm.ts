import { inReach } from "./reach";

/** Where the service worker keeps pages for when the farm is out of reach. */
export const PAGES_CACHE = "ruchka-pages";
/** Where the service worker is asked for. */
const WORKER = "/serwist/sw.js";
const WARM_EVERY_MS = 10 * 60_000;
const WARMED_KEY = "ruchka-warmed";
/** The places where a day's work is entered or asked about; the yard's page tells which drums there are. */
export const WARM_PLACES = [
  "/",
  "/field",
  "/field/trials",
  "/shed",
  "/book",
  "/season",
  "/practice",
  "/practice/answers",
  "/ledger",
] as const;
const DRUM_LINK = /href="(\/(?:batches|mix|shed\/items)\/[\w-]+)"/g;
const MOST_PAGES = 60;

/** Pages are being fetched, here, just now. */
let isWarming = false;

async function keep(cache: Cache, path: string): Promise<string> {
  const answer = await fetch(path, { headers: { accept: "text/html" } });
  if (!answer.ok) return "";
  await cache.put(path, answer.clone());
  return answer.text();
}

/**
 * Whether the service worker stands. It is asked for once the page is there, so that the files of all other pages do not come before its own; where
 * that failed, as on a bad line, it is asked for again.
 */
async function isReady(): Promise<boolean> {
  const registration = await navigator.serviceWorker.getRegistration();
  if (registration?.active) return true;
  if (!registration?.installing) await navigator.serviceWorker.register(WORKER, { scope: "/" }).catch(() => undefined);
  return false;
}

/** Has the pages of a working day on this device, drums and all; every ten minutes at the most, and only where pages are kept at all. */
export async function warm(): Promise<void> {
  if (!("caches" in window) || !("serviceWorker" in navigator)) return;
  // The files of the pages come with the service worker: before it stands, a page would be kept that can't be opened.
  if (!(await isReady())) return;
  const last = Number(localStorage.getItem(WARMED_KEY) ?? 0);
  if (isWarming || !inReach() || Date.now() - last < WARM_EVERY_MS) return;
  isWarming = true;
  try {
    const cache = await caches.open(PAGES_CACHE);
    const found = new Set<string>();
    for (const path of WARM_PLACES)
      for (const [, link] of (await keep(cache, path)).matchAll(DRUM_LINK)) found.add(link!);
    for (const path of [...found].slice(0, MOST_PAGES)) await keep(cache, path);
    // Only now: somebody who goes on to another page half-way has them fetched there, not in ten minutes.
    localStorage.setItem(WARMED_KEY, String(Date.now()));
  } catch {
    // The farm went out of reach meanwhile: what is kept by now is kept.
  } finally {
    isWarming = false;
  }
}
