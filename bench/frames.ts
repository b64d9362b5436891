/**
 * How smoothly the plan of the field is moved, zoomed and picked on: the time between two frames in the real browser, with the beds that the farm has
 * and with so many that there are 300; beside an empty page whose only work is to be painted. Changes the farm that it is asked of: give it a made-up one.
 *   tsx bench/frames.ts ADDRESS [--write]
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { chromium, type Page } from "@playwright/test";
import { framesOf, type Frames } from "./framesOf";
import { signIn } from "./signIn";

const MANY = 300;
const BROWSER = "/usr/bin/chromium-headless-shell";
const SIZE = { width: 1280, height: 800 };
const ROUNDS = 30;

const MOVES: Readonly<
  Record<string, (page: Page, box: { x: number; y: number; width: number; height: number }) => Promise<void>>
> = {
  "moved": async (page, box) => {
    await page.mouse.move(box.x + 8, box.y + 8);
    await page.mouse.down();
    for (let step = 0; step < ROUNDS * 4; step += 1)
      await page.mouse.move(box.x + 8 + (step % 60) * 4, box.y + 8 + (step % 40) * 4);
    await page.mouse.up();
  },
  "zoomed": async (page, box) => {
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.keyboard.down("Control");
    for (let step = 0; step < ROUNDS; step += 1) await page.mouse.wheel(0, step % 10 < 5 ? -60 : 60);
    await page.keyboard.up("Control");
  },
  "picked on": async (page) => {
    const beds = page.locator("[data-drawn]");
    const count = await beds.count();
    for (let step = 0; step < Math.min(ROUNDS, count); step += 1) await beds.nth(step).dispatchEvent("click");
  },
};

async function measure(page: Page, address: string): Promise<Record<string, Frames>> {
  await page.setExtraHTTPHeaders({ cookie: await signIn(address) });
  await page.goto(new URL("/field", address).href);
  await page.waitForLoadState("networkidle");
  const plan = page
    .locator("svg")
    .filter({ has: page.locator("[data-drawn]") })
    .first();
  const box = (await plan.boundingBox())!;
  const figures: Record<string, Frames> = {};
  for (const [name, move] of Object.entries(MOVES)) figures[name] = await framesOf(page, () => move(page, box));
  return figures;
}

/** Draws as many equal beds as lack, in ten banks. */
async function drawMany(address: string): Promise<number> {
  const cookie = await signIn(address);
  const { value } = (await (await fetch(new URL("/api/view/field", address), { headers: { cookie } })).json()) as {
    value: { plots: readonly object[] };
  };
  const lacks = Math.max(0, MANY - value.plots.length);
  const plots = Array.from({ length: lacks }, (_, index) => {
    const [x, y] = [40 + Math.floor(index / 28) * 12, (index % 28) * 1.7];
    return {
      name: `Strip ${index + 1}`,
      kind: "bed",
      ring: [
        [x, y],
        [x + 10, y],
        [x + 10, y + 1.2],
        [x, y + 1.2],
      ],
    };
  });
  const answer = await fetch(new URL("/api/act/drawLand", address), {
    method: "POST",
    headers: { "content-type": "application/json", cookie },
    body: JSON.stringify({ requestKey: crypto.randomUUID(), plots, putAway: [] }),
  });
  if (!((await answer.json()) as { ok: boolean }).ok) throw new Error("The beds were not drawn.");
  return value.plots.length;
}

async function main(address: string, isWritten: boolean): Promise<void> {
  const browser = await chromium.launch({ executablePath: BROWSER, args: ["--no-sandbox", "--disable-gpu"] });
  const page = await browser.newPage({ viewport: SIZE });
  await page.setContent("<div id=box style='width:200px;height:200px;background:#ccc'></div>");
  const empty = await framesOf(page, () => page.waitForTimeout(1500));
  const few = await measure(page, address);
  const had = await drawMany(address);
  const many = await measure(page, address);
  await browser.close();
  const cell = ({ median, p95, longest }: Frames) => `${median.toFixed(1)} | ${p95.toFixed(1)} | ${longest.toFixed(0)}`;
  const lines = [
    `Node ${process.version}, ${os.cpus().length} cores, painted without a graphics card; ms between frames: median, 95th of a hundred, longest task.`,
    "",
    `| the plan is | ${had} beds: median | p95 | longest | ${MANY} beds: median | p95 | longest |`,
    "|---|---|---|---|---|---|---|",
    ...Object.keys(MOVES).map((name) => `| ${name} | ${cell(few[name]!)} | ${cell(many[name]!)} |`),
    "",
    `An empty page: ${cell(empty).replaceAll(" | ", ", ")}.`,
  ];
  console.log(lines.join("\n"));
  if (isWritten) writeFileSync(new URL("frames.md", import.meta.url), `${lines.join("\n")}\n`);
}

const [address, flag] = process.argv.slice(2);
if (!address) throw new Error("tsx bench/frames.ts ADDRESS [--write]");
void main(address, flag === "--write");
