/**
 * A working day in the field, whole: land drawn and planted, a programme set, a brew that is dead by tomorrow strained and put on twelve beds of
 * which one is picked too soon, the line lost half-way, the browser closed and opened, and all of it traced from the batch.
 */
import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";
import { hasPages, Phone } from "./harness/phone";
import { WORKSHOP } from "./harness/workshop";

const TEA = WORKSHOP.metric.findIndex(({ methodId }) => methodId === "aerated-tea");
const BEDS = Array.from({ length: 12 }, (_, index) => `Bed ${index + 1}`);
/** Lettuce, picked in five days. */
const PICKED = "Bed 7";

const choose = async (page: Page, names: readonly string[]) => {
  for (const name of names) await page.getByRole("button", { name: new RegExp(`^${name},`) }).click();
};
const hears = (page: Page, words: string | RegExp) => expect(page.getByText(words).first()).toBeVisible();

async function drawAndPlant(page: Page): Promise<void> {
  await page.goto("/field/land");
  await page.getByRole("radio", { name: /many/ }).click();
  await page.getByLabel("How many").fill("12");
  await page.getByLabel(/^Length/).fill("10");
  await page.getByRole("button", { name: "Draw them" }).click();
  await page.getByRole("button", { name: "Keep 12 changes" }).click();
  await hears(page, "12 changes kept.");
  await page.goto("/field");
  const plant = async (beds: readonly string[], crop: string, harvest: string) => {
    await choose(page, beds);
    await page.getByRole("button", { name: "Plant", exact: true }).click();
    const sheet = page.getByRole("dialog");
    await sheet.getByLabel("Crop").fill(crop);
    await sheet.getByLabel("From", { exact: true }).fill("2030-12-01");
    await sheet.getByLabel("Harvest from").fill(harvest);
    await sheet.getByRole("button", { name: "Plant" }).click();
    await hears(page, `${crop} on ${beds.length} plot`);
    await page.getByRole("button", { name: "Choose none" }).click();
  };
  await plant(
    BEDS.filter((bed) => bed !== PICKED),
    "peppers",
    "2031-05-01",
  );
  await plant([PICKED], "lettuce", "2031-01-16");
}

async function setProgramme(page: Page): Promise<void> {
  await page.goto("/field/programmes");
  const isFirst = await page.getByRole("region", { name: "New schedule" }).isVisible();
  if (!isFirst) await page.getByRole("button", { name: "New schedule" }).click();
  await page.getByRole("region", { name: "New schedule" }).getByLabel("Schedule").fill("Peppers");
  const programme = page.getByRole("region", { name: "Peppers" });
  await programme.getByLabel("For which crops").fill("peppers");
  await programme.getByRole("button", { name: "Save" }).click();
  await hears(page, "Peppers saved.");
  await expect(page.getByRole("row", { name: /^Bed 1 peppers/ })).toBeVisible();
}

/** Strains the tea, and stands in the field with it. */
async function strainTea(page: Page): Promise<void> {
  await page.goto(`/batches/${TEA + 1}`);
  await page.getByRole("button", { name: "Strain or throw away" }).click();
  const sheet = page.getByRole("dialog");
  await expect(sheet.getByRole("region", { name: "How it drains" })).toBeVisible();
  await sheet.getByRole("button", { name: "Strain, then apply" }).click();
  await page.waitForURL(/\/field\?store=/);
}

async function putOn(page: Page): Promise<void> {
  await page.getByLabel(/^Water for dilution/).selectOption({ label: "Butt: free of chlorine" });
  // Where the sun is high at this hour, it is asked about.
  const why = page.getByLabel(/^(Reason for using it anyway|This is blocked)/);
  if ((await why.count()) > 0) await why.fill("overcast all day, cool, and no wind");
  await page.getByRole("checkbox", { name: /^Strained to/ }).check();
  await page.getByRole("button", { name: /^Log (application|\d+ of)/ }).click();
}

test.use({ farmKind: "ripe" });
test(
  "a short brew over twelve beds, one of them picked too soon, with the line lost half-way",
  { tag: "@both" },
  async ({ baseURL, launchOptions, viewport, hasTouch }) => {
    const phone = new Phone({ ...launchOptions, baseURL: baseURL!, viewport, hasTouch, serviceWorkers: "allow" });
    try {
      let page = await phone.open();
      await drawAndPlant(page);
      await setProgramme(page);
      await strainTea(page);

      await choose(page, BEDS);
      await page.getByRole("radio", { name: "On the leaves" }).click();
      const against = page.getByRole("region", { name: "Warnings" });
      await expect(against.getByText(/Bed 7: its leaves are eaten in 5 days/)).toBeVisible();
      await choose(page, [PICKED]);
      await expect(against.getByText(/Bed 7/)).toHaveCount(0);
      await seesNoBarrier(page);

      // Half of the walk is done before the line is lost.
      const rest = BEDS.slice(7);
      for (const bed of rest) await page.getByRole("checkbox", { name: `${bed} is done` }).uncheck();
      await putOn(page);
      await hears(page, /^6 beds: .* logged\.$/);
      await hasPages(page, ["/field"]);
      await page.reload();
      await phone.signal(false);
      await choose(page, rest);
      await page.getByRole("radio", { name: "On the leaves" }).click();
      await putOn(page);
      await hears(page, /5 beds: .* logged\. Not sent yet/);

      await phone.close();
      page = await phone.open();
      await phone.signal(false);
      await page.goto("/field");
      await expect(page.getByRole("status").filter({ hasText: "1 entry not sent yet." })).toBeVisible();
      await fitsTheScreen(page);
      await phone.signal(true);
      await hears(page, "1 entry sent to the farm.");

      await page.goto(`/trace?batch=${TEA + 1}`);
      await expect(page.getByRole("row", { name: /^Bed \d+/ })).toHaveCount(BEDS.length - 1);
      await expect(page.getByRole("row", { name: /^Bed 7/ })).toHaveCount(0);
      await expect(page.getByRole("link", { name: /^Lot \d+/ }).first()).toBeVisible();
      await seesNoBarrier(page);
      await page.goto("/");
      await expect(page.getByText(/Look at|Wash/).first()).toBeVisible();
    } finally {
      await phone.end();
    }
  },
);
