import { readFile } from "node:fs/promises";
import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { seesNoBarrier } from "./harness/look";

const hears = (page: Page, words: string | RegExp) => expect(page.getByText(words).first()).toBeVisible();

test.describe(() => {
  test.use({ farmKind: "workshop" });
  test("draws a field: many beds at once, one pulled up, parted, turned; a stream beside it; kept, and undone", async ({
    page,
  }) => {
    await page.goto("/field/land");
    await page.getByLabel("How many").fill("4");
    await page.getByLabel(/^Length/).fill("12");
    await page.getByRole("button", { name: "Draw them" }).click();
    await expect(page.getByRole("heading", { name: "4 plots" })).toBeVisible();
    await page.getByRole("button", { name: "Keep 4 changes" }).click();
    await expect(page.getByText("4 changes kept.")).toBeVisible();
    await expect(page.getByRole("button", { name: "Nothing is changed" })).toBeDisabled();

    await page.getByRole("radio", { name: "draw a bed" }).click();
    const paper = page.getByRole("application", { name: "Drawing of the land" });
    const box = (await paper.boundingBox())!;
    const at = (x: number, y: number) => [box.x + box.width * x, box.y + box.height * y] as const;
    await page.mouse.move(...at(0.7, 0.3));
    await page.mouse.down();
    await page.mouse.move(...at(0.8, 0.5), { steps: 4 });
    await page.mouse.up();
    await expect(page.getByRole("heading", { name: "Bed 5" })).toBeVisible();
    await page.getByLabel(/^Width/).fill("2");
    await page.getByLabel(/^Length/).fill("10");
    await expect(page.getByText("20 m²")).toBeVisible();
    await page.getByRole("button", { name: "Turn 15°" }).click();
    await page.getByRole("complementary").getByRole("button", { name: "Undo" }).click();
    await page.getByRole("button", { name: "Part in two" }).click();
    const bed = (await page.locator('[data-plot="-1"] path').first().boundingBox())!;
    await page.mouse.move(bed.x - 20, bed.y + bed.height * 0.4);
    await page.mouse.down();
    await page.mouse.move(bed.x + bed.width + 20, bed.y + bed.height * 0.4, { steps: 4 });
    await page.mouse.up();
    await expect(page.getByRole("heading", { name: "2 plots" })).toBeVisible();
    await page.getByRole("button", { name: "Join" }).click();
    await expect(page.getByText("20 m²")).toBeVisible();
    await seesNoBarrier(page);
    await page.getByRole("button", { name: "Keep 1 change" }).click();
    await expect(page.getByText("1 change kept.")).toBeVisible();

    await page.getByRole("radio", { name: "waters and taps" }).click();
    await page.getByLabel("Name").fill("Brook");
    await page.mouse.click(...at(0.05, 0.2));
    await page.mouse.click(...at(0.05, 0.9));
    await page.getByRole("button", { name: "Set it down", exact: true }).click();
    await page.getByRole("link", { name: "Back to the field" }).click();
    await expect(page.getByRole("button", { name: /^Bed 5, bare, 20 m²/ })).toBeVisible();
    await expect(page.getByText("Brook", { exact: true })).toBeVisible();
  });
});

test.describe(() => {
  test.use({ farmKind: "strained" });
  test(
    "plants, pours over what reaches, opens the bed, traces it, and takes the slip back",
    { tag: "@both" },
    async ({ page }) => {
      await page.goto("/field");
      await page.getByRole("button", { name: "Bed 14," }).click();
      await page.getByRole("button", { name: "Plant", exact: true }).click();
      const sheet = page.getByRole("dialog");
      await sheet.getByLabel("Crop").fill("kale");
      await sheet.getByLabel("From", { exact: true }).fill("2031-01-02");
      await sheet.getByRole("button", { name: "Plant" }).click();
      await hears(page, "kale on 1 plot.");
      await expect(page.getByRole("button", { name: /^Bed 14, kale/ })).toBeVisible();

      await page.getByLabel("What", { exact: true }).selectOption({ index: 1 });
      await page.getByRole("button", { name: "Bed 3," }).click();
      await page.getByLabel("Dilution", { exact: true }).fill("1:100");
      const loads = page.getByRole("region", { name: "Loads" });
      await expect(loads.getByText("1st", { exact: true })).toBeVisible();
      await page.getByLabel(/^Water for dilution/).selectOption({ label: "Old well: free of chlorine" });
      if (await page.getByLabel("Reason for using it anyway").isVisible())
        await page.getByLabel("Reason for using it anyway").fill("a trial bed");
      await seesNoBarrier(page);
      await page.getByRole("button", { name: "Log application" }).click();
      await hears(page, /2 beds: .* logged\./);

      await page.getByRole("button", { name: "Bed 14," }).click();
      await page.getByRole("link", { name: "Open it" }).click();
      await expect(page.getByRole("heading", { name: /Bed 14 kale/ })).toBeVisible();
      await expect(page.getByText(/of mix with .* \(1:100\)/)).toBeVisible();
      await seesNoBarrier(page);
      await page.getByRole("link", { name: "Where it all came from" }).click();
      await expect(page.getByRole("heading", { name: "What Bed 14 got, and where it came from" })).toBeVisible();
      await expect(page.getByRole("link", { name: /^Lot \d+/ }).first()).toBeVisible();
      await seesNoBarrier(page);
      await page
        .getByRole("link", { name: /^Lot \d+/ })
        .first()
        .click();
      await expect(page.getByRole("row", { name: /Bed 3/ }).first()).toBeVisible();
      await page.goBack();
      await page.getByRole("link", { name: "Bed 14" }).click();
      await page
        .getByRole("button", { name: /^Correct: / })
        .first()
        .click();
      await page.getByLabel("What happened?").fill("the wrong bed");
      await page.getByRole("button", { name: "It never went on" }).click();
      await hears(page, "Taken back: what it took is back in stock.");
      await expect(page.getByText("Nothing was put on it yet.")).toBeVisible();
    },
  );
});

