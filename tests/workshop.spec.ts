import type { Browser, Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, panel, seesNoBarrier } from "./harness/look";
import { printed } from "./harness/pdf";

test("receives a lot in the farm's own measure, with where it is from; bad days stay at their field", async ({
  page,
}) => {
  await page.goto("/shed");
  await seesNoBarrier(page);
  await fitsTheScreen(page);
  await page.getByRole("button", { name: "Add stock" }).click();
  const receive = panel(page, "Add stock");
  await receive.getByLabel("What").selectOption("Worm castings");
  await receive.getByLabel("How much (kg)").fill("4 scoops");
  await expect(receive.getByText("= 2.59 kg, between 2.48 kg and 2.72 kg")).toBeVisible();
  await receive.getByLabel("How much (kg)").fill("2 gal");
  await expect(receive.getByText(/Which gallon\? US gal makes .* imp gal/)).toBeVisible();
  await receive.getByLabel("How much (kg)").fill("4 scoops");
  await receive.getByLabel("Date received").fill("2031-01-12");
  await receive.getByRole("button", { name: "Add to stock" }).click();
  await expect(receive.getByText("A lot can't come in on a day that has not been.").first()).toBeVisible();
  await receive.getByLabel("Date received").fill("2031-01-10");
  await receive.getByLabel("Use by").fill("2031-01-01");
  await receive.getByRole("button", { name: "Add to stock" }).click();
  await expect(receive.getByText("The use-by date is before the date received.").first()).toBeVisible();
  await expect(receive.getByLabel("How much (kg)")).toHaveValue("4 scoops");
  await receive.getByLabel("Use by").fill("");
  await receive.getByLabel("Place").fill("bay by the gate");
  await receive.getByRole("button", { name: "Add to stock" }).click();
  await expect(receive).toHaveCount(0);
  await page.getByRole("link", { name: /^Worm castings: .* in 3 lots/ }).click();
  await expect(
    panel(page, "Worm castings").getByRole("listitem").filter({ hasText: "2.59 kg of 2.59 kg" }),
  ).toBeVisible();
  await seesNoBarrier(page);
});

async function twoWindows(browser: Browser, url: string): Promise<readonly [Page, Page]> {
  const pages = [await browser.newPage(), await browser.newPage()] as const;
  for (const page of pages) await page.goto(url);
  return pages;
}

test("two windows draw the last of a lot: one has it, the other is told what is left", async ({ browser, baseURL }) => {
  const pages = await twoWindows(browser, `${baseURL}/shed?item=seaweed-extract`);
  const sheets = pages.map((page) => panel(page, /^Seaweed extract: some of it removed/));
  for (const [index, page] of pages.entries()) {
    await page.getByRole("button", { name: /^Went out:/ }).click();
    await sheets[index]!.getByLabel("How much (L)").fill("1.5");
    await sheets[index]!.getByLabel("Why").fill("spilt");
  }
  await Promise.all(sheets.map((sheet) => sheet.getByRole("button", { name: "Remove from stock" }).click()));
  const [one, two] = sheets as [(typeof sheets)[0], (typeof sheets)[0]];
  await expect(async () => expect((await one.count()) + (await two.count())).toBe(1)).toPass();
  const left = (await one.count()) === 1 ? one : two;
  await expect(left.getByText("Only 0 mL are left of this lot.").first()).toBeVisible();
  await expect(left.getByLabel("Why")).toHaveValue("spilt");
  for (const page of pages) await page.close();
});

test("reads a file in: five kinds of wrong are named at their rows, then all of it goes in", async ({ page }) => {
  await page.goto("/shed/files");
  await seesNoBarrier(page);
  await fitsTheScreen(page);
  const choose = (name: string, text: string) =>
    page
      .getByLabel("Or a file", { exact: true })
      .setInputFiles({ name, mimeType: "text/csv", buffer: Buffer.from(text, "latin1") });
  await choose("heads.csv", "thing,much\nMolasses,5");
  await expect(page.getByText(/No column "ingredient", "amount", "unit", "received_on"/)).toBeVisible();
  const bad = [
    "ingredient;amount;unit;received_on;expires_on;note",
    "Honey;2,5;kg;3.1.2031;;from the café",
    "Stardust;1;kg;3.1.2031;;",
    "Honey;lots;kg;3.1.2031;;",
    "Honey;1;kg;13.1.2031;;",
    "Honey;1;kg;3.1.2031;1.1.2031;",
    "Honey;2,5;kg;3.1.2031;;from the café",
    "",
  ].join("\r\n");
  await choose("bad.csv", bad);
  await expect(page.getByRole("status").filter({ hasText: "6 rows" })).toContainText(
    "1 new, 0 changing, 0 there already, 5 wrong",
  );
  await expect(page.getByText("Parted by semicolons, in the Western code page.")).toBeVisible();
  for (const words of [
    'Unknown ingredient: "Stardust".',
    '"lots" is no number.',
    "A lot can't come in on a day that has not been.",
    "The use-by date is before the date received.",
    "The same lot as in line 2.",
  ])
    await expect(page.getByText(words)).toBeVisible();
  await expect(page.getByRole("button", { name: /^Write/ })).toHaveCount(0);
  await seesNoBarrier(page);
  await choose("good.csv", bad.split("\r\n").slice(0, 2).join("\r\n"));
  await page.getByRole("button", { name: "Write 1 row" }).click();
  await expect(page.getByText("1 row written.")).toBeVisible();
  await page.goto("/shed?item=honey");
  await expect(panel(page, "Honey")).toContainText("from the café");
});

