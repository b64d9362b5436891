import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier, smallForThumbs } from "./harness/look";

const PAGES = [
  "/",
  "/shed",
  "/shed/shopping",
  "/shed/gathering",
  "/shed/equipment",
  "/shed/probes",
  "/shed/count",
  "/shed/files",
  "/book",
  "/book/names",
  "/book/aerated-tea",
  "/field",
  "/field/land",
  "/field/programmes",
  "/field/jobs",
  "/field/files",
  "/field/trials",
  "/field/trials/new",
  "/field/plots/3",
  "/trace",
  "/ledger",
  "/practice",
  "/farm",
  "/farm/vessel",
  "/farm/person",
  "/farm/history",
  "/paper/applications",
  "/paper/batch?batch=5",
  "/paper/round",
  "/batches/5",
];

/** A page, and the buttons on it that open a panel. */
const PANELS: Readonly<Record<string, readonly RegExp[]>> = {
  "/": [/^Log Blue drum/, /^Fill Tote/, /^Add vessel$/, /^Give or put off/],
  "/shed": [/^Add own ingredient$/, /^Add stock$/, /^Add a source$/, /^Add strip reading$/, /^Treat water$/],
  "/shed/gathering": [/^Log picked plants$/, /^Another place$/, /^A visit to/, /^Another bin$/],
  "/shed/equipment": [/^Add equipment$/, /^In a batch: /],
  "/shed/probes": [/^Import logger file$/, /^Add sensor$/],
  "/book": [/^Weigh own measure$/, /^Import a recipe$/],
  "/book/aerated-tea": [/^Scale recipe$/, /^Make own version$/],
  "/field": [/^Add a bed$/, /^Add can or sprayer$/, /^Days before harvest$/],
  "/field/plots/3": [/^Look at it$/],
  "/farm/vessel": [/^Add vessel$/, /^Change Blue drum$/],
  "/farm/person": [/^Add person$/],
  "/batches/5": [/^Strain or throw away$/, /^Add ingredient$/, /^What if$/, /^Add lab result$/],
};

async function opensEach(page: Page, path: string): Promise<void> {
  await page.goto(path);
  for (const name of PANELS[path]!) {
    const opener = page.getByRole("main").getByRole("button", { name }).first();
    await opener.click();
    await expect(page.getByRole("dialog").first()).toBeVisible();
    await seesNoBarrier(page);
    await fitsTheScreen(page);
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toHaveCount(0);
    await expect(opener).toBeFocused();
  }
}

test("every page fits from 320 to 1024 px, and has no barrier by day or at dusk", async ({ page }) => {
  for (const path of PAGES) {
    await page.goto(path);
    for (const width of [320, 768, 1024]) {
      await page.setViewportSize({ width, height: 800 });
      await expect(async () => fitsTheScreen(page), `${path} at ${width} px`).toPass({ timeout: 10_000 });
    }
    await seesNoBarrier(page);
    // The dark screen differs in its colours alone.
    await page.evaluate(() => (document.documentElement.dataset.theme = "dusk"));
    await seesNoBarrier(page, ["color-contrast"]);
  }
});

test("every page fits in large letters too, which the device keeps", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Screen" }).click();
  await page.getByRole("menuitemcheckbox", { name: "Large letters" }).click();
  await page.keyboard.press("Escape");
  for (const path of PAGES) {
    await page.goto(path);
    await expect(page.getByRole("heading", { name: "Page not found" })).toHaveCount(0);
    await expect(async () =>
      expect(await page.evaluate(() => getComputedStyle(document.documentElement).fontSize), path).toBe("20px"),
    ).toPass();
    for (const width of [320, 768, 1280]) {
      await page.setViewportSize({ width, height: 800 });
      await expect(async () => fitsTheScreen(page), `${path} at ${width} px`).toPass({ timeout: 10_000 });
    }
  }
});

test("what stands alone is as large as a thumb, on every page", { tag: "@phone" }, async ({ page }) => {
  for (const path of PAGES) {
    await page.goto(path);
    await expect(page.getByRole("heading").first()).toBeVisible();
    expect(await smallForThumbs(page), path).toEqual([]);
  }
});

for (const path of Object.keys(PANELS))
  test(`the panels of ${path} have no barrier, fit, and give the focus back`, { tag: "@both" }, async ({ page }) =>
    opensEach(page, path),
  );

test("the first Tab of a page leads past the menu", async ({ page }) => {
  await page.goto("/shed");
  await page.keyboard.press("Tab");
  await expect(page.getByRole("link", { name: "Skip to the page" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("main")).toBeFocused();
});

test("growers’ names lead to what they mean, and apart what one name means", { tag: "@both" }, async ({ page }) => {
  await page.goto("/book");
  await page.getByRole("link", { name: "Names and family tree" }).click();
  await page.getByLabel("Find a name").fill("plant liquid");
  const names = page.getByRole("region", { name: "What growers call it" });
  await expect(names.getByText("may mean 3 different things")).toBeVisible();
  await expect(names.getByRole("link")).toHaveText([
    "Open leaf soak",
    "Cultured plant extract",
    "Sugar-drawn plant juice",
  ]);
  const tree = page.getByRole("region", { name: "Family tree" });
  await expect(tree.getByRole("listitem").filter({ hasText: /^Lactic serum/ })).toContainText("Cultured plant extract");
  await names.getByRole("link", { name: "Open leaf soak" }).click();
  await expect(page.getByText(/^Also called: .*nettle tea/)).toBeVisible();
  await expect(page.getByRole("region", { name: "What people say" }).getByText("not proven").first()).toBeVisible();
});
