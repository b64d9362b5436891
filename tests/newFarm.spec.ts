import { expect, test } from "./harness/farm";

test.use({ farmKind: "new" });

test("a farm of one's own begins empty, each place with its next step", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("heading", { name: "Set up your farm" })).toBeVisible();
  await page.getByRole("button", { name: "Open the yard" }).click();
  await expect(page.getByLabel("Name of the farm")).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel("Name of the farm").fill("Own field");
  await page.getByLabel("People").fill("Ana, Ben");
  await page.getByLabel(/^Latitude/).fill("48,5");
  await page.getByLabel(/^Longitude/).fill("15");
  await page.getByLabel("Money is counted in").fill("crowns");
  await page.getByLabel("Time zone").fill("Nowhere");
  await page.getByRole("button", { name: "Open the yard" }).click();
  await expect(page.getByText('"Nowhere" is not a time zone.').first()).toBeVisible();
  await page.getByLabel("Time zone").fill("UTC");
  await page.getByRole("button", { name: "Open the yard" }).click();
  await expect(page.getByText("No vessel stands here yet")).toBeVisible();
  await page.goto("/shed");
  await expect(page.getByText("The shelves are empty")).toBeVisible();
  await page.goto("/field");
  await expect(page.getByText("No bed is drawn yet")).toBeVisible();
  await page.goto("/book");
  await expect(page.getByRole("link", { name: "Cultured plant extract" })).toBeVisible();
  await page.goto("/book/cultured-extract?scale");
  await expect(page.getByRole("dialog").getByRole("table", { name: "What goes in" })).toContainText("Molasses");
  await page.goto("/ledger");
  await expect(page.getByText("No batch yet")).toBeVisible();
  await page.goto("/");
  await page.getByRole("button", { name: "Add a vessel" }).first().click();
  await page.getByRole("dialog").getByLabel("Name").fill("Drum");
  await page.getByRole("dialog").getByLabel("Holds to the brim (L)").fill("200");
  await page.getByRole("dialog").getByRole("button", { name: "Add it" }).click();
  await expect(page.getByRole("article", { name: "Drum" })).toContainText("Free");
  // Nothing tells the weather here, and nobody makes it up.
  await expect(page.getByText("nothing tells the weather here")).toBeVisible();
  await page.getByRole("link", { name: "Connect a station" }).click();
  await expect(page.getByText("No device posts here yet")).toBeVisible();
});
