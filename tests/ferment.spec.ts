import type { Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, panel, seesNoBarrier } from "./harness/look";

test.use({ farmKind: "ferment" });

/** As tests/farms/fermentFarm.ts gave it to the probe. */
const TOKEN = "fermenting-farm-probe-token-0123456789abcdef";
const NOW_MS = Date.parse("2031-01-11T02:10:00Z");

const openBatch = async (page: Page, vessel: string) => {
  await page.goto("/");
  await page.getByRole("article", { name: vessel }).getByRole("link", { name: vessel }).click();
  await expect(page.getByRole("heading", { name: "Stages and care" })).toBeVisible();
};
const logIn = async (page: Page) => {
  await page.getByRole("button", { name: /^Log/ }).first().click();
  return page.getByRole("dialog");
};
const closed = async (page: Page) => {
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
};

test("stuck in the cold, asked what warmth would do, and rescued by a heater", async ({ page }) => {
  await openBatch(page, "Cold pail");
  await expect(page.getByText("Stuck", { exact: true })).toBeVisible();
  await expect(page.getByText(/over the last 24 h: too cold/)).toBeVisible();
  await expect(page.getByText("Ready date unknown.")).toBeVisible();
  await page.getByRole("button", { name: "What if" }).click();
  const asked = panel(page, /what if/);
  await expect(asked.getByText("That would bring it in.")).toBeVisible();
  await expect(asked.getByRole("img", { name: /^With the change: opens/ })).toBeVisible();
  await asked.getByRole("radio", { name: "a heater in it" }).click();
  await expect(asked.getByText("That would bring it in.")).toBeVisible();
  await seesNoBarrier(page);
  await closed(page);
  const log = await logIn(page);
  await log.getByText("Place, heat, power, lid").click();
  await log.getByRole("spinbutton", { name: "Place or thermostat" }).fill("24");
  await log.getByRole("button", { name: "Heater on at 24 °C" }).click();
  await expect(log.getByText(/Too early|Nearly/).first()).toBeVisible();
  await closed(page);
  await expect(page.getByText("Ready date unknown.")).toHaveCount(0);
  await expect(page.getByRole("region", { name: "Log" })).toContainText("Heater on, 24 °C");
});

test("peaks tonight: the window, the hours fit for it, and the head that says now", async ({ page }) => {
  await openBatch(page, "Warm pail");
  await expect(page.getByText("Almost ready", { exact: true })).toBeVisible();
  await expect(
    page
      .locator("dl")
      .filter({ hasText: "Best" })
      .getByText(/today|tomorrow/)
      .first(),
  ).toBeVisible();
  await expect(page.getByText(/Best next check: check the foam/)).toBeVisible();
  const log = await logIn(page);
  await log.getByRole("button", { name: /^full head/ }).click();
  await expect(log.getByText(/Best now|Ready/).first()).toBeVisible();
  await closed(page);
  await expect(page.getByText("Use it as the recipe says.")).toBeVisible();
  await page.goto("/");
  await expect(page.getByRole("region", { name: "Today’s jobs" })).toContainText(
    /Good until about .*(good time to apply before then: |No good time to apply before then)/,
  );
});

