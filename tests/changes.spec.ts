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

test("a drum that was started by a slip is as it was by one tap, at once and from its page", async ({ page }) => {
  const pail = page.getByRole("article", { name: "Pail one" });
  const start = async () => {
    await page.goto("/");
    await pail.getByRole("button", { name: "Fill Pail one" }).click();
    const panel = page.getByRole("dialog");
    await panel.getByRole("radio", { name: /^Equal parts/ }).click();
    await panel.getByRole("radio", { name: /So much water/ }).click();
    await panel.getByLabel("Water (L)", { exact: true }).fill("14");
    await panel.getByLabel("picked just now").check();
    await panel.getByLabel("Which plants").fill("nettle");
    await panel.getByLabel(/^Water for the brew/).selectOption({ label: "Butt by the lean-to: free of chlorine" });
    await panel.getByRole("button", { name: "Start batch" }).click();
    await expect(panel).toHaveCount(0);
  };
  await page.goto("/shed?item=molasses");
  const held = await page.getByRole("dialog").getByText(/ of /).first().textContent();
  await start();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  await expect(pail.getByRole("button", { name: "Fill Pail one" })).toBeVisible();
  await start();
  await pail.getByRole("link", { name: "Pail one", exact: true }).click();
  await page.getByRole("button", { name: "Started by mistake: undo the start" }).click();
  await expect(page.getByText("Started by mistake: its start was undone")).toBeVisible();
  await expect(page.getByRole("button", { name: "Add ingredient" })).toHaveCount(0);
  await page.goto("/shed?item=molasses");
  expect(await page.getByRole("dialog").getByText(/ of /).first().textContent()).toBe(held);
  await page.goto("/farm/history");
  await expect(page.getByText(/^Pail one: the start of .* undone, it never was$/)).toHaveCount(2);
});

test("what was added to stock or to a drum by a slip is undone by one tap", async ({ page }) => {
  await page.goto("/shed");
  await page.getByRole("button", { name: "Add stock" }).click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("What").selectOption("kelp-meal");
  await panel.getByLabel("How much (kg)").fill("4.25");
  await panel.getByRole("button", { name: "Add to stock" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  await page.goto("/farm/history");
  await expect(page.getByText("Undone: stock that was added")).toBeVisible();

  await page.goto("/batches/5");
  await page.getByRole("button", { name: "Add ingredient" }).click();
  await panel.getByLabel("What", { exact: true }).selectOption("molasses");
  await panel.getByLabel(/^How much/).fill("0.2");
  await page.getByRole("button", { name: "Log addition" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  await expect(page.getByText(/corrected later/).first()).toBeVisible();
});

test("beds that were drawn by a slip are undone, and a bed that was put away comes back", async ({ page }) => {
  await page.goto("/field/land");
  await page.getByRole("radio", { name: /many/ }).click();
  await page.getByLabel("How many").fill("3");
  await page.getByLabel(/^Length/).fill("10");
  await page.getByRole("button", { name: "Draw them" }).click();
  await page.getByRole("button", { name: "Keep 3 changes" }).click();
  await expect(page.getByText("3 changes kept.")).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).last().click();
  await expect(page.getByText("Undone.")).toBeVisible();
  const land = page.getByRole("application", { name: "Drawing of the land" });
  await expect(land.getByText(/^Bed \d/)).toHaveCount(16);

  await page.getByRole("radio", { name: /pick and move/ }).click();
  // A bed is touched on the paper, just below its name.
  const name = (await land.getByText("Bed 11", { exact: true }).boundingBox())!;
  await page.mouse.click(name.x + name.width, name.y + name.height + 6);
  await page.getByRole("button", { name: "Put away" }).click();
  await page.getByRole("button", { name: "Keep 1 change" }).click();
  await expect(page.getByText("1 change kept.")).toBeVisible();
  await page.getByText("Put away: 1").click();
  await page.getByRole("button", { name: "Bring back Bed 11" }).click();
  await expect(page.getByText("Bed 11 is back.")).toBeVisible();
  await expect(land.getByText("Bed 11", { exact: true })).toBeVisible();
});

test("a schedule that was changed by a slip is as it was, and so is a new vessel", async ({ page }) => {
  await page.goto("/field/programmes");
  const first = page.getByLabel("Schedule", { exact: true }).first();
  const name = await first.inputValue();
  await first.fill(`${name} anew`);
  await page.getByRole("button", { name: "Save", exact: true }).first().click();
  await expect(page.getByText(`${name} anew saved.`)).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  await page.reload();
  await expect(page.getByLabel("Schedule", { exact: true }).first()).toHaveValue(name);

  await page.goto("/farm/vessel");
  await page.getByRole("button", { name: /^Add/ }).first().click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Name", { exact: true }).fill("Slip pail");
  await panel.getByLabel(/^Full volume/).fill("20");
  await panel.getByRole("button", { name: "Add vessel", exact: true }).click();
  await expect(page.getByText("Slip pail added.")).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByText("Undone.")).toBeVisible();
  await expect(
    page.getByRole("listitem").filter({ has: page.getByRole("button", { name: "Change Slip pail" }) }),
  ).toContainText("■");
});
