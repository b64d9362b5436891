import type { Locator, Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { WALK_PASSPHRASE } from "./harness/signedIn";

test.use({ farmKind: "new" });

/** What the shortest way from an empty farm to a full drum asks of a hand. */
class Hand {
  taps = 0;
  fields = 0;
  characters = 0;
  readonly screens = new Set<string>();
  constructor(private readonly page: Page) {}

  async tap(target: Locator): Promise<void> {
    await target.click();
    this.taps += 1;
  }
  async type(field: Locator, text: string): Promise<void> {
    await field.fill(text);
    this.fields += 1;
    this.characters += text.length;
  }
  async isOn(screen: string, sign: Locator): Promise<void> {
    await expect(sign).toBeVisible();
    this.screens.add(screen);
  }
  get isNarrow(): boolean {
    return this.page.viewportSize()!.width < 768;
  }
}

const UNITS = [
  { name: "litres", timeZone: "Europe/Vienna", locale: "en-GB", vessel: "200 L", said: "I have a 200 L drum" },
  {
    name: "gallons",
    timeZone: "America/Chicago",
    locale: "en-US",
    vessel: "55 US gal",
    said: "I have a 55 US gal drum",
  },
] as const;

for (const { name, timeZone, locale, vessel, said } of UNITS)
  test.describe(`in ${name}`, () => {
    test.use({ timezoneId: timeZone, locale });

    test(`an empty farm fills its first drum in ${name}, by few taps, two names and a passphrase @both`, async ({
      page,
    }) => {
      const hand = new Hand(page);
      await page.goto("/");
      await hand.isOn("set-up", page.getByRole("heading", { name: "Set up your farm" }));
      await hand.type(page.getByLabel("Name of the farm"), "Own field");
      await hand.type(page.getByLabel("Your name"), "Ana");
      await hand.type(page.getByLabel("New passphrase"), WALK_PASSPHRASE);
      await hand.tap(page.getByRole("button", { name: "Set up farm" }));
      await hand.isOn("first drum", page.getByText("Your first drum"));
      await expect(page.getByRole("radio", { name: /^Drum/ })).toContainText(vessel);
      await hand.tap(page.getByRole("radio", { name: /^Drum/ }));
      await hand.tap(page.getByRole("radio", { name: "Food or drink" }));
      if (hand.isNarrow) await hand.tap(page.getByRole("button", { name: "Next: what is at hand" }));
      await hand.tap(page.getByRole("checkbox", { name: "Nettles" }));
      await hand.tap(page.getByRole("checkbox", { name: "Live leaf mould" }));
      if (hand.isNarrow) await hand.tap(page.getByRole("button", { name: "Next: make leaf soak" }));
      await hand.tap(page.getByRole("radio", { name: "Rain water" }));
      await expect(page.getByRole("heading", { level: 1 })).toContainText(said);
      await hand.tap(page.getByRole("button", { name: "Start it today" }));
      await hand.isOn("yard", page.getByRole("article", { name: "Drum" }));
      await expect(page.getByRole("article", { name: "Drum" })).toContainText("Leaf soak");
      process.stdout.write(
        `first drum in ${name} at ${page.viewportSize()!.width}: ${hand.taps} taps, ${hand.fields} fields, ${hand.screens.size} screens, ${hand.characters} characters\n`,
      );
      expect(hand.taps).toBeLessThanOrEqual(18);
      expect(hand.fields).toBeLessThanOrEqual(6);
      expect(hand.screens.size).toBeLessThanOrEqual(3);
    });
  });

test("nothing that was touched is lost, and what is missing is said where the thumb is @both", async ({ page }) => {
  await page.goto("/");
  await page.getByLabel("Name of the farm").fill("Own field");
  await page.getByLabel("Your name").fill("Ana");
  await page.getByLabel("New passphrase").fill(WALK_PASSPHRASE);
  await page.getByRole("button", { name: "Set up farm" }).click();
  const isNarrow = page.viewportSize()!.width < 768;
  await page.getByRole("radio", { name: /^Bucket/ }).click();
  // Asked for on without an answer: it is said, and nothing is gone.
  if (isNarrow) await page.getByRole("button", { name: "Next: what is at hand" }).click();
  else await page.getByRole("button", { name: "Start it today" }).click();
  await expect(page.getByText("Say what was in the vessel before.")).toBeVisible();
  await page.getByRole("radio", { name: "Fuel, paint, spray, or not sure" }).click();
  await expect(page.getByText("Do not use this vessel.")).toBeVisible();
  await page.getByRole("radio", { name: "Nothing, it is new" }).click();
  if (isNarrow) await page.getByRole("button", { name: "Next: what is at hand" }).click();
  await page.getByRole("checkbox", { name: "Worm castings" }).click();
  await page.reload();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("bucket and worm castings");
  await page.getByRole("radio", { name: /Aerated castings tea/i }).click();
  if (isNarrow) {
    await page.getByRole("button", { name: "Next: make castings tea" }).click();
    // Back goes back one view, not away.
    await page.goBack();
    await expect(page.getByRole("heading", { name: "What is at hand?" })).toBeVisible();
    await page.getByRole("button", { name: "Next: make castings tea" }).click();
  }
  await expect(page.getByText("Molasses is missing")).toBeVisible();
  await page.getByRole("button", { name: "I have it" }).click();
  await page.getByRole("button", { name: "I have one" }).click();
  await page.getByRole("button", { name: "Have more of it, or know the price?" }).first().click();
  await page.getByLabel(/^It cost/).fill("dear");
  await page.getByRole("radio", { name: "Tap water" }).click();
  await page.getByRole("button", { name: "Start it today" }).click();
  await expect(page.getByText("Say how you treated the tap water.")).toBeVisible();
  await page.getByRole("radio", { name: /vitamin C/ }).click();
  await page.getByRole("button", { name: "Start it today" }).click();
  await expect(page.getByLabel(/^It cost/)).toHaveAttribute("aria-invalid", "true");
  await page.getByLabel(/^It cost/).fill("2");
  await page.getByRole("button", { name: "Start it today" }).click();
  await expect(page.getByRole("article", { name: "Bucket" })).toContainText("Castings tea");
});