test("spoils: held on one bad look, which two taps don’t make two, thrown away on a second", async ({ page }) => {
  await openBatch(page, "Sour drum");
  const log = await logIn(page);
  await log.getByLabel("When").selectOption({ label: "2 h ago" });
  await log.getByRole("button", { name: /^putrid/ }).click();
  await expect(log.getByText("On hold", { exact: true })).toBeVisible();
  await expect(log.getByText(/Do not use it yet/)).toBeVisible();
  await log.getByLabel("When").selectOption({ label: "2 h ago" });
  await log.getByRole("button", { name: /^sulphur/ }).click();
  await expect(log.getByText(/Smells sulphur/)).toBeVisible();
  await expect(log.getByText("On hold", { exact: true })).toBeVisible();
  await log.getByLabel("When").selectOption({ label: "just now" });
  await log.getByRole("button", { name: /^putrid/ }).click();
  await closed(page);
  await expect(page.getByText("Hot compost, away from water. Never on a crop.")).toBeVisible();
  await expect(page.getByText("Failed", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Strain or throw away" }).click();
  const close = page.getByRole("dialog");
  await expect(close).toContainText(/not for crops|thrown away|Throw/);
});

test("a probe that fell silent, posts again over HTTP, and what can't be is kept apart", async ({ page, request }) => {
  await page.goto("/shed/probes");
  await expect(page.getByText(/Nothing since/)).toBeVisible();
  await openBatch(page, "Probe drum");
  await expect(page.getByText("Temperature: usual for this time of year. Nothing measures it now.")).toBeVisible();
  const post = (readings: object[], token = TOKEN) =>
    request.post("/api/readings", { headers: { authorization: `Bearer ${token}` }, data: { readings } });
  const ago = (hours: number) => new Date(NOW_MS - hours * 3_600_000).toISOString();
  const hours = [3, 2, 1].map((back) => ({ at: ago(back), quantity: "liquid", value: 17.5 }));
  expect((await post(hours, "x".repeat(40))).status()).toBe(401);
  expect(await (await post(hours)).json()).toEqual({ ok: true, value: { taken: 3, known: 0, setAside: [] } });
  expect(await (await post(hours)).json()).toEqual({ ok: true, value: { taken: 0, known: 3, setAside: [] } });
  const absurd = await (await post([{ at: ago(0.5), quantity: "liquid", value: 90 }])).json();
  expect(absurd.value.setAside[0].code).toBe("impossible");
  expect((await post([{ at: "noon", quantity: "liquid", value: 1 }])).status()).toBe(400);
  await page.reload();
  await expect(page.getByText("Liquid temperature: measured.")).toBeVisible();
  await page.goto("/shed/probes");
  await expect(page.getByText(/Nothing since/)).toHaveCount(0);
  await page.getByText("1 not used").click();
  await expect(page.getByText("liquid 90 °C: this cannot be")).toBeVisible();
  await seesNoBarrier(page);
});

test("a power cut: the round asks for it at once, one touch and it is back", async ({ page }) => {
  await openBatch(page, "Tea drum");
  const log = await logIn(page);
  await log.getByText("Place, heat, power, lid").click();
  await log.getByRole("button", { name: "Power went off" }).click();
  await expect(log.getByText(/Air off for/)).toBeVisible();
  await closed(page);
  await page.goto("/");
  const round = page.getByRole("region", { name: "Today’s jobs" });
  await round.getByRole("button", { name: /Tea drum: the power is off; start it again/ }).click();
  await expect(page.getByText(/the power is off; start it again. Done/)).toBeVisible();
  await expect(round.getByRole("button", { name: /the power is off/ })).toHaveCount(0);
});

test("a logger's file is looked at, with its gaps, and read in; a device of one's own gets its token", async ({
  page,
}) => {
  await page.goto("/shed/probes");
  await page.getByRole("button", { name: "Import logger file" }).click();
  const sheet = page.getByRole("dialog");
  const line = (day: number, hour: number) => `0${day}.01.2031 ${String(hour).padStart(2, "0")}:00;${14 + hour / 10}`;
  const lines = [...Array(10).keys()]
    .map((hour) => line(8, hour))
    .concat([...Array(10).keys()].map((hour) => line(9, hour)));
  await sheet.getByLabel("The file, as the logger gave it").setInputFiles({
    name: "pen.csv",
    mimeType: "text/csv",
    buffer: Buffer.from(`Made by a logger\nTime;Water °C\n${lines.join("\n")}\n`),
  });
  await expect(sheet.getByText(/1 gap of more than six hours/)).toBeVisible();
  await sheet.getByLabel("It hung in").selectOption({ label: "Cold pail" });
  await sheet.getByLabel("The logger’s name").fill("Pen logger");
  await sheet.getByRole("button", { name: "Import file" }).click();
  await expect(page.getByText("20 figures taken.")).toBeVisible();
  await page.getByRole("button", { name: "Add sensor" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Add sensor and show its key" }).click();
  await expect(page.getByRole("dialog").getByRole("alert").first()).toBeVisible();
  await page.getByRole("dialog").getByLabel("Its name").fill("Second probe");
  await page.getByRole("dialog").getByLabel("It hangs in").selectOption({ label: "Tea drum" });
  await page.getByRole("dialog").getByRole("button", { name: "Add sensor and show its key" }).click();
  await expect(page.locator("[data-token]")).toHaveText(/^[A-Za-z0-9_-]{40}$/);
});

test("a photograph, made small, stands with the drawn looks; tasks are shared out", async ({ page }) => {
  await openBatch(page, "Warm pail");
  const looks = page.getByRole("region", { name: "Photos" });
  await expect(looks.getByRole("img", { name: "full: the head covers it" })).toBeVisible();
  const png = await page.evaluate(async () => {
    const canvas = document.createElement("canvas");
    canvas.width = 2000;
    canvas.height = 1500;
    canvas.getContext("2d")!.fillRect(0, 0, 900, 900);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    return [...new Uint8Array(await blob!.arrayBuffer())];
  });
  const photograph = looks.getByLabel("A photograph of it");
  await photograph.setInputFiles({ name: "words.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByText(/This picture could not be read/)).toBeVisible();
  await photograph.setInputFiles({ name: "foam.png", mimeType: "image/png", buffer: Buffer.from(png) });
  await expect(looks.getByRole("listitem")).toContainText("by Ana");
  const picture = looks.getByRole("listitem").getByRole("img");
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1280);
  const tending = page.getByRole("region", { name: "Stages and care" });
  await tending
    .getByRole("button", { name: /^Who does it/ })
    .first()
    .click();
  await tending.getByRole("radio", { name: "Ben" }).click();
  await tending.getByRole("radio", { name: "evening" }).click();
  await tending.getByRole("button", { name: "Save" }).click();
  await expect(tending).toContainText("Ben, evening");
});

test("all of it fits a phone", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const vessel of ["Cold pail", "Sour drum"]) {
    await openBatch(page, vessel);
    await fitsTheScreen(page);
    await seesNoBarrier(page);
  }
  await page.goto("/shed/probes");
  await fitsTheScreen(page);
  await seesNoBarrier(page);
});
