import { THING_NAMES } from "@/words/en/things";
import { expect, test } from "./harness/farm";

for (const kind of Object.keys(THING_NAMES))
  test(`of each ${kind}: renamed, changed back in the history, put away, brought back`, async ({ page }) => {
    await page.goto(`/farm/${kind}`);
    const change = page.getByRole("button", { name: /^Change / });
    await expect(change.first()).toBeVisible();
    // One that nothing leans on just now: what is in use is not put away.
    const opener = change.last();
    const name = (await opener.getAttribute("aria-label"))!.replace(/^Change /, "");
    await opener.click();
    const panel = page.getByRole("dialog");
    await panel.getByLabel("Name", { exact: true }).fill(`${name} anew`);
    await panel.getByRole("button", { name: "Save" }).click();
    await expect(panel).toHaveCount(0);
    await expect(page.getByRole("button", { name: `Change ${name} anew` })).toBeVisible();

    await page.goto("/farm/history");
    await page
      .getByRole("button", { name: `Change back: ${name} anew` })
      .or(page.getByRole("button", { name: `Change back: ${name}` }))
      .first()
      .click();
    await expect(page.getByText(`is as it was.`)).toBeVisible();

    await page.goto(`/farm/${kind}`);
    await page.getByRole("button", { name: `Change ${name}`, exact: true }).click();
    await panel.getByRole("button", { name: "Put away" }).click();
    await expect(panel).toHaveCount(0);
    const row = page
      .getByRole("listitem")
      .filter({ has: page.getByRole("button", { name: `Change ${name}`, exact: true }) });
    await expect(row).toContainText("■");
    await row.getByRole("button", { name: `Change ${name}` }).click();
    await panel.getByRole("button", { name: "Bring back" }).click();
    await expect(panel).toHaveCount(0);
    await expect(row).not.toContainText("■");
  });

test("a batch that was thrown away by a slip runs on, and the history says both", async ({ page }) => {
  await page.goto("/batches/5");
  await page.getByRole("button", { name: "Strain or throw away" }).click();
  await page.getByRole("radio", { name: /^Thrown away/ }).click();
  await page.getByRole("button", { name: "Throw away batch" }).click();
  await expect(page.getByRole("button", { name: "Strain or throw away" })).toHaveCount(0);
  await page.getByRole("button", { name: "It is not over: undo the end" }).click();
  await expect(page.getByRole("button", { name: "Strain or throw away" })).toBeVisible();
  await page.goto("/farm/history");
  await expect(page.getByText("Blue drum: the end of plant extract undone, it runs on")).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("article", { name: "Blue drum" })).toContainText("Almost ready");
});
