/**
 * How a page feels on a phone: a phone's screen, a processor four times slower, nothing kept from before. Tells when it can be read, how long a tap waits
 * for its answer, and how much script it brings along, packed; of each address that is given, in turns, so that a farm of today stands beside one of before.
 *   tsx bench/pages/phone.ts NAME=ADDRESS [NAME=ADDRESS ...] [--write]
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { brotliCompressSync, gzipSync } from "node:zlib";
import { chromium, type Browser, type Page } from "@playwright/test";
import { signIn } from "../signIn";

const SLOWER = 4;
const TIMES = Number(process.env.TIMES ?? 5);
/** So long after the page is there nothing more comes by itself, ms. */
const SETTLED_MS = 3000;

/** A page, and what is tapped on it one after the other; a panel that opens is closed by its own key. */
const PAGES: readonly { readonly path: string; readonly name: string; readonly taps: readonly RegExp[] }[] = [
  { path: "/", name: "yard", taps: [/^Log Blue drum/, /^Give or put off/] },
  { path: "/batches/5", name: "log", taps: [/^Log/, /^What if/] },
  { path: "/field", name: "field", taps: [/^Choose all/, /^Add a bed/] },
  { path: "/shed", name: "shed", taps: [/^Add stock/] },
  { path: "/shed/gathering", name: "gathering", taps: [/^Log picked plants/] },
  { path: "/shed/probes", name: "sensors", taps: [/^Add sensor/] },
  { path: "/book", name: "methods", taps: [/^Import a recipe/] },
  { path: "/book/cultured-extract", name: "one method", taps: [/^Scale recipe/] },
  { path: "/field/plots/3", name: "one bed", taps: [/^Look at it/] },
  { path: "/farm/vessel", name: "vessels", taps: [/^Add vessel/] },
];

interface Felt {
  /** The page's words are there, ms. */
  readonly readMs: number;
  /** The slowest answer to a tap, ms. */
  readonly tapMs: number;
  readonly gzipB: number;
  readonly brotliB: number;
  /** Packed by brotli, with what comes by itself after the page. */
  readonly laterB: number;
}

/** Kept by the page from its first moment on. */
const WATCH = `
  window.felt = { paint: 0, tap: 0 };
  new PerformanceObserver((list) => { for (const entry of list.getEntries()) window.felt.paint = entry.startTime; })
    .observe({ type: "largest-contentful-paint", buffered: true });
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) if (entry.interactionId) window.felt.tap = Math.max(window.felt.tap, entry.duration);
  }).observe({ type: "event", buffered: true, durationThreshold: 16 });
`;
type Watched = { readonly felt: { readonly paint: number; readonly tap: number } };
const feltBy = (page: Page) => page.evaluate(() => (window as unknown as Watched).felt);

async function feel(browser: Browser, address: string, { path, taps }: (typeof PAGES)[number]): Promise<Felt> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    // Else the files of all other pages are fetched beside.
    serviceWorkers: "block",
  });
  await context.setExtraHTTPHeaders({ cookie: await signIn(address) });
  const page = await context.newPage();
  const scripts: { readonly atMs: number; readonly body: Promise<Buffer> }[] = [];
  page.on("response", (response) => {
    if (response.request().resourceType() === "script") scripts.push({ atMs: Date.now(), body: response.body() });
  });
  await page.addInitScript(WATCH);
  const devtools = await context.newCDPSession(page);
  await devtools.send("Emulation.setCPUThrottlingRate", { rate: SLOWER });
  await page.goto(new URL(path, address).href, { waitUntil: "load" });
  const thereMs = Date.now();
  await page.waitForTimeout(SETTLED_MS);
  const { paint } = await feltBy(page);
  const bodies = await Promise.all(
    scripts.map(async ({ atMs, body }) => ({ isFirst: atMs <= thereMs, body: await body })),
  );
  const first = bodies.filter(({ isFirst }) => isFirst);
  for (const name of taps) {
    await page.getByRole("main").getByRole("button", { name }).first().tap();
    await page.waitForTimeout(700);
    await page.keyboard.press("Escape");
    await page.waitForTimeout(300);
  }
  const { tap } = await feltBy(page);
  await context.close();
  const sum = (all: typeof bodies, pack: (body: Buffer) => Buffer) =>
    all.reduce((bytes, { body }) => bytes + pack(body).length, 0);
  return {
    readMs: paint,
    tapMs: tap,
    gzipB: sum(first, gzipSync),
    brotliB: sum(first, brotliCompressSync),
    laterB: sum(bodies, brotliCompressSync),
  };
}

const medianOf = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[values.length >> 1]!;
const kB = (bytes: number): string => (bytes / 1000).toFixed(0);

async function main(farms: readonly (readonly [string, string])[], isWritten: boolean): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium-headless-shell",
    args: ["--no-sandbox", "--disable-gpu"],
  });
  const lines = [
    `Headless Chromium at 390×844, its processor slowed ${SLOWER} times, on ${os.cpus().length} cores; medians of ${TIMES}, in turns. Script as the page asks for it, packed by gzip and by brotli; "with what follows" counts what comes by itself within ${SETTLED_MS / 1000} s.`,
    "",
    "| page | build | readable, ms | slowest tap, ms | script gzip kB | script brotli kB | with what follows, brotli kB |",
    "|---|---|---|---|---|---|---|",
  ];
  for (const page of PAGES) {
    const felt = new Map<string, Felt[]>(farms.map(([name]) => [name, []]));
    for (let time = 0; time < TIMES; time += 1)
      for (const [name, address] of farms) felt.get(name)!.push(await feel(browser, address, page));
    for (const [name] of farms) {
      const of = (key: keyof Felt) => medianOf(felt.get(name)!.map((one) => one[key]));
      lines.push(
        `| ${page.name} | ${name} | ${of("readMs").toFixed(0)} | ${of("tapMs").toFixed(0)} | ${kB(of("gzipB"))} | ${kB(of("brotliB"))} | ${kB(of("laterB"))} |`,
      );
      console.log(lines.at(-1));
    }
  }
  await browser.close();
  if (isWritten) writeFileSync("bench/phone.md", `${lines.join("\n")}\n`);
}

void main(
  process.argv
    .slice(2)
    .filter((word) => word.includes("="))
    .map((word) => word.split(/=(.*)/s).slice(0, 2) as [string, string]),
  process.argv.includes("--write"),
);
