import axe from "axe-core";
import { expect, type Locator, type Page } from "@playwright/test";

/**
 * No barrier that a machine can find: names, roles, contrast, focus, headings, of any level. Asked in the page itself and for what is wrong alone: the usual wrapper opens a
 * second page for it and carries all that is right across, four times the work.
 */
export async function seesNoBarrier(page: Page): Promise<void> {
  await page.evaluate(axe.source);
  const barriers = await page.evaluate(async () => {
    const { violations } = await (globalThis as unknown as { axe: typeof axe }).axe.run({
      resultTypes: ["violations"],
      preload: false,
    });
    return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
  });
  expect(barriers).toEqual([]);
}

/** Nothing sticks out to the side, where no thumb finds it. */
export async function fitsTheScreen(page: Page): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0);
}

export const panel = (page: Page, name: string | RegExp): Locator => page.getByRole("dialog", { name });
