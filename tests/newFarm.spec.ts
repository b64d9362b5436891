import { expect, test } from "./harness/farm";
import { WALK_PASSPHRASE } from "./harness/signedIn";

test.use({ farmKind: "new", timezoneId: "Europe/Vienna", locale: "en-GB" });

test("a made-up farm opens by one tap, and nothing of it is in one's own", async ({ page, baseURL }) => {
  test.setTimeout(300_000);
  await page.goto("/");
  await page.getByLabel("Name of the farm").fill("Own field");
  await page.getByRole("button", { name: "Look around a made-up farm first" }).click();
  await page.waitForURL((url) => url.origin !== baseURL, { timeout: 280_000 });
  await page.getByRole("button", { name: "Pilar, helper" }).click();
  await expect(page.getByRole("article").first()).toBeVisible();
  await page.goto(baseURL!);
  // One's own is as it was left: not set up, and what was typed stands.
  await expect(page.getByRole("heading", { name: "Set up your farm" })).toBeVisible();
  await expect(page.getByLabel("Name of the farm")).toHaveValue("Own field");
});

test("a farm of one's own begins empty, each place with its next step", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Set up your farm" })).toBeVisible();
  await page.getByRole("button", { name: "Set up farm" }).click();
  await expect(page.getByLabel("Name of the farm")).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel("Name of the farm").fill("Own field");
  await page.getByLabel("Your name").fill("Ana");
  await page.getByLabel("New passphrase").fill(WALK_PASSPHRASE);
  await page.getByLabel(/^Latitude/).fill("48,5");
  await page.getByLabel(/^Longitude/).fill("15");
  await page.getByLabel(/^A night in the coldest/).fill("4");
  // A currency of one's own, and a zone found by a part of its name.
  await page.getByRole("combobox", { name: /^Currency/ }).click();
  await page.getByPlaceholder("Type to search").fill("crowns");
  await page.getByRole("option", { name: "Use “crowns”" }).click();
  await page.getByRole("combobox", { name: /^Time zone/ }).click();
  await page.getByPlaceholder("Type to search").fill("UTC");
  await page.getByRole("option", { name: "UTC", exact: true }).click();
  // What is typed stays over a reload.
  await page.reload();
  await expect(page.getByLabel("Name of the farm")).toHaveValue("Own field");
  // A passphrase is kept nowhere.
  await page.getByLabel("New passphrase").fill(WALK_PASSPHRASE);
  await page.getByRole("button", { name: "Set up farm" }).click();
  await expect(page.getByText("Your first drum")).toBeVisible();
  await page.goto("/shed");
  await expect(page.getByText("No stock yet")).toBeVisible();
  await page.goto("/field");
  await expect(page.getByText("No beds yet")).toBeVisible();
  await page.goto("/book");
  await expect(page.getByRole("link", { name: "Cultured plant extract" })).toBeVisible();
  await page.goto("/book/cultured-extract?scale");
  await expect(page.getByRole("dialog").getByRole("table", { name: "What goes in" })).toContainText("Molasses");
  await page.goto("/ledger");
  await expect(page.getByText("No batch yet")).toBeVisible();
  await page.goto("/");
  await page.getByRole("button", { name: "Only add a vessel, fill it later" }).click();
  await page.getByRole("dialog").getByLabel("Name").fill("Drum");
  await page.getByRole("dialog").getByLabel("Full volume (L)").fill("200");
  await page.getByRole("dialog").getByRole("button", { name: "Add vessel" }).click();
  await expect(page.getByRole("article", { name: "Drum" })).toContainText("Free");
  // Nothing tells the weather here, and nobody makes it up.
  await expect(page.getByText("No weather station is connected")).toBeVisible();
  await page.getByRole("link", { name: "Connect a weather station" }).click();
  await expect(page.getByText("No sensors yet")).toBeVisible();
});
