import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";
import { walkCookie } from "./harness/signedIn";

test(
  "a drum is practised to its end, counts, and is the same on another device",
  { tag: "@both" },
  async ({ page, browser, baseURL }) => {
    await page.goto("/practice");
    await seesNoBarrier(page);
    await fitsTheScreen(page);
    await page.getByLabel("Play a drum by its code").fill("tea 12");
    await page.getByRole("button", { name: "Open it" }).click();
    await expect(page.getByRole("heading", { name: "Aerated castings tea" })).toBeVisible();
    await page.getByRole("button", { name: "12 h" }).click();
    await page.getByRole("button", { name: "Smell it" }).click();
    await page.getByRole("button", { name: "Lift the lid" }).click();
    const seen = page.getByRole("list", { name: "What you saw" });
    await expect(seen.getByRole("listitem")).toHaveCount(2);
    const told = await seen.innerText();
    await seesNoBarrier(page);
    await fitsTheScreen(page);

    const other = await browser.newContext({
      baseURL: baseURL!,
      storageState: { cookies: [walkCookie(baseURL!)], origins: [] },
    });
    const classmate = await other.newPage();
    await classmate.goto("/practice/drum/tea-12");
    for (const name of ["12 h", "Smell it", "Lift the lid"]) await classmate.getByRole("button", { name }).click();
    expect(await classmate.getByRole("list", { name: "What you saw" }).innerText()).toBe(told);
    await other.close();

    // Left and come back to, it stands as it stood.
    await page.reload();
    await expect(seen.getByRole("listitem")).toHaveCount(2);
    await page.getByRole("button", { name: "Throw it away" }).click();
    await expect(page.getByRole("heading", { name: /coins$/ })).toBeFocused();
    await expect(page.getByText("This drum counts on your practice page.")).toBeVisible();
    await seesNoBarrier(page);
    await fitsTheScreen(page);
    await page.getByRole("link", { name: "What comes next" }).click();
    await expect(page.getByRole("row", { name: /Good drums kept/ })).toContainText("1");
  },
);

test(
  "sums, safety, answers, lessons, growth, signs and mistakes are there on a phone and a laptop",
  { tag: "@both" },
  async ({ page }) => {
    await page.goto("/practice/sums");
    await page.getByLabel("Your answer").fill("100");
    await page.getByRole("button", { name: "Check it" }).click();
    await expect(page.getByRole("button", { name: "Next sum" })).toBeFocused();
    await page.goto("/practice/safety");
    await page.getByRole("main").getByRole("list").getByRole("button").first().click();
    await page.getByRole("button", { name: "Next one" }).click();
    await page.goto("/practice/answers");
    await page.getByLabel("Type a question").fill("may I put manure tea on leaves of lettuce");
    await expect(page.getByRole("region", { name: "Answer" })).toContainText("never on leaves");
    await page.goto("/practice/mistakes");
    await page.getByRole("radio", { name: "Tight lid" }).click();
    await expect(page.getByText("coins a drum").nth(1)).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText("This one hurts people")).toBeVisible();
    await page.goto("/practice/growth");
    await page.getByRole("radio", { name: "off" }).click();
    await expect(page.getByText(/hardly grows/)).toBeVisible();
    for (const path of ["sums", "safety", "answers", "mistakes", "growth", "signs", "lessons/aerated-tea", "week/5"]) {
      await page.goto(`/practice/${path}`);
      await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
      await seesNoBarrier(page);
      await fitsTheScreen(page);
    }
  },
);
