import axe from "axe-core";
import { expect, type Locator, type Page } from "@playwright/test";

const LEVELS = ["wcag2a", "wcag2aa", "wcag21aa"];

/**
 * No barrier that a machine can find: names, roles, contrast, focus. Asked in the page itself and for what is wrong alone: the usual wrapper opens a
 * second page for it and carries all that is right across, four times the work.
 */
export async function seesNoBarrier(page: Page): Promise<void> {
  await page.evaluate(axe.source);
  const barriers = await page.evaluate(async (levels) => {
    const { violations } = await (globalThis as unknown as { axe: typeof axe }).axe.run({
      runOnly: levels,
      resultTypes: ["violations"],
      preload: false,
    });
    return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
  }, LEVELS);
  expect(barriers).toEqual([]);
}

/** Nothing sticks out to the side, where no thumb finds it. */
export async function fitsTheScreen(page: Page): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0);
}

export const panel = (page: Page, name: string | RegExp): Locator => page.getByRole("dialog", { name });
