import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, panel, seesNoBarrier } from "./harness/look";

test(
  "counts by phone: what was typed outlives a phone asleep, and is handed in whole",
  { tag: "@phone" },
  async ({ page }) => {
    await page.goto("/shed/count");
    await fitsTheScreen(page);
    await page.getByLabel(/^Sea salt/).fill("1,5");
    await page.getByRole("button", { name: /^Same as recorded: Rock dust/ }).click();
    await page.getByLabel(/^Potatoes/).fill("nine");
    await expect(page.getByText(/^A number, please/).first()).toBeVisible();
    await expect(page.getByRole("button", { name: "Save count" })).toBeDisabled();
    await page.reload();
    await expect(page.getByLabel(/^Sea salt/)).toHaveValue("1,5");
    await page.getByLabel(/^Potatoes/).fill("8.5");
    await expect(page.getByText("3 of", { exact: false }).filter({ hasText: "counted" })).toBeVisible();
    await seesNoBarrier(page);
    await page.getByRole("button", { name: "Save count" }).click();
    await expect(page.getByText("2 lots corrected.")).toBeVisible();
    await page.goto("/shed?item=sea-salt");
    const item = panel(page, "Sea salt");
    await expect(item).toContainText("1.5 kg");
    await expect(item.getByRole("region", { name: "In and out" })).toContainText("counted: stocktake");
  },
);

test("picks by name: what is poisonous stops, what wants care wants a reason", { tag: "@phone" }, async ({ page }) => {
  await page.goto("/shed/gathering");
  await seesNoBarrier(page);
  await fitsTheScreen(page);
  await expect(page.getByText(/Sun up/)).toContainText("04:51");
  await page.getByRole("button", { name: "Log picked plants" }).click();
  const pick = panel(page, "What was picked");
  await pick.getByLabel("Which plant").fill("hemlock");
  await expect(pick.getByRole("alert")).toContainText("Do not pick this");
  await expect(pick.getByRole("button", { name: "Add to stock" })).toBeDisabled();
  await pick.getByLabel("Which plant").fill("yarrow");
  await pick.getByLabel("How much (kg)").fill("2");
  await pick.getByLabel("Where it grew").fill("roadside by the gate");
  await expect(pick.getByText(/Nothing is picked from roadside ground/)).toBeVisible();
  await pick.getByRole("button", { name: "Add to stock" }).click();
  await expect(pick.getByText("Give a reason. It is saved.").first()).toBeVisible();
  await pick.getByLabel("Where it grew").fill("dry bank");
  await pick.getByRole("button", { name: "Add to stock" }).click();
  await expect(pick).toHaveCount(0);
});

test(
  "mixes step by step, is interrupted, and goes on in another window to the very end",
  { tag: "@both" },
  async ({ page, browser, baseURL }) => {
    await page.goto("/shed/shopping");
    await seesNoBarrier(page);
    await fitsTheScreen(page);
    const plan = page.getByRole("listitem").filter({ hasText: "Castings tea in Tote" });
    await plan.getByRole("link", { name: "Fill it" }).click();
    const fill = panel(page, "Fill Tote");
    await fill.getByLabel(/^Water for the brew/).selectOption({ label: "Butt by the lean-to: free of chlorine" });
    await fill.getByRole("button", { name: "Fill step by step" }).click();
    await expect(page.getByRole("heading", { name: "Place" })).toBeVisible();
    await seesNoBarrier(page);
    await fitsTheScreen(page);
    const tickAll = async (on: Page) => {
      for (const check of await on.getByRole("main").getByRole("checkbox").all()) await check.click();
    };
    await expect(page.getByRole("button", { name: "Done" })).toBeDisabled();
    await tickAll(page);
    await page.getByRole("button", { name: "Done" }).click();
    await expect(page.getByRole("heading", { name: "Water", exact: true })).toBeVisible();
    await page.getByLabel("What really went in (L)").fill("690");
    await expect(page.getByText(/1\.4 % beside the recipe/)).toBeVisible();
    await page.getByRole("button", { name: "Mark as added" }).click();
    await expect(page.getByRole("heading", { name: "Before the power" })).toBeVisible();
    await page.close();

    // The yard knows of it, and any other device goes on where it stands.
    const other = await browser.newPage();
    await other.goto(`${baseURL}/`);
    await other.getByRole("article", { name: "Tote" }).getByRole("link", { name: "Continue filling: Tote" }).click();
    await expect(other.getByRole("heading", { name: "Before the power" })).toBeVisible();
    await expect(other.getByRole("region", { name: "Done so far" })).toContainText("690 L of 700 L");
    await tickAll(other);
    await other.getByRole("button", { name: "Done" }).click();
    await other.getByRole("button", { name: "Done" }).click();
    await other.getByRole("radio", { name: "none" }).click();
    await expect(other.getByText(/Look for a kinked hose/)).toBeVisible();
    await expect(other.getByRole("button", { name: "Done" })).toBeDisabled();
    await other.getByRole("radio", { name: "brisk all over" }).click();
    await other.getByRole("button", { name: "Done" }).click();
    await expect(other.getByRole("heading", { name: "Molasses" })).toBeVisible();
    await other.getByRole("button", { name: "Mark as added" }).click();
    await expect(other.getByRole("timer")).toHaveText(/1[45]:\d\d/);
    await other.getByRole("button", { name: "Skip the wait" }).click();
    await expect(other.getByText("Alive: the clock starts with the last of these.")).toBeVisible();
    await other.getByRole("button", { name: "Mark as added" }).click();
    for (const heading of ["Are the lumps gone?", "The cover", "Label it"]) {
      await expect(other.getByRole("heading", { name: heading })).toBeVisible();
      await tickAll(other);
      const fits = { "Are the lumps gone?": "even all through", "The cover": "open", "Label it": null }[heading];
      if (fits) await other.getByRole("radio", { name: fits, exact: true }).click();
      await other.getByRole("button", { name: "Done" }).click();
    }
    await expect(other.getByRole("heading", { name: "All is in" })).toBeVisible();
    await other.getByRole("button", { name: "Start batch" }).click();
    await expect(other.getByRole("region", { name: "Ingredients" })).toContainText("690 L");
    await other.goto(`${baseURL}/shed/shopping`);
    await expect(other.getByRole("listitem").filter({ hasText: "Castings tea in Tote" })).toHaveCount(0);
    await other.close();
  },
);
