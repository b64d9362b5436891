import type { Page } from "@playwright/test";

/** Times between two frames, ms. */
export interface Frames {
  readonly median: number;
  readonly p95: number;
  /** The longest that the page's own script held the browser up, ms. */
  readonly longest: number;
}

// As text: what the TypeScript loader adds to a function is not there in the page.
const WATCH = `
  window.frames0 = { deltas: [], on: true, long: 0 };
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) frames0.long = Math.max(frames0.long, entry.duration);
  }).observe({ type: "longtask" });
  let last = performance.now();
  const next = (now) => {
    frames0.deltas.push(now - last);
    last = now;
    if (frames0.on) requestAnimationFrame(next);
  };
  requestAnimationFrame(next);`;
const STOP = `frames0.on = false; ({ deltas: frames0.deltas.slice(2), long: frames0.long })`;

/** Times between frames while something is done. */
export async function framesOf(page: Page, work: () => Promise<void>): Promise<Frames> {
  await page.evaluate(`(() => {${WATCH}})()`);
  await work();
  const { deltas, long } = await page.evaluate<{ deltas: number[]; long: number }>(STOP);
  const sorted = deltas.toSorted((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  return { median: at(0.5), p95: at(0.95), longest: long };
}