test("sets a programme, sees it over the season, on the bed and in the round", async ({ page }) => {
  await page.goto("/field");
  await page.getByRole("link", { name: "Schedules" }).click();
  await expect(page.getByRole("heading", { name: "The half year ahead" })).toBeVisible();
  await page.getByRole("button", { name: "New schedule" }).click();
  const fresh = page.getByRole("region", { name: "New schedule" });
  await fresh.getByLabel("Schedule").fill("Beans and peas");
  await page.getByRole("region", { name: "Beans and peas" }).getByLabel("For which crops").fill("broad beans, peas");
  await seesNoBarrier(page);
  await page.getByRole("region", { name: "Beans and peas" }).getByRole("button", { name: "Save" }).click();
  await hears(page, "Beans and peas saved.");
  await expect(page.getByRole("row", { name: /^Bed 5 broad beans/ })).toBeVisible();
  await page.goto("/field/plots/5");
  await expect(page.getByRole("list", { name: "By your schedules" })).toBeVisible();
  await seesNoBarrier(page);
  await page.goto("/");
  await expect(page.getByText(/by your schedules: .*Bed 5/).first()).toBeVisible();
});

test("layers on a bed are one job, done step by step; a compost bin is named, treated and put away", async ({
  page,
}) => {
  await page.goto("/field");
  await page.getByRole("link", { name: "Jobs" }).click();
  await page.getByRole("button", { name: "A new job" }).click();
  const editor = page.getByRole("region", { name: "A new job" });
  await editor.getByLabel("Name").fill("Leeks, in layers");
  await editor.getByRole("checkbox", { name: /^Bed 8 / }).check();
  await editor.getByRole("button", { name: "And lay something on" }).click();
  await editor.getByRole("button", { name: "And water in" }).click();
  await editor.getByRole("button", { name: "Put the layers in order" }).click();
  await expect(editor.getByRole("heading", { level: 2 })).toHaveText([
    "1. lay something on",
    "2. put a liquid on",
    "3. water in",
  ]);
  await seesNoBarrier(page);
  await editor.getByRole("button", { name: "Save job" }).click();
  await hears(page, "Leeks, in layers saved.");
  const job = page.getByRole("article", { name: "Leeks, in layers" });
  await job.getByRole("button", { name: "Done" }).first().click();
  await expect(job.getByRole("button", { name: "Not done" })).toBeVisible();
  await job.getByRole("link", { name: "Put it on" }).click();
  await hears(page, /^A step of/);
  await page.getByLabel(/^Water for dilution/).selectOption({ label: "Old well: free of chlorine" });
  const why = page.getByLabel(/^(Reason for using it anyway|This is blocked)/);
  if ((await why.count()) > 0) await why.fill("overcast, and no other hour");
  await page.getByRole("button", { name: "Log application" }).click();
  await hears(page, /^Bed 8: .* logged\./);
  await page.goto("/field/plots/8");
  await expect(page.getByText("worm castings").first()).toBeVisible();
  await expect(page.getByRole("heading", { name: "What adds up" })).toBeVisible();
  await seesNoBarrier(page);

  await page.goto("/field");
  const away = page.getByText("Not on the plan: pots, bedding, char, compost bins");
  if (!(await page.getByRole("button", { name: "Add one" }).isVisible())) await away.click();
  await page.getByRole("button", { name: "Add one" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByLabel("What it is").selectOption("compost-bin");
  await sheet.getByLabel("Name").fill("Corner bin");
  await sheet.getByRole("button", { name: "Save" }).click();
  await page.getByRole("button", { name: /^Corner bin/ }).click();
  await expect(page.getByRole("radio", { name: "On compost" })).toBeChecked();
  await page.getByLabel(/^Water for dilution/).selectOption({ label: "Old well: free of chlorine" });
  await page.getByRole("button", { name: "It is done" }).click();
  await hears(page, /^Corner bin: .* logged\./);
  await page.getByRole("button", { name: /^Corner bin/ }).click();
  await page.getByRole("button", { name: "Change it" }).click();
  await seesNoBarrier(page);
  await page.getByRole("button", { name: "Put it away" }).click();
  await expect(page.getByRole("button", { name: /^Corner bin/ })).toHaveCount(0);
});

test("plantings go out as a file, come in again changed, and the inspector has the record", async ({ page }) => {
  await page.goto("/field/files");
  const [out] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("region", { name: "Out" }).getByRole("link", { name: "plantings" }).click(),
  ]);
  const text = await readFile(await out.path(), "utf8");
  expect(text.split("\n")[0]).toContain("planting,plot,crop");
  const changed = `${text.trim()}\r\n,Bed 14,kale,,,2031-01-02,,40,,,,\r\n`;
  await page.getByRole("region", { name: "In" }).getByRole("radio", { name: "plantings" }).click();
  await page
    .getByLabel("Or a file")
    .setInputFiles({ name: "plantings.csv", mimeType: "text/csv", buffer: Buffer.from(changed) });
  await hears(page, "1 new");
  await seesNoBarrier(page);
  await page.getByRole("button", { name: "Write 1 row" }).click();
  await hears(page, /^1 row written/);
  const [record] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "What went on the plots" }).click(),
  ]);
  expect(await readFile(await record.path(), "utf8")).toMatch(/^\uFEFF?day,applied_at,plot,[^]*Bed 3/);
  await page.goto("/field");
  await expect(page.getByRole("button", { name: /^Bed 14, kale/ })).toBeVisible();
});
