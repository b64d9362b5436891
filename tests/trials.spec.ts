import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";

const PREFIX = "/field/trials/";

/** The strips with what they get, as who puts it on sees them. */
async function placement(page: Page): Promise<ReadonlyMap<string, boolean>> {
  const rows = page.getByRole("region", { name: /^Strips/ }).getByRole("listitem");
  for (const summary of await page.getByText("As a list").all())
    if (!(await rows.first().isVisible())) await summary.click();
  const texts = await page.locator("section[aria-label^='Strips'] details li").allTextContents();
  return new Map(texts.map((text) => [text.trim().slice(0, 3), / ?with /.test(text) && !text.endsWith("without")]));
}

/** Reads all strips that come up, each by its code; answers which they were. */
async function readAll(page: Page, valueOf: (code: string, nth: number) => string): Promise<number> {
  await page.getByRole("button", { name: "Begin", exact: true }).click();
  let count = 0;
  while (await page.getByText(/^Strip \d+ of \d+/).isVisible()) {
    const line = (await page.getByText(/^Strip \d+ of \d+/).textContent())!;
    const code = (await page.locator("main .text-4xl").textContent())!.trim();
    await page.getByLabel(/^Height/).fill(valueOf(code, count));
    await page.getByRole("button", { name: "Next strip" }).click();
    await expect(page.getByText(line, { exact: true })).toHaveCount(0);
    count += 1;
  }
  await expect(page.getByRole("heading", { name: "Which got it, do you think?" })).toBeVisible();
  return count;
}

test("a question becomes a trial: placed, put on, read by codes, looked at, given more strips, told", async ({
  page,
  later,
}) => {
  test.setTimeout(600_000);
  await page.goto("/field");
  await page.getByRole("link", { name: "Trials" }).click();
  await page.getByRole("link", { name: "Begin a trial" }).click();
  await page.getByLabel("What may help?").selectOption("own");
  await page.getByLabel("Called").fill("Nettle water");
  // Two whole beds are one pair, which can never tell: it is said before a stake goes in.
  await page.getByRole("button", { name: /^all potatoes/ }).click();
  await expect(page.getByText("One pair", { exact: true })).toBeVisible();
  await expect(page.getByText(/can never tell/).first()).toBeVisible();
  await page.getByRole("radio", { name: "6 strips" }).click();
  await expect(page.getByText("6 pairs", { exact: true })).toBeVisible();
  await page.getByLabel("What is read").selectOption("height");
  await page.getByLabel(/^How much more would be worth it/).fill("4");
  await page.getByLabel(/^How much two strips differ/).fill("2");
  await page.getByLabel("Judged on").fill("2031-02-10");
  await page.getByLabel("Put on how many times before").fill("2");
  await seesNoBarrier(page);
  // What was typed is there again after a slip of the finger.
  await page.reload();
  await expect(page.getByLabel("Called")).toHaveValue("Nettle water");
  await page.getByLabel("Judged on").fill("2030-12-01");
  await page.getByRole("button", { name: "Begin, and draw lots" }).click();
  await expect(page.getByText("This day is past. Choose a day ahead.").first()).toBeVisible();
  await page.getByLabel("Judged on").fill("2031-02-10");
  await page.getByRole("button", { name: "Begin, and draw lots" }).click();
  await expect(page.getByRole("heading", { name: "Does nettle water help the potatoes?" })).toBeVisible();
  expect([...(await placement(page)).values()].some(Boolean)).toBe(false);
  const trial = new URL(page.url()).pathname;
  expect(trial).toMatch(new RegExp(`^${PREFIX}\\d+$`));

  await page.getByRole("button", { name: "I put it on: show who gets what" }).click();
  await expect(page.getByRole("button", { name: "Put on by hand" })).toBeVisible();
  const treated = await placement(page);
  expect([...treated.values()].filter(Boolean)).toHaveLength(6);
  for (const days of [2, 14]) {
    await later(days);
    await page.goto(trial);
    await page.getByRole("button", { name: "Put on by hand" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Write it down" }).click();
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  await expect(page.getByText(/2 times on each strip/)).toBeVisible();

  await later(30);
  await page.goto(`${trial}/score`);
  // Whoever put it on is told that somebody else had better read.
  await expect(page.getByText(/You know which strip gets what/)).toBeVisible();
  const more = (code: string, nth: number): string => String(30 + (nth % 3) * 0.5 + (treated.get(code) ? 3 : 0));
  expect(await readAll(page, more)).toBe(14);
  await page.getByRole("button", { name: "Done, write it down" }).click();
  await expect(page.getByText("6 pairs are read of 6.")).toBeVisible();
  await page.getByRole("button", { name: "Look at it" }).click();
  await page.getByRole("button", { name: "Look, and write it down" }).click();
  await expect(page.getByRole("heading", { name: "Can’t tell yet" })).toBeVisible();
  await expect(page.getByText(/So few pairs can never tell; 7 could/)).toBeVisible();
  await expect(page.getByText("Whoever measured knew which strip got what.")).toBeVisible();
  await fitsTheScreen(page);
  await seesNoBarrier(page);

  await page.getByRole("button", { name: "Add strips" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByLabel("Bed 3, carrots").check();
  await sheet.getByLabel("Bed 4, beetroot").check();
  await sheet.getByRole("radio", { name: "6 strips" }).click();
  await sheet.getByLabel("Judged on").fill("2031-03-15");
  await sheet.getByRole("button", { name: "Draw lots for them" }).click();
  await expect(sheet).toHaveCount(0);
  await page.getByRole("button", { name: "I put it on: show who gets what" }).click();
  await expect(page.getByRole("button", { name: "Put on by hand" })).toBeVisible();
  for (const days of [32, 45]) {
    await later(days);
    await page.goto(trial);
    await page.getByRole("button", { name: "Put on by hand" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "Write it down" }).click();
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  await later(64);
  await page.goto(trial);
  const all = await placement(page);
  expect(all.size).toBe(24);
  await page.goto(`${trial}/score`);
  await readAll(page, (code, nth) => String(30 + (nth % 3) * 0.5 + (all.get(code) ? 7 : 0)));
  await page.getByRole("button", { name: "Done, write it down" }).click();
  await page.getByRole("button", { name: "Look at it" }).click();
  await page.getByRole("button", { name: "Look, and write it down" }).click();
  await expect(page.getByRole("heading", { name: "Likely helped" })).toBeVisible();
  await expect(page.getByText(/^Here and this season: .* cm more with nettle water\.$/)).toBeVisible();
  await page.goto("/field/trials");
  await expect(page.getByRole("listitem").filter({ hasText: "nettle water" })).toContainText("Likely helped");
});

test(
  "strips are read with a thumb, one after the other, and nothing is lost by a reload",
  { tag: "@phone" },
  async ({ page }) => {
    await page.goto("/field/trials");
    await page.getByRole("link", { name: /roots and onions/ }).click();
    await fitsTheScreen(page);
    await page.getByRole("link", { name: "Read the strips" }).click();
    await page.getByRole("button", { name: "Begin", exact: true }).click();
    await page.getByLabel(/^Height/).fill("21,5");
    await page.getByRole("button", { name: "And another plant of this strip" }).click();
    await page.getByLabel(/^Height/).fill("22");
    await page.getByRole("button", { name: "Next strip" }).click();
    await expect(page.getByText(/^Strip 2 of/)).toBeVisible();
    await page.reload();
    await expect(page.getByText(/^Strip 2 of/)).toBeVisible();
    await fitsTheScreen(page);
    await seesNoBarrier(page);
  },
);
