import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { seesNoBarrier } from "./harness/look";

/** A version of the farm's own, and the farm's choice from then on. */
async function keepsOwnVersion(page: Page) {
  await page.goto("/book/cultured-extract");
  await page.getByRole("button", { name: "Make own version" }).click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Molasses, usual").fill("0.015");
  await panel.getByLabel("Name").fill("Quillet sweet");
  await panel.getByRole("button", { name: "Save version 1" }).click();
  await expect(panel).toHaveCount(0);
  await page.getByRole("radio", { name: /Quillet sweet, own version 1/ }).click();
  await page.getByRole("button", { name: "Use this recipe" }).click();
  await expect(page.getByText("This farm uses this recipe.")).toBeVisible();
}

test("makes the farm's own version: a slip is held, a poison refused, the difference shown", async ({ page }) => {
  await page.goto("/book/cultured-extract");
  await page.getByRole("button", { name: "Make own version" }).click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Molasses, usual").fill("0.3");
  await expect(panel.getByText(/far from what growers use/)).toBeVisible();
  await panel.getByLabel("Molasses, usual").fill("-1");
  await panel.getByRole("button", { name: "Save version 1" }).click();
  await expect(panel.getByText("At least 0.").first()).toBeVisible();
  await panel.getByLabel("Molasses, usual").fill("0.015");
  await panel.getByLabel(/^Step 1/).fill("Run the water in, with foxglove.");
  await expect(panel.getByText("Foxglove stops hearts.")).toBeVisible();
  await expect(panel.getByRole("button", { name: "Save version 1" })).toBeDisabled();
  await panel.getByLabel(/^Step 1/).fill("Run the rain water in, warm from the sun.");
  await panel.getByLabel("Name").fill("Quillet sweet");
  await panel.getByLabel("Where it comes from").fill("our trials");
  await seesNoBarrier(page);
  await panel.getByRole("button", { name: "Save version 1" }).click();
  await expect(panel).toHaveCount(0);
  const differs = page.getByRole("table", { name: "What differs" });
  await expect(differs.getByRole("row", { name: /Molasses/ })).toContainText("15 mL/L");
  await page.getByRole("radio", { name: /Quillet sweet, own version 1/ }).click();
  await page.getByRole("button", { name: "Use this recipe" }).click();
  await expect(page.getByText("This farm uses this recipe.")).toBeVisible();
});