test("photographs a place: made small on the phone, kept with the farm, shown beside it", async ({ page }) => {
  await page.goto("/shed/gathering");
  // A picture as large as a phone's, drawn here since none may be fetched.
  const large = await page.evaluate(async () => {
    const canvas = document.createElement("canvas");
    canvas.width = 4000;
    canvas.height = 3000;
    const pen = canvas.getContext("2d")!;
    pen.fillStyle = "#4c7a3d";
    pen.fillRect(0, 0, 4000, 3000);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    return [...new Uint8Array(await blob!.arrayBuffer())];
  });
  const photograph = page.getByLabel("Photograph Alder ditch");
  await photograph.setInputFiles({ name: "words.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByText("This picture could not be read. Is it a photograph?")).toBeVisible();
  await photograph.setInputFiles({ name: "ditch.png", mimeType: "image/png", buffer: Buffer.from(large) });
  await expect(page.getByText("Photo saved.")).toBeVisible();
  const picture = page.getByRole("img", { name: "Alder ditch" });
  await expect(picture).toBeVisible();
  // It stands on the page before it has come in.
  await expect
    .poll(() => picture.evaluate((img: HTMLImageElement) => [img.naturalWidth, img.naturalHeight]))
    .toEqual([1280, 960]);
});

/** How many pages a printer gets, and the size of the first, mm. */
async function sheetsOf(page: Page): Promise<{ pages: number; widthMm: number; heightMm: number }> {
  const sheets = await printed(page);
  return { pages: sheets.length, widthMm: sheets[0]!.widthMm, heightMm: sheets[0]!.heightMm };
}

test("prints labels for every paper, alike for every can, with the code that opens the batch", async ({ page }) => {
  await page.goto("/shed");
  await page.getByRole("button", { name: "Check or pour: Nettle extract" }).click();
  const store = panel(page, "Nettle extract");
  // It has stood a fortnight under its lock, so letting its gas out is what the sheet opens with.
  await store.getByRole("radio", { name: /gas let out/ }).click();
  await expect(store.getByText(/Turned slowly, face away/)).toBeVisible();
  await store.getByRole("radio", { name: "pour" }).click();
  await store.getByLabel("Into how many").fill("3");
  await store.getByLabel("Each takes (L)").fill("1 jerry can");
  await store.getByLabel("What it stands in").selectOption("sealed");
  await store.getByRole("button", { name: "Pour" }).click();
  await expect(store.getByText(/makes gas/).first()).toBeVisible();
  await store.getByLabel("What it stands in").selectOption("vented");
  await store.getByRole("button", { name: "Pour" }).click();
  await expect(store).toHaveCount(0);
  await page.goto("/paper/labels?batch=2");
  await expect(page.getByRole("article", { name: /^Label 2/ })).toHaveCount(4);
  await expect(page.getByRole("article", { name: "Label 2/3" })).toContainText("DO NOT DRINK");
  await expect(
    page.getByRole("article", { name: "Label 2/3" }).getByRole("img", { name: "Opens batch 2" }),
  ).toBeVisible();
  await seesNoBarrier(page);
  expect(await sheetsOf(page)).toEqual({ pages: 1, widthMm: 210, heightMm: 297 });
  // The other papers are read back whole in labels.spec.
  await page.goto("/paper/labels?batch=2&paper=roll-57x32");
  await expect(page.getByRole("article", { name: /^Label 2/ })).toHaveCount(4);
  expect(await sheetsOf(page)).toEqual({ pages: 4, widthMm: 57, heightMm: 32 });
  await page.goto("/paper/labels?batch=2&hand=1");
  await expect(page.getByRole("article", { name: "To copy by marker, No. 2/3" })).toContainText("DO NOT DRINK");
});

test("prints mixing sheet, shopping and picking list as pages", async ({ page }) => {
  await page.goto("/shed/shopping");
  await page.getByRole("listitem").filter({ hasText: "Shell calcium" }).getByRole("link", { name: "Sheet" }).click();
  await expect(page.getByRole("heading", { name: /Shell calcium .* in Pail one/i })).toBeVisible();
  for (const path of [
    page.url(),
    "/paper/shopping",
    "/paper/picking",
    "/paper/round?language=es",
    "/paper/applications",
  ]) {
    await page.goto(path);
    await expect(page.getByRole("button", { name: "Print" })).toBeVisible();
    const { pages, widthMm, heightMm } = await sheetsOf(page);
    expect([widthMm, heightMm]).toEqual([210, 297]);
    expect(pages).toBeGreaterThan(0);
    expect(pages).toBeLessThan(4);
    await seesNoBarrier(page);
  }
});
