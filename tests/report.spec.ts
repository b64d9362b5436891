import Papa from "papaparse";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";
import { printed } from "./harness/pdf";

test(
  "the season is told on the screen, as a table and on paper, and all three say the same",
  { tag: "@both" },
  async ({ page, request }) => {
    await page.goto("/ledger");
    await page.getByRole("link", { name: "Season’s report" }).click();
    await expect(page.getByRole("heading", { name: "Where did the money go?" })).toBeVisible();
    await fitsTheScreen(page);
    await seesNoBarrier(page);
    // The drum that failed cost money, and that is told with its cause.
    await expect(page.getByRole("heading", { name: "What was thrown away, and why?" })).toBeVisible();
    await expect(page.getByText(/Bottled plant feed/)).toBeVisible();

    await page.getByRole("button", { name: "Set the budget" }).click();
    const sheet = page.getByRole("dialog");
    await sheet.getByLabel(/^Work/).fill("-3");
    await sheet.getByRole("button", { name: "Set it" }).click();
    await expect(sheet.getByRole("alert").first()).toBeVisible();
    await sheet.getByLabel(/^Work/).fill("75");
    await sheet.getByRole("button", { name: "Set it" }).click();
    await expect(page.getByText(/h of 75 h/)).toBeVisible();

    await page.getByRole("button", { name: "Say what you would buy" }).click();
    await sheet.getByLabel("Called").fill("Shop feed");
    await sheet.getByLabel(/^A pack costs/).fill("0.05");
    await sheet.getByLabel(/^A pack is for/).fill("1000");
    await sheet.getByRole("button", { name: "Compare with it" }).click();
    await expect(page.getByText(/Shop feed/).first()).toBeVisible();
    await expect(page.getByText(/The shop’s is .* cheaper/)).toBeVisible();

    const { data, errors } = Papa.parse<Record<string, string>>(
      (await (await request.get("/api/report")).text()).replace("\uFEFF", ""),
      { header: true, skipEmptyLines: true },
    );
    expect(errors).toEqual([]);
    const inputs = [...new Set(data.filter(({ part }) => part === "input").map(({ of }) => of!))];
    expect(inputs.length).toBeGreaterThan(3);
    await page.goto("/paper/report");
    await expect(page.getByRole("heading", { name: "For next season" })).toBeVisible();
    const paper = (await printed(page)).map(({ text }) => text).join(" ");
    for (const word of [...inputs, "What will we make less of?", "Likely helped"]) expect(paper).toContain(word);
  },
);

test("a bed is measured with a thumb, undone, and measured again", { tag: "@phone" }, async ({ page }) => {
  await page.goto("/field/plots/1");
  await page.getByRole("button", { name: "Measure it" }).click();
  const sheet = page.getByRole("dialog");
  await sheet.getByLabel("What is read").selectOption("height");
  await sheet.getByLabel(/^Height/).fill("31");
  await sheet.getByRole("button", { name: "And another plant" }).click();
  await sheet.getByLabel(/^Height/).fill("34");
  await sheet.getByRole("button", { name: "Write it down" }).click();
  await expect(page.getByText("32.5 cm, mean of 2")).toBeVisible();
  await fitsTheScreen(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText("32.5 cm, mean of 2")).toHaveCount(0);
});
