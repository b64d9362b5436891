import ICAL from "ical.js";
import Papa from "papaparse";
import { expect, test } from "./harness/farm";
import { hasPages, Phone } from "./harness/phone";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";

/** A search takes its seconds; nothing here waits for more than that. */
const PLANNED_MS = 90_000;

test(
  "the season is planned, a batch moved and planned around, the plan taken, and read in yard, shop and calendar",
  { tag: "@both" },
  async ({ page, request, playwright, baseURL }) => {
    test.setTimeout(300_000);
    await page.goto("/season");
    await seesNoBarrier(page);
    const use = page.getByRole("button", { name: "Use this plan" });
    await page.getByRole("button", { name: "Plan the season" }).click();
    // The page goes on meanwhile: what is beside can be opened and read.
    await page.getByText("Take it along").click();
    await expect(page.getByRole("link", { name: "List as CSV" })).toBeVisible();
    await expect(use).toBeVisible({ timeout: PLANNED_MS });
    const summary = page.getByText(/\d+ of \d+ applications planned/);
    const planned = (await summary.textContent())!;
    expect(Number(/^\d+/.exec(planned)![0])).toBeGreaterThan(20);

    const pod = page.getByRole("button", { name: /: start / }).last();
    await pod.focus();
    await page.keyboard.press("Enter");
    const panel = page.getByRole("region", { name: "Chosen batch" });
    await expect(panel).toBeVisible();
    await page.keyboard.press("PageUp");
    await expect(panel.getByRole("status")).toContainText(/Break/);
    await panel.getByRole("button", { name: "Put it back" }).click();
    await expect(panel.getByRole("button", { name: "Pin it here" })).toBeVisible();
    await panel.getByRole("button", { name: "A day earlier" }).click();
    await panel.getByRole("button", { name: "Plan around it" }).click();
    await expect(use).toBeVisible({ timeout: PLANNED_MS });
    await page.getByRole("button", { name: "Undo" }).click();
    await expect(summary).toHaveText(planned);

    await fitsTheScreen(page);
    await seesNoBarrier(page);
    await use.click();
    await expect(page.getByText("The plan is in use.")).toBeVisible();
    await expect(page.getByText(/In use since/)).toBeVisible();

    const calendar = new ICAL.Component(ICAL.parse(await (await request.get("/api/season/calendar")).text()) as never);
    const events = calendar.getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
    const rows = Papa.parse<Record<string, string>>(await (await request.get("/api/season/list")).text(), {
      header: true,
      skipEmptyLines: true,
    }).data;
    expect(events.length).toBeGreaterThan(10);
    expect(events).toHaveLength(rows.length);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    expect(events.map(({ startDate }) => startDate.toString()).sort()).toEqual(rows.map(({ day }) => day).sort());

    // A calendar program has no sign-in: an address of its own, until it is ended.
    const { value } = (await (
      await request.post("/api/act/newSeasonFeed", { data: { requestKey: crypto.randomUUID() } })
    ).json()) as { value: { token: string } };
    const program = await playwright.request.newContext({
      baseURL: baseURL!,
      storageState: { cookies: [], origins: [] },
    });
    const feed = await program.get(`/api/season/feed/${value.token}?alarms=order`);
    expect(new ICAL.Component(ICAL.parse(await feed.text()) as never).getAllSubcomponents("vevent")).toHaveLength(
      events.length,
    );
    await request.post("/api/act/endSeasonFeed", { data: { requestKey: crypto.randomUUID() } });
    expect((await program.get(`/api/season/feed/${value.token}`)).status()).toBe(401);
    await program.dispose();
    await page.goto("/paper/season");
    await expect(page.getByRole("heading", { name: "Five weeks" })).toBeVisible();

    await page.goto("/shed/shopping");
    const [soon] = rows.filter(({ what }) => what === "start");
    await expect(page.getByText(soon!.where!).first()).toBeVisible();
  },
);

test("a device that keeps pages plans the season too, with a signal and without", async ({
  baseURL,
  launchOptions,
  viewport,
  hasTouch,
}) => {
  test.setTimeout(240_000);
  const phone = new Phone({ ...launchOptions, baseURL: baseURL!, viewport, hasTouch, serviceWorkers: "allow" });
  try {
    const page = await phone.open();
    await page.goto("/");
    await hasPages(page, ["/"]);
    await page.goto("/season");
    await hasPages(page, ["/season"]);
    const use = page.getByRole("button", { name: "Use this plan" });
    await page.getByRole("button", { name: "Plan the season" }).click();
    await page.getByRole("button", { name: "Stop and keep" }).click();
    await expect(use).toBeVisible({ timeout: PLANNED_MS });
    await phone.signal(false);
    await page.goto("/season");
    await page.getByRole("button", { name: "Plan the season" }).click();
    await page.getByRole("button", { name: "Stop and keep" }).click();
    await expect(use).toBeVisible({ timeout: PLANNED_MS });
  } finally {
    await phone.end();
  }
});

test("hours that are not there go unmet with their reason, and are said in the plan @both", async ({ page }) => {
  test.setTimeout(240_000);
  await page.goto("/season");
  await page.getByRole("button", { name: "Hours and cans" }).click();
  const sheet = page.getByRole("dialog", { name: "Hours and cans" });
  await sheet.getByLabel("Plan ahead (weeks)").fill("100");
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(sheet.getByLabel("Plan ahead (weeks)")).toHaveAttribute("aria-invalid", "true");
  await sheet.getByLabel("Plan ahead (weeks)").fill("12");
  await sheet.getByLabel("Hours a week", { exact: true }).fill("0.5");
  await sheet.getByRole("button", { name: "Save" }).click();
  await expect(sheet).toBeHidden();
  // The page is read anew with the hours that were just said.
  await expect(page.getByRole("heading", { level: 1 })).toContainText("to 30 Mar");
  await page.getByRole("button", { name: "Plan the season" }).click();
  await page.getByRole("button", { name: "Stop and keep" }).click();
  await expect(page.getByRole("region", { name: "Left out by this plan" })).toContainText("not enough hours", {
    timeout: PLANNED_MS,
  });
});
