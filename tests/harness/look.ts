import AxeBuilder from "@axe-core/playwright";
import { expect, type Locator, type Page } from "@playwright/test";

/** No barrier that a machine can find: names, roles, contrast, focus. */
export async function seesNoBarrier(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa", "wcag21aa"]).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
}

/** Nothing sticks out to the side, where no thumb finds it. */
export async function fitsTheScreen(page: Page): Promise<void> {
  expect(
    await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBeLessThanOrEqual(0);
}

export const panel = (page: Page, name: string | RegExp): Locator => page.getByRole("dialog", { name });
