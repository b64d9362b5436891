import type { Locator, Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { seesNoBarrier } from "./harness/look";

/** Words for what a person does; the walk itself reads like one. */
class Person {
  constructor(readonly page: Page) {}
  async goTo(place: "Yard" | "Shed" | "Methods" | "Field" | "Costs") {
    await this.page
      .getByRole("navigation")
      .getByRole("link", { name: place, exact: true })
      .filter({ visible: true })
      .click();
    await expect(this.page.getByRole("link", { name: place, exact: true }).filter({ visible: true })).toHaveAttribute(
      "aria-current",
      "page",
    );
  }
  vessel(name: string) {
    return this.page.getByRole("article", { name });
  }
  panel() {
    return this.page.getByRole("dialog");
  }
  async hears(words: string | RegExp) {
    await expect(this.page.getByText(words).first()).toBeVisible();
  }
}

/** The plant is picked for the batch, and said by name. */
async function picksNettle(panel: Locator) {
  await panel.getByLabel("picked just now").check();
  await panel.getByLabel("Which plants").fill("nettle");
}

test(
  "2 · fills a vessel: scaled, checked against the shed, amounts changed to what was used",
  { tag: "@both" },
  async ({ page }) => {
    const person = new Person(page);
    await page.goto("/");
    await person.vessel("Pail one").getByRole("button", { name: "Fill Pail one" }).click();
    const panel = person.panel();
    await expect(panel.getByRole("heading", { name: "Fill Pail one" })).toBeVisible();
    await expect(panel.getByRole("option", { name: /Aerated castings tea/ })).toBeDisabled();
    await panel.getByRole("radio", { name: /^Equal parts/ }).click();
    await expect(panel.getByLabel("Water, L")).toHaveValue("16.62");
    await panel.getByRole("radio", { name: /So much water/ }).click();
    await panel.getByLabel("Water (L)", { exact: true }).fill("25");
    await expect(panel.getByText(/the vessel takes 17 L up to its fill line/).first()).toBeVisible();
    await panel.getByLabel("Water (L)", { exact: true }).fill("14");
    await expect(panel.getByLabel("Molasses, L")).toHaveValue("0.14");
    await panel.getByLabel("Molasses, L").fill("900");
    await expect(panel.getByText(/it will overflow/)).toBeVisible();
    await panel.getByLabel("Molasses, L").fill("0,2");
    await panel.getByLabel("Chopped plant, kg").fill("1.5");
    await picksNettle(panel);
    await panel.getByLabel(/^Water for the brew/).selectOption({ label: "Butt by the lean-to: free of chlorine" });
    await seesNoBarrier(page);
    await panel.getByRole("button", { name: "Start batch" }).click();
    await expect(panel).toHaveCount(0);
    await expect(person.vessel("Pail one")).toContainText("Too early");
    await person.vessel("Pail one").getByRole("link", { name: "Pail one", exact: true }).click();
    await expect(page.getByRole("region", { name: "Ingredients" })).toContainText("200 mL (recipe 140 mL)");
  },
);

test(
  "2 · is told at the line when the shed holds too little, and nothing typed is lost",
  { tag: "@phone" },
  async ({ page }) => {
    const person = new Person(page);
    await page.goto("/?fill=3");
    const panel = person.panel();
    await expect(panel.getByText(/in stock, .* missing/)).toBeVisible();
    await panel.getByLabel("Work time (min)").fill("77");
    await panel.getByLabel(/^Water for the brew/).selectOption({ label: "Old well: free of chlorine" });
    await panel.getByRole("button", { name: "Start batch" }).click();
    await expect(panel.getByRole("alert").filter({ hasText: "The shed holds" }).first()).toBeVisible();
    await expect(panel.getByLabel("Work time (min)")).toHaveValue("77");
    await panel.getByLabel("picked just now").check();
    await panel.getByRole("radio", { name: "As much as stock allows" }).click();
    await expect(panel.getByText("Lactic culture runs out first.")).toBeVisible();
  },
);

test("3 · logs a reading in two taps, and the verdict is drawn anew", { tag: "@both" }, async ({ page }) => {
  const person = new Person(page);
  await page.goto("/");
  const blue = person.vessel("Blue drum");
  await blue.getByRole("button", { name: /^Log Blue drum/ }).click();
  // Nothing is logged that nobody touched.
  await expect(person.panel().getByRole("button", { name: /^Log pH/ })).toBeDisabled();
  await person.panel().getByRole("button", { name: "pH up" }).click();
  await expect(person.panel().getByRole("button", { name: "Log pH 4.1", exact: true })).toBeEnabled();
  await person.panel().getByRole("spinbutton", { name: "pH" }).fill("4.8");
  await person.panel().getByRole("button", { name: "Log pH 4.8" }).click();
  await person.hears(/Blue drum: pH 4\.8/);
  await person.panel().getByRole("spinbutton", { name: "pH" }).fill("3.8");
  await person.panel().getByRole("button", { name: "Log pH 3.8" }).click();
  // Two readings of one minute can't both be right: it is read once more before it is believed.
  await expect(person.panel().getByText(/one is wrong/)).toBeVisible();
  await expect(person.panel().getByText("Almost ready")).toBeVisible();
  await seesNoBarrier(page);
  await person
    .panel()
    .getByRole("button", { name: /^cidery/ })
    .click();
  await person.hears(/Blue drum: smell: cidery/);
  await expect(person.panel().getByText("Almost ready")).toBeVisible();
  await person.panel().getByRole("button", { name: "Log pH 3.8" }).click();
  await expect(person.panel().getByText("at or under 4").first()).toBeVisible();
  await expect(person.panel().getByText("Ready", { exact: true })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(blue).toContainText("Ready");
});

test.describe(() => {
  test.use({ farmKind: "ready" });
  test(
    "3 · refuses pH 19 in words, and a stray entry is corrected by a later one",
    { tag: "@phone" },
    async ({ page }) => {
      const person = new Person(page);
      await page.goto("/");
      await person.vessel("Blue drum").getByRole("button", { name: "Log Blue drum", exact: true }).click();
      await person.panel().getByRole("spinbutton", { name: "pH" }).fill("19");
      await person.panel().getByRole("button", { name: "Log pH 19" }).click();
      await expect(person.panel().getByRole("alert")).toContainText("At most 14.");
      await person
        .panel()
        .getByRole("button", { name: /^putrid/ })
        .click();
      await expect(person.panel().getByText("On hold", { exact: true })).toBeVisible();
      await page.keyboard.press("Escape");
      await person.vessel("Blue drum").getByRole("link", { name: "Blue drum" }).click();
      await page.getByRole("button", { name: "Correct: Smell: putrid" }).click();
      await person
        .panel()
        .getByRole("button", { name: /^cidery/ })
        .click();
      await expect(person.panel()).toHaveCount(0);
      await expect(page.getByRole("region", { name: "Log" })).toContainText("Smell: putrid by Maren; corrected later");
      await expect(page.getByText("Ready", { exact: true })).toBeVisible();
    },
  );
});

test.describe(() => {
  test.use({ farmKind: "ready" });
  test(
    "5 · strains it into a store, and the vessel is needs washing, then free",
    { tag: "@phone" },
    async ({ page }) => {
      const person = new Person(page);
      await page.goto("/");
      await person.vessel("Blue drum").getByRole("button", { name: "Strain: Blue drum" }).click();
      const panel = person.panel();
      await panel.getByLabel("Strained off (L)").fill("900");
      await panel.getByRole("button", { name: "Strain and store" }).click();
      await expect(panel.getByRole("alert").filter({ hasText: "stand in it" }).first()).toBeVisible();
      await panel.getByLabel("Strained off (L)").fill("171");
      await panel.getByLabel("Label").fill("Bean extract");
      await seesNoBarrier(page);
      await panel.getByRole("button", { name: "Strain and store" }).click();
      await expect(panel).toHaveCount(0);
      await expect(person.vessel("Blue drum")).toContainText("Needs washing");
      await page
        .getByRole("region", { name: "Today’s jobs" })
        .getByRole("button", { name: /Blue drum: wash it out/ })
        .click();
      await expect(person.vessel("Blue drum")).toContainText("Free");
      await person.goTo("Shed");
      await expect(page.getByRole("main").getByRole("listitem").filter({ hasText: "Bean extract" })).toContainText(
        "171 L",
      );
      await seesNoBarrier(page);
    },
  );
});

test.describe(() => {
  test.use({ farmKind: "strained" });
  test(
    "6 · applies it: loads in whole tools, shared out where it does not reach; store and beds know, and the ledger what the litre cost",
    { tag: "@both" },
    async ({ page }) => {
      const person = new Person(page);
      await page.goto("/shed");
      await page
        .getByRole("main")
        .getByRole("listitem")
        .filter({ hasText: "Bean extract" })
        .getByRole("link", { name: "Apply" })
        .click();
      await expect(page.getByRole("heading", { name: "The field" })).toBeVisible();
      for (const bed of ["Bed 3,", "Bed 5,"]) await page.getByRole("button", { name: bed }).click();
      const loads = page.getByRole("region", { name: "Loads" });
      await expect(loads).toContainText("5 cans of 10 L with 40 mL in each");
      await expect(loads).toContainText("a last can of 7.6 L with 30 mL");
      await page.getByLabel("Dilution", { exact: true }).fill("neat");
      await expect(page.getByText(/Undiluted it burns what grows there/).first()).toBeVisible();
      await page.getByLabel("Dilution", { exact: true }).fill("1:1");
      await page.getByLabel("Mix (L per m²)").fill("20");
      await expect(loads.getByText(/ L in stock: shared out by who wants it most/)).toBeVisible();
      await expect(page.getByText(/times what a bed soaks up at once/).first()).toBeVisible();
      await page.getByLabel("Dilution", { exact: true }).fill("1:0");
      await expect(page.getByText('Write "undiluted" to use it without water.')).toBeVisible();
      await page.getByLabel("Dilution", { exact: true }).fill("1:16");
      await page.getByLabel("Mix (L per m²)").fill("2");
      await page.getByRole("button", { name: "Log application" }).click();
      await expect(page.getByLabel("Reason for using it anyway")).toBeVisible();
      await expect(page.getByRole("alert").filter({ hasText: "stronger than the strongest" }).first()).toBeVisible();
      await page.getByRole("radio", { name: "Through the injector" }).click();
      await page.getByLabel("Dilution", { exact: true }).fill("1:50");
      await expect(page.getByText(/stronger than this injector can give/)).toBeVisible();
      await page.getByRole("radio", { name: "Drench, growing plants" }).click();
      await page.getByLabel("Reason for using it anyway").fill("overcast all day");
      await page.getByRole("button", { name: "Log application" }).click();
      await expect(page.getByText("Choose the water for dilution.").first()).toBeVisible();
      await page.getByLabel(/^Water for dilution/).selectOption({ label: "Old well: free of chlorine" });
      await seesNoBarrier(page);
      await page.getByRole("button", { name: "Log application" }).click();
      await person.hears("2 beds: bean extract logged.");
      await expect(page.getByRole("button", { name: /Bed 3, .*last got bean extract today/ })).toBeVisible();
      await person.goTo("Shed");
      await expect(page.getByRole("main").getByRole("listitem").filter({ hasText: "Bean extract" })).toContainText(
        /170\.8|171/,
      );

      await page.goto("/ledger");
      const batch = page.getByRole("listitem").filter({ hasText: "171 L strained" });
      await expect(batch).toContainText(/0\.\d\d crowns per L/);
      await expect(batch.getByRole("img", { name: /Molasses .* crowns/ })).toBeVisible();
      await page.getByRole("listitem").filter({ hasText: "Bed 3" }).first().locator("summary").click();
      await expect(page.getByText(/bean extract at 1:250/).first()).toBeVisible();
      await seesNoBarrier(page);
    },
  );
});

test("1 · sees the yard: vessels, ribbons, verdicts, fit hours, the round", { tag: "@both" }, async ({ page }) => {
  const person = new Person(page);
  await page.goto("/");
  await expect(page.getByRole("heading", { name: /^The yard, / })).toBeVisible();
  await expect(page.getByRole("article")).toHaveCount(8);
  await expect(person.vessel("Air drum")).toContainText("Castings tea");
  await expect(
    person.vessel("Air drum").getByRole("img", { name: /Air drum: (Good until|Likely ready) about/ }),
  ).toHaveCount(1);
  await expect(person.vessel("Glass drum")).toContainText("Stuck");
  await expect(page.getByRole("region", { name: "Good times to apply" })).toContainText(/dusk|dawn/);
  await expect(page.getByRole("region", { name: "Today’s jobs" })).toContainText("Pail two: wash it out");
  await seesNoBarrier(page);
});

test("4 · reads the verdict with its reasons and what would change it", { tag: "@both" }, async ({ page }) => {
  await page.goto("/");
  await page.getByRole("article", { name: "Glass drum" }).getByRole("link", { name: "Glass drum" }).click();
  await expect(page.getByRole("heading", { name: "Cultured plant extract" })).toBeVisible();
  await expect(page.getByText(/pH still 4\.\d+ after/).first()).toBeVisible();
  await expect(page.getByRole("region", { name: "The batch over time" })).toContainText("pH; the band is ready");
  await seesNoBarrier(page);
});
