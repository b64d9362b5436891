/// <reference lib="webworker" />
import {
  CacheFirst,
  ExpirationPlugin,
  NetworkFirst,
  Serwist,
  type PrecacheEntry,
  type SerwistGlobalConfig,
} from "serwist";
import { PAGES_CACHE } from "@/ui/away/warm";

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

/** So long the farm is waited for before a page comes from this device, s. */
const PATIENCE_S = 6;
const MONTH_S = 30 * 24 * 3600;

/** Keeps pages and their files on the device, so that a working day goes on without a signal. Writes never pass here: they wait in a queue. */
const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST ?? [],
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, sameOrigin }) => sameOrigin && request.mode === "navigate",
      handler: new NetworkFirst({
        cacheName: PAGES_CACHE,
        networkTimeoutSeconds: PATIENCE_S,
        matchOptions: { ignoreVary: true },
        plugins: [new ExpirationPlugin({ maxEntries: 120, maxAgeSeconds: MONTH_S })],
      }),
    },
    {
      // A page that was kept under an older build asks for that build's files.
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith("/_next/static/"),
      handler: new CacheFirst({
        cacheName: "ruchka-files",
        plugins: [new ExpirationPlugin({ maxEntries: 800, maxAgeSeconds: MONTH_S })],
      }),
    },
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith("/api/photos/"),
      handler: new CacheFirst({
        cacheName: "ruchka-photos",
        plugins: [new ExpirationPlugin({ maxEntries: 200, maxAgeSeconds: MONTH_S })],
      }),
    },
  ],
  fallbacks: { entries: [{ url: "/away", matcher: ({ request }) => request.mode === "navigate" }] },
});

/**
 * The script of a worker, without the address that a kept answer has: a worker takes its own address from the answer, and what its page tells it stands behind the `#`,
 * which a kept answer has lost.
 */
async function workerScript(request: Request): Promise<Response> {
  const kept = (await caches.match(request, { ignoreVary: true })) ?? (await fetch(request));
  return new Response(kept.body, { status: kept.status, statusText: kept.statusText, headers: kept.headers });
}
self.addEventListener("fetch", (event) => {
  if (event.request.destination !== "worker") return;
  event.stopImmediatePropagation();
  event.respondWith(workerScript(event.request));
});
serwist.addEventListeners();
