/**
 * What Ruchka proposes it takes: every method filled, mixed, looked at, strained and put on as proposed, in vessels of odd sizes, on a farm
 * in litres and on one in gallons. RUCHKA_SIZES=3 takes three sizes of each.
 */
import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { WORKSHOP } from "./harness/workshop";

async function openFill(page: Page, vesselId: number, methodId: string) {
  await page.goto(`/?fill=${vesselId}`);
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Method").selectOption(methodId);
  for (const picked of await panel.getByLabel("picked just now").all()) await picked.check();
  for (const plants of await panel.getByLabel("Which plants").all()) await plants.fill("comfrey");
  const water = panel.getByLabel(/^Water for the brew/);
  if ((await water.count()) > 0) await water.selectOption({ label: "Butt: free of chlorine" });
  return panel;
}

/** Ticks all that a step asks, gives its first answer that fits, and goes on. */
async function doStep(page: Page): Promise<void> {
  const main = page.getByRole("main");
  const step = main.locator("section").first();
  const title = await step.getAttribute("aria-label");
  if (title === "Waiting") {
    await page.getByRole("button", { name: "Go on before it is over" }).click();
    return;
  }
  for (const check of await step.getByRole("checkbox").all()) await check.click();
  for (const answer of await step.getByRole("radio").all()) {
    await answer.click();
    if ((await step.getByRole("status").textContent())?.startsWith("◆")) break;
  }
  const counter = main.getByText(/^\d+ of \d+$/);
  const was = await counter.textContent();
  await step.getByRole("button", { name: /^(It is in|Done)$/ }).click();
  await expect(counter.or(main.getByRole("heading", { name: "All is in" })).first()).not.toHaveText(was ?? "");
}

for (const [units, farmKind] of [
  ["metric", "workshop"],
  ["us", "workshop-us"],
] as const)
  test.describe(() => {
    test.use({ farmKind });
    test(`every method is filled as proposed, on a farm that talks ${units}`, async ({ page }) => {
      for (const [index, { methodId, methodName, name, litres }] of WORKSHOP[units].entries()) {
        await test.step(`${methodName} in ${litres} L`, async () => {
          const panel = await openFill(page, index + 1, methodId);
          await panel.getByRole("button", { name: "Start the batch" }).click();
          await expect(panel, `${methodName} in ${name}`).toHaveCount(0);
        });
      }
      await page.goto("/");
      await expect(page.getByRole("article").filter({ hasText: "Free" })).toHaveCount(0);
    });
    test(`every method is mixed step by step as proposed, on a farm that talks ${units}`, async ({ page }) => {
      for (const [index, { methodId, methodName, litres }] of WORKSHOP[units].entries()) {
        await test.step(`${methodName} in ${litres} L`, async () => {
          const panel = await openFill(page, index + 1, methodId);
          await panel.getByRole("button", { name: "Mix it step by step" }).click();
          await expect(page.getByRole("heading", { name: "Where it stands" })).toBeVisible();
          const end = page.getByRole("heading", { name: "All is in" });
          while ((await end.count()) === 0) await doStep(page);
          await page.getByRole("button", { name: "Start the clock" }).click();
          await expect(page.getByRole("region", { name: "What went in" })).toBeVisible();
        });
      }
    });
  });

const BEDS: Readonly<Record<string, string>> = {
  "Drench, bare soil": "Bare bed",
  "Worked in": "Bare bed",
  "Seedlings": "Seedling bed",
};

for (const [units, farmKind] of [
  ["metric", "ripe"],
  ["us", "ripe-us"],
] as const)
  test.describe(() => {
    test.use({ farmKind });
    test(`every method is looked at, strained and put on as proposed, on a farm that talks ${units}`, async ({
      page,
    }) => {
      for (const [index, { methodName, litres }] of WORKSHOP[units].entries()) {
        await test.step(`${methodName} in ${litres} L`, async () => {
          await page.goto(`/batches/${index + 1}`);
          await page.getByRole("button", { name: "Log", exact: true }).first().click();
          const log = page.getByRole("dialog");
          await log.getByRole("button", { name: "Stirred" }).first().click();
          await expect(log).toHaveCount(0);
          await page
            .getByRole("button", { name: /^(Strain|It is done|Take it)/ })
            .first()
            .click();
          const close = page.getByRole("dialog");
          await close
            .getByRole("button", { name: /^(Strain into store|Strain, and on to the field|Into the shed)$/ })
            .click();
          await expect(close).toHaveCount(0);
        });
      }
    });
  });
