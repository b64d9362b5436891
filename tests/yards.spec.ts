import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";

test.use({ farmKind: "yards" });

interface Situation {
  readonly drum: string;
  readonly state: string | RegExp;
  /** What stands there, and what must not. */
  readonly says: readonly RegExp[];
  readonly never?: readonly RegExp[];
  readonly next: string;
}

/** As tests/farms/yards.ts told them, over a cold spring with the station outside. */
const SITUATIONS: readonly Situation[] = [
  {
    drum: "Unsaid drum",
    state: "Ready",
    says: [/pH 3\.7/, /Smells cidery/, /Use it as the recipe says/],
    never: [/warm it/i, /too cold/],
    next: "Log",
  },
  {
    drum: "Room tea",
    state: /Ready|Best now/,
    says: [/Smells earthy/, /Use it as the recipe says/],
    never: [/too cold/],
    next: "Log",
  },
  {
    drum: "Adrift drum",
    state: "Ready",
    says: [/The meter is likely off/],
    never: [/must reach 4/, /does not fit the rest/, /add culture/],
    next: "Log",
  },
  { drum: "Doubted drum", state: "Ready", says: [/“sulphur” was not borne out/], next: "Log" },
  { drum: "Ammonia drum", state: "Almost ready", says: [/Smells ammonia/, /once more/], next: "Log: smell it" },
  { drum: "Maggot drum", state: "On hold", says: [/maggots/, /2 good checks/], next: "Log: check it" },
  { drum: "Rotten drum", state: "Failed", says: [/Smells putrid/, /Never on a crop/], next: "Log" },
  {
    drum: "Floating char",
    state: /Too early|Almost ready/,
    says: [/50 % has sunk: stir it long/],
    next: "Log: stir it",
  },
  { drum: "Cut tea", state: /Too early|Almost ready/, says: [/stood without air for 8 h/], next: "Log: smell it" },
  { drum: "Heated drum", state: "Too early", says: [/Its heater lost its power/], next: "Log: measure pH" },
  {
    drum: "Cold shell",
    state: "Almost ready",
    says: [/they rest with acid left/],
    never: [/chlorine in the water/, /says ready/],
    next: "Log: warm it",
  },
  {
    drum: "Over leachate",
    state: "Past its best",
    says: [/must not be used any more/, /The compost, today\. Not on any bed/],
    never: [/Use it as the recipe says/],
    next: "Log",
  },
];

const openDrum = async (page: Page, name: string) => {
  await page.goto("/");
  await page.getByRole("article", { name }).getByRole("link", { name }).click();
  await expect(page.getByRole("heading", { name: "Stages and care" })).toBeVisible();
};

test("reads twelve situations of real yards as a calm grower would, each with what to do next", async ({ page }) => {
  for (const { drum, state, says, never = [], next } of SITUATIONS) {
    await openDrum(page, drum);
    const main = page.getByRole("main");
    await expect(main.getByText(state, { exact: typeof state === "string" }).first()).toBeVisible();
    for (const words of says) await expect(main.getByText(words).first()).toBeVisible();
    for (const words of never) await expect(main.getByText(words)).toHaveCount(0);
    await expect(main.getByRole("button", { name: next, exact: true })).toBeVisible();
    await fitsTheScreen(page);
  }
});

test("is told where a drum stands in one tap, and takes it back", { tag: "@both" }, async ({ page }) => {
  await openDrum(page, "Young drum");
  await expect(page.getByText(/Nobody said where it stands/)).toBeVisible();
  await seesNoBarrier(page);
  await page.getByRole("button", { name: "Kitchen or room" }).click();
  await expect(page.getByText("Stands: kitchen or room.")).toBeVisible();
  await expect(page.getByText(/Nobody said where it stands/)).toHaveCount(0);
  await expect(page.getByText(/calculated from its place/).first()).toBeVisible();
  await page.getByRole("button", { name: "Change the place" }).click();
  await page.getByRole("button", { name: "I don’t know" }).click();
  await expect(page.getByText(/Nobody said where it stands/)).toBeVisible();
});

test("a second look settles a doubt either way", { tag: "@phone" }, async ({ page }) => {
  await openDrum(page, "Ammonia drum");
  await page.getByRole("button", { name: "Log: smell it" }).click();
  const log = page.getByRole("dialog");
  await log.getByRole("button", { name: /^cidery/ }).click();
  await expect(log.getByText("Ready").first()).toBeVisible();
  await page.keyboard.press("Escape");
  await openDrum(page, "Maggot drum");
  await page.getByRole("button", { name: "Log: check it" }).click();
  await page
    .getByRole("dialog")
    .getByRole("button", { name: /^maggots/ })
    .click();
  await page.keyboard.press("Escape");
  await expect(page.getByText("Failed", { exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "What if" })).toHaveCount(0);
});
