import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";
import { hasPages, Phone } from "./harness/phone";

/** Puts nettle extract on beds, at noon. */
async function pourOn(page: Page, beds: readonly string[]): Promise<void> {
  await page.getByRole("complementary", { name: "Apply" }).scrollIntoViewIfNeeded();
  const what = page.getByLabel("What", { exact: true });
  await what.selectOption(await what.locator("option").filter({ hasText: "Nettle extract" }).getAttribute("value"));
  for (const bed of beds) await page.getByRole("button", { name: bed }).click();
  await page.getByLabel(/^Water for dilution/).selectOption({ label: "Old well: free of chlorine" });
  await page.getByLabel(/^(Reason for using it anyway|This is blocked)/).fill("overcast all day, and cool");
  await page.getByRole("button", { name: "Log application" }).click();
  await expect(page.getByText(/logged\. Not sent yet/)).toBeVisible();
}

test(
  "a day without a signal: beds and drums are written down, the browser closed and opened, all is sent once, and what the farm can't take says why",
  { tag: "@both" },
  async ({ baseURL, launchOptions, viewport, hasTouch, request }) => {
    const phone = new Phone({ ...launchOptions, baseURL: baseURL!, viewport, hasTouch, serviceWorkers: "allow" });
    try {
      let page = await phone.open();
      await page.goto("/");
      await hasPages(page, ["/", "/field", "/ledger", "/batches/5"]);

      await phone.signal(false);
      await page.goto("/batches/5");
      await expect(page.getByRole("status")).toContainText("No connection to the farm.");
      await page.getByRole("button", { name: /^Log: / }).click();
      await page.getByRole("button", { name: /^cidery/ }).click();
      await expect(page.getByText(/smell: cidery\. Not sent yet/)).toBeVisible();

      await page.goto("/field");
      await pourOn(page, ["Bed 3,", "Bed 5,"]);
      await page.goto("/trace");
      await expect(page.getByRole("heading", { name: "This page is not on this device" })).toBeVisible();

      await phone.close();
      page = await phone.open();
      await phone.signal(false);
      await page.goto("/field");
      await expect(page.getByRole("status")).toContainText("2 entries not sent yet.");
      await seesNoBarrier(page);
      await fitsTheScreen(page);

      await phone.signal(true);
      await expect(page.getByText("2 entries sent to the farm.")).toBeVisible();
      await expect(page.getByRole("status")).toHaveCount(0);
      await expect(page.getByRole("button", { name: /^Bed 3, .*today/ })).toBeVisible();

      // The next time somebody at the farm pours the store away meanwhile.
      const { value } = (await (await request.get("/api/view/field")).json()) as {
        value: { stores: { id: number; onHandL: number; label: string }[] };
      };
      const store = value.stores.find(({ label }) => label === "Nettle extract")!;
      await page.reload();
      await phone.signal(false);
      await pourOn(page, ["Bed 8,"]);
      const emptied = await request.post("/api/act/emptyStore", {
        data: {
          requestKey: crypto.randomUUID(),
          storeId: store.id,
          litres: store.onHandL,
          to: "wasted",
          reason: "leaks",
        },
      });
      expect(await emptied.json()).toMatchObject({ ok: true });
      await phone.signal(true);
      await expect(page.getByRole("status")).toContainText("1 entry not taken.");
      await page.getByRole("button", { name: "Show" }).click();
      const unsent = page.getByRole("dialog", { name: "1 entry on this device" });
      await expect(unsent).toContainText("Bed 8: nettle extract logged.");
      await expect(unsent.getByRole("alert")).toContainText("The farm did not take it:");
      await expect(unsent.getByRole("alert")).toContainText("the store holds 0");
      await seesNoBarrier(page);
      await unsent.getByRole("button", { name: "Remove it" }).click();
      await page.keyboard.press("Escape");
      await expect(page.getByRole("status")).toHaveCount(0);
      await page.goto("/batches/5");
      await expect(page.getByText("Smell: cidery").last()).toBeVisible();
    } finally {
      await phone.end();
    }
  },
);