test("scales it, starts it, and the batch stays with its version", { tag: "@both" }, async ({ page }) => {
  await keepsOwnVersion(page);
  await page.goto("/");
  await page.getByRole("button", { name: "Add vessel" }).click();
  await page.getByRole("dialog").getByLabel("Name").fill("Trial pail");
  await page.getByRole("dialog").getByLabel("Full volume (L)").fill("25");
  await page.getByRole("dialog").getByRole("button", { name: "Add vessel" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.goto("/book/cultured-extract?scale");
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Vessel", { exact: true }).selectOption({ label: "Trial pail, 25 L" });
  await panel.getByRole("radio", { name: "So much water" }).click();
  await panel.getByLabel("Water (L)").fill("two pails");
  await expect(panel.getByRole("alert").filter({ hasText: "a number, please" }).first()).toBeVisible();
  await panel.getByLabel("Water (L)").fill("0");
  await expect(panel.getByRole("alert").filter({ hasText: "must be above 0, not 0 mL" }).first()).toBeVisible();
  await panel.getByLabel("Water (L)").fill("900");
  await expect(panel.getByRole("alert").filter({ hasText: "up to its fill line" }).first()).toBeVisible();
  await panel.getByLabel("Water (L)").fill("10");
  const lines = panel.getByRole("table", { name: "What goes in" });
  await expect(lines.getByRole("row", { name: /Molasses/ })).toContainText("150 mL");
  await panel.getByLabel("Lactic culture (L)").fill("0.05");
  await expect(panel.getByLabel("What limits it")).toContainText("lactic culture goes to 5 L of water and governs");
  await panel.getByLabel("Lactic culture (L)").fill("");
  await seesNoBarrier(page);
  await panel.getByRole("link", { name: "Fill Trial pail" }).click();
  await expect(panel.getByRole("heading", { name: "Fill Trial pail" })).toBeVisible();
  await expect(panel.getByRole("radio", { name: /Quillet sweet, own version 1/ })).toBeChecked();
  await panel.getByLabel("picked just now").check();
  await panel.getByLabel("Which plants").fill("nettle");
  const water = panel.getByLabel(/^Water for the brew/);
  await water.selectOption({ label: "Yard tap: 0.55 mg/L total, 0.5 mg/L free" });
  await expect(panel.getByText("Not safe for the culture yet")).toBeVisible();
  await expect(panel.getByRole("button", { name: "Start batch" })).toBeDisabled();
  await water.selectOption("");
  await panel.getByRole("button", { name: "Start batch" }).click();
  await expect(panel.getByText("Choose the water.").first()).toBeVisible();
  await water.selectOption({ label: "Butt by the lean-to: free of chlorine" });
  await panel.getByRole("button", { name: "Start batch" }).click();
  await expect(panel).toHaveCount(0);
  await page.getByRole("article", { name: "Trial pail" }).getByRole("link", { name: "Trial pail" }).click();
  await expect(page.getByRole("region", { name: "Ingredients" })).toContainText("Made by own version 1, quillet sweet");
  await expect(page.getByRole("region", { name: "Ingredients" })).toContainText("Water: Butt by the lean-to.");
  const batch = page.url();
  // The next version changes nothing for it.
  await page.goto("/book/cultured-extract");
  await page.getByRole("button", { name: "Make own version" }).click();
  await page.getByRole("dialog").getByLabel("Name").fill("Quillet sweeter");
  await page.getByRole("dialog").getByRole("button", { name: "Save version 2" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.goto(batch);
  await expect(page.getByRole("region", { name: "Ingredients" })).toContainText(
    "Made by own version 1, quillet sweet;",
  );
});

test("refuses a broken recipe with its line, and reads a whole one back as it was written", async ({ page }) => {
  await page.goto("/book");
  await page.getByRole("button", { name: "Import a recipe" }).click();
  const panel = page.getByRole("dialog");
  const response = await page.request.get("/book/lactic-serum/recipe?school=milk");
  expect(response.headers()["content-disposition"]).toContain("lactic-serum-milk.json");
  const text = await response.text();
  const broken = text.replace('"lid": "breathable"', '"lid": "jam jar"');
  const line = broken.split("\n").findIndex((one) => one.includes("jam jar")) + 1;
  await panel.getByLabel("Or its text").fill(broken);
  await expect(panel.getByRole("alert").filter({ hasText: `Line ${line}` })).toContainText("jam jar");
  await expect(panel.getByRole("button", { name: "Keep it as our own version" })).toBeDisabled();
  await panel.getByLabel("Or its text").fill(text.replace("{", "{,"));
  await expect(panel.getByRole("alert").filter({ hasText: "Line 1" })).toContainText("Not JSON");
  await panel.getByLabel("Or its text").fill(text);
  await expect(panel.getByRole("region", { name: "What was read" })).toContainText("Rice wash, then milk");
  await panel.getByRole("button", { name: "Keep it as our own version" }).click();
  await expect(page.getByRole("region", { name: "Versions" })).toContainText("Rice wash, then milk, own version 1");
});

test("sets water aside with its clock, and it stands in the shed", { tag: "@phone" }, async ({ page }) => {
  await page.goto("/shed#water");
  const tap = page.getByRole("region", { name: "Water" }).getByRole("listitem").filter({ hasText: "Yard tap" }).first();
  await tap.getByRole("button", { name: "Add strip reading" }).click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Free chlorine (mg/L (ppm))").fill("2");
  await panel.getByLabel("Total chlorine (mg/L (ppm))").fill("1");
  await panel.getByRole("button", { name: "Save reading" }).click();
  await expect(panel.getByText("Free chlorine must lie between 0 mg/L and 1 mg/L").first()).toBeVisible();
  await panel.getByLabel("Free chlorine (mg/L (ppm))").fill("0.1");
  await panel.getByRole("button", { name: "Save reading" }).click();
  await expect(panel).toHaveCount(0);
  await tap.getByRole("button", { name: "Treat water" }).click();
  await expect(panel.getByText("This does not remove it")).toBeVisible();
  await panel.getByLabel("How", { exact: true }).selectOption({ label: "ascorbic acid stirred in" });
  await expect(panel.getByText(/Stir in 0\.48 g of ascorbic acid/)).toBeVisible();
  await seesNoBarrier(page);
  await panel.getByRole("button", { name: "Start treatment" }).click();
  await expect(panel).toHaveCount(0);
  await expect(page.getByRole("region", { name: "Water" })).toContainText("160 L Yard tap for brewing");
});

test(
  "chooses from what is at hand: what can be made, what it lacks, what must not go in",
  { tag: "@both" },
  async ({ page }) => {
    await page.goto("/book");
    await page.getByRole("radio", { name: "From what I have" }).click();
    await page
      .getByLabel("What is at hand")
      .fill("30 kg of nettles and a crate of spoiled plums, 2 kg foxglove, 3 kg glowweed");
    const nettles = page.getByRole("region", { name: "30 kg of nettles" });
    await expect(nettles.getByRole("listitem").filter({ hasText: "Open leaf soak" })).toContainText(
      "live leaf mould (there)",
    );
    await expect(nettles.getByRole("listitem").filter({ hasText: "Sugar-drawn plant juice" })).toContainText(
      "brown sugar",
    );
    const plums = page.getByRole("region", { name: "a crate of spoiled plums" });
    await expect(plums).toContainText("Not sugar-drawn plant juice: it needs fresh, healthy tips.");
    await plums.getByLabel("What does it weigh? (kg)").fill("none");
    await expect(plums.getByRole("alert")).toContainText("A number above 0.");
    await plums.getByLabel("What does it weigh? (kg)").fill("0,5");
    await expect(plums.getByRole("listitem").filter({ hasText: "Cultured plant extract" })).toContainText(
      "1.67 L of molasses",
    );
    await expect(page.getByRole("region", { name: "2 kg foxglove" })).toContainText("Foxglove stops hearts.");
    await expect(page.getByRole("region", { name: "3 kg glowweed" })).toContainText("Unknown ingredient");
    await seesNoBarrier(page);
    await nettles.getByRole("link", { name: "Open leaf soak" }).click();
    await expect(page.getByRole("dialog").getByLabel("Greens (kg)")).toHaveValue("30");
  },
);

test("fits the width of the screen: only tables scroll sideways", { tag: "@both" }, async ({ page }) => {
  for (const path of [
    "/book",
    "/book?by=goal",
    "/book?by=hand",
    "/book/lactic-serum",
    "/book/plant-juice",
    "/book/aerated-tea?scale",
    "/shed",
    "/batches/5",
    "/?fill=5",
  ]) {
    await page.goto(path);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect([path, over]).toEqual([path, 0]);
  }
});

test("chooses by what is needed, and for a day", { tag: "@both" }, async ({ page }) => {
  await page.goto("/book?by=goal");
  const phone = (page.viewportSize()?.width ?? 1280) < 640;
  if (phone) await page.getByLabel("What is wanted").filter({ visible: true }).selectOption("calcium");
  else await page.getByRole("radio", { name: "Calcium" }).click();
  const list = page.getByRole("list", { name: "Calcium" });
  await expect(list.getByRole("listitem").first()).toContainText("Shell calcium in vinegar");
  await expect(list.getByRole("listitem").first()).toContainText(/h of hands for a drum of 200 L, .* crowns/);
  await page.goto("/book?by=day&day=2031-02-10");
  const days = page.getByRole("list", { name: "When to start" });
  await expect(days.getByRole("listitem").filter({ hasText: "Aerated castings tea" })).toContainText(
    /Start \d+ Feb 2031/,
  );
  await page.goto("/book?by=day&day=2031-01-13");
  await expect(days.getByRole("listitem").filter({ hasText: "Cultured plant extract" })).toContainText(
    "Too late for that day",
  );
  await page.goto("/book?by=day&day=2030-01-13");
  await expect(page.getByRole("main").getByRole("alert")).toContainText("That day has been.");
});

test("compares two schools: where they differ, by how much, and the cautious recipe", async ({ page }) => {
  await page.goto("/book/plant-juice");
  const table = page.getByRole("region", { name: "Recipes side by side" });
  await expect(table.getByRole("columnheader", { name: /Equal weight/ })).toContainText("cautious");
  const sugar = table.getByRole("row", { name: /Brown sugar/ });
  await expect(sugar).toContainText(/× 2 apart/);
  await expect(page.getByRole("region", { name: "Where growers differ" })).toContainText("× 50 apart");
  await seesNoBarrier(page);
});

test("a figure in pails, from anywhere", async ({ page }) => {
  await page.goto("/book/shell-calcium");
  await page.keyboard.press("w");
  await page.getByPlaceholder(/^A name/).fill("7 pails");
  await expect(page.getByText(/until you weigh your own/)).toBeVisible();
});

test("a bloom's page says when to start it to be best in fit hours", { tag: "@phone" }, async ({ page }) => {
  await page.goto("/book/aerated-tea");
  const part = page.getByRole("region", { name: "When to start, to be best at a good time" });
  await expect(part.getByRole("listitem").first()).toContainText(/Start it .*best .*, fit \d\d:\d\d to \d\d:\d\d/);
  await seesNoBarrier(page);
  await page.goto("/book/cultured-extract");
  await expect(page.getByRole("heading", { name: "Making it" })).toBeVisible();
  await expect(part).toHaveCount(0);
});
