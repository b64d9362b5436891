import { expect, test } from "./harness/farm";
import { seesNoBarrier } from "./harness/look";

test("two people at once: the second is told, and what was typed stays", async ({ browser, baseURL }) => {
  const [one, two] = await Promise.all([browser.newPage(), browser.newPage()]);
  for (const page of [one, two]) await page.goto(`${baseURL}/?fill=8`);
  for (const page of [one, two])
    await page
      .getByRole("dialog")
      .getByRole("radio", { name: /More plant/ })
      .click();
  for (const page of [one, two])
    await page
      .getByRole("dialog")
      .getByLabel(/^Water for the brew/)
      .selectOption({ label: "Butt by the lean-to: free of chlorine" });
  for (const page of [one, two]) {
    await page.getByRole("dialog").getByLabel("picked just now").check();
    await page.getByRole("dialog").getByLabel("Which plants").fill("nettle");
  }
  await two.getByRole("dialog").getByLabel("Work time (min)").fill("12");
  await one.getByRole("dialog").getByRole("button", { name: "Start batch" }).click();
  await expect(one.getByRole("dialog")).toHaveCount(0);
  await two.getByRole("dialog").getByRole("button", { name: "Start batch" }).click();
  await expect(two.getByRole("dialog").getByRole("alert").first()).toContainText("Jar was just filled");
  await expect(two.getByRole("dialog").getByLabel("Work time (min)")).toHaveValue("12");
});

test(
  "the server out of reach: a clear word, nothing lost, and it goes through later",
  { tag: "@phone" },
  async ({ page, context }) => {
    await page.goto("/shed");
    await page.getByRole("button", { name: "Add stock" }).click();
    const panel = page.getByRole("dialog");
    await panel.getByLabel("How much (L)").fill("2,5");
    await panel.getByLabel("Note").fill("from the neighbour");
    await context.setOffline(true);
    await expect(page.getByText(/^No connection/)).toBeVisible();
    await panel.getByRole("button", { name: "Add to stock" }).click();
    await expect(panel.getByRole("alert")).toContainText("No connection");
    await expect(panel.getByLabel("Note")).toHaveValue("from the neighbour");
    await context.setOffline(false);
    await panel.getByRole("button", { name: "Add to stock" }).click();
    await expect(panel).toHaveCount(0);
  },
);

test("works by keyboard: places, vessels, keys, dusk", async ({ page }) => {
  await page.goto("/");
  // A page that is only drawn hears no key yet.
  await expect(async () => {
    await page.keyboard.press("?");
    await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  // A closing panel gives the focus back a moment after it is gone; no thumb is as quick as this one.
  await expect(async () => {
    await page.keyboard.press("v");
    await expect(page.getByRole("article", { name: "Blue drum" })).toBeFocused({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByRole("article", { name: "Air drum" })).toBeFocused();
  await page.keyboard.press("l");
  await expect(page.getByRole("dialog", { name: "Air drum: log" })).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("w");
  await page.getByPlaceholder(/^A name/).fill("16 L at 1:500");
  await expect(page.getByText("32 mL, 16.03 L in all")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.keyboard.press("4");
  await expect(page.getByRole("heading", { name: "The field" })).toBeVisible();
  await page.keyboard.press("d");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "dusk");
  await seesNoBarrier(page);
});

test("forms name what is wrong at the field", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Add vessel" }).click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("Full volume (L)").fill("5000000");
  await panel.getByRole("button", { name: "Add vessel" }).click();
  await expect(panel.getByText(/^At most 20.000 L\.$/)).toBeVisible();
  await expect(panel.getByLabel("Name")).toHaveAttribute("aria-invalid", "true");
  await panel.getByLabel("Name").fill("Tote");
  await panel.getByLabel("Full volume (L)").fill("500");
  await panel.getByRole("button", { name: "Add vessel" }).click();
  await expect(panel.getByText('There is a "Tote" already.').first()).toBeVisible();
});

test("a page that is not there says where to go", async ({ page }) => {
  await page.goto("/batches/99999");
  await expect(page.getByText("Page not found")).toBeVisible();
});

test("sends nothing outside and needs no eval", async ({ page }) => {
  const outside: string[] = [];
  page.on("request", (request) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(request.url())) outside.push(request.url());
  });
  const complaints: string[] = [];
  page.on("console", (message) => message.type() === "error" && complaints.push(message.text()));
  for (const path of ["/", "/?fill=3", "/shed", "/book", "/book/aerated-tea?scale", "/field", "/ledger", "/batches/4"])
    await page.goto(path, { waitUntil: "networkidle" });
  expect(outside).toEqual([]);
  expect(complaints).toEqual([]);
});

test("an address with a slip in it is told so, or is no page", async ({ page }) => {
  for (const path of [
    "/nothing",
    "/batches/9999",
    "/book/none",
    "/field/plots/abc",
    "/farm/nonsense",
    "/trace?plot=9999",
  ]) {
    expect((await page.goto(path))!.status(), path).toBe(404);
    await expect(page.getByRole("heading", { name: "Page not found" })).toBeVisible();
  }
  for (const path of [
    "/?fill=99",
    "/?colour=red",
    "/shed?item=gold",
    "/book?by=stars",
    "/field?store=99",
    "/paper/round?paper=a9",
  ]) {
    expect((await page.goto(path))!.status(), path).toBe(200);
    await expect(page.getByRole("alert").filter({ hasText: "leads nowhere" }), path).toContainText(path.split("?")[1]!);
  }
});

test("a trace begins from a bed or a batch, where none is named", async ({ page }) => {
  await page.goto("/trace");
  await page.getByLabel("Bed", { exact: true }).selectOption({ label: "Bed 3, carrots" });
  await page.getByRole("button", { name: "Trace bed" }).click();
  await expect(page).toHaveURL(/plot=\d+/);
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Bed 3");
});
