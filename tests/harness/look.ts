import axe from "axe-core";
import { expect, type Locator, type Page } from "@playwright/test";

/**
 * No barrier that a machine can find: names, roles, contrast, focus, headings, of any level. Asked in the page itself and for what is wrong alone: the usual wrapper opens a
 * second page for it and carries all that is right across, four times the work.
 */
export async function seesNoBarrier(page: Page, rules: readonly string[] | null = null): Promise<void> {
  // A page that streams in is looked at once its heading is there, not at the frame it arrives in.
  await page.locator("h1").first().waitFor({ state: "attached" });
  await page.evaluate(axe.source);
  const barriers = await page.evaluate(
    async (only) => {
      const { violations } = await (globalThis as unknown as { axe: typeof axe }).axe.run({
        resultTypes: ["violations"],
        preload: false,
        ...(only ? { runOnly: only } : {}),
      });
      return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
    },
    rules && [...rules],
  );
  expect(barriers).toEqual([]);
}

/** Nothing sticks out to the side, where no thumb finds it. */
export async function fitsTheScreen(page: Page): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0);
}

/** What can be touched and is smaller than 44 px, but for links within a sentence and what is drawn to scale. */
export const smallForThumbs = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const LEAST_PX = 44;
    return [
      ...document.querySelectorAll<HTMLElement>("button, a[href], input:not([aria-hidden]), select, textarea, summary"),
    ]
      .filter((element) => {
        const style = getComputedStyle(element);
        const own = element.getBoundingClientRect();
        // A label is touched for its box; what is a pixel wide is for screen readers.
        const { width, height } = (element.closest("label") ?? element).getBoundingClientRect();
        if (own.width <= 1 || own.height <= 1 || style.visibility === "hidden" || element.closest("svg")) return false;
        const isInSentence =
          style.display === "inline" &&
          element.closest("p, li, td, dd, h1, h2, h3, div")!.textContent!.trim() !== element.textContent!.trim();
        return !isInSentence && Math.min(Math.max(own.width, width), Math.max(own.height, height)) < LEAST_PX;
      })
      .map((element) => `${element.tagName} ${element.getAttribute("aria-label") ?? element.textContent!.trim()}`);
  });

export const panel = (page: Page, name: string | RegExp): Locator => page.getByRole("dialog", { name });
