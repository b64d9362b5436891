/**
 * How smoothly the days of a training drum pass: the time between two frames in the real browser, at a laptop's and a phone's size, beside an empty page
 * whose only work is to be painted.
 *   tsx bench/practice/frames.ts ADDRESS [--write]
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { chromium, type Page } from "@playwright/test";
import { framesOf } from "../framesOf";
import { signIn } from "../signIn";

const SIZES = { laptop: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const;
const WAITS = 12;
/** So long a step of time slides by, ms. */
const SLIDES_MS = 800;

async function main(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium-headless-shell" });
  const cookie = await signIn(address);
  const lines: string[] = [];
  for (const [name, viewport] of Object.entries(SIZES)) {
    const page = await browser.newPage({ viewport, extraHTTPHeaders: { cookie }, serviceWorkers: "block" });
    const measure = async (what: string, work: (on: Page) => Promise<void>) => {
      const { median, p95, longest } = await framesOf(page, () => work(page));
      lines.push(`| ${name} | ${what} | ${median.toFixed(1)} | ${p95.toFixed(1)} | ${longest.toFixed(0)} |`);
    };
    await page.goto("about:blank");
    await measure("an empty page", (on) => on.waitForTimeout(WAITS * SLIDES_MS));
    await page.goto(`${address}/practice/drum/extract-12`, { waitUntil: "networkidle" });
    await page.getByRole("button", { name: "Open slowly, lid loose" }).click();
    await measure("days of a drum pass", async (on) => {
      for (let turn = 0; turn < WAITS; turn += 1) {
        await on.getByRole("button", { name: "3 days" }).click();
        await on.getByRole("button", { name: "Lift the lid" }).click();
        await on.waitForTimeout(SLIDES_MS);
      }
    });
    await page.close();
  }
  await browser.close();
  const text = [
    "# Practice: frames while days pass",
    "",
    `Node ${process.version}, ${os.cpus().length} cores, painted without a graphics card; ms between two frames (16.7 is 60 a second), and the longest that the page's own script held it up.`,
    "",
    "| screen | what | median | p95 | longest task |",
    "|---|---|---|---|---|",
    ...lines,
  ].join("\n");
  process.stdout.write(`${text}\n`);
  if (process.argv.includes("--write")) writeFileSync("bench/practice-frames.md", `${text}\n`);
}
main(process.argv[2]!).catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
