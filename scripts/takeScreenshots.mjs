/**
 * Takes the README's pictures anew from a demo that runs, and from a farm that is set up and still empty:
 * `node scripts/takeScreenshots.mjs http://127.0.0.1:3000 docs/screenshots http://127.0.0.1:3100`.
 * Each names what must be seen on it, so that no picture of an error page is kept.
 */
import path from "node:path";
import { chromium } from "@playwright/test";

const [base = "http://127.0.0.1:3000", folder = "docs/screenshots", empty = null] = process.argv.slice(2);
const LAPTOP = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const button = (name) => (page) => page.getByRole("button", { name }).first().click();
/** Until the season is planned: its seconds of search. */
const planned = (page) => page.getByRole("button", { name: "Use this plan" }).waitFor({ timeout: 60_000 });
const link = (name) => (page) => page.getByRole("link", { name }).first().click();

/** What each picture shows: its page, what is done there first, and words that stand on it. */
const PICTURES = [
  { name: "yard", at: "/", sees: "The yard" },
  {
    name: "yard-phone",
    at: "/",
    size: PHONE,
    does: [
      (page) => page.getByRole("heading", { name: "Good times to apply" }).scrollIntoViewIfNeeded(),
      (page) => page.mouse.wheel(0, 330),
    ],
    sees: "The yard",
  },
  { name: "round-phone", at: "/", size: PHONE, sees: "Today’s jobs" },
  { name: "batch", at: "/", does: [link("Blue drum")], sees: "What you can do with it" },
  { name: "fill", at: "/", does: [button("Fill Pail one")], sees: "Filling steps" },
  { name: "log-phone", at: "/", size: PHONE, does: [button("Log Air drum")], sees: "Smell" },
  {
    name: "practice",
    at: "/practice/drum/juice-31",
    does: ["3 days", "1 day", "Smell it", "Lift the lid", "Look at the solids"].map(button),
    sees: "What you saw",
  },
  { name: "method", at: "/book/aerated-tea", sees: "Making it" },
  { name: "people", at: "/farm/access", sees: "What each role may do" },
  { name: "shed", at: "/shed", sees: "Ready to use" },
  { name: "trial", at: "/field/trials/1", sees: "What may be said" },
  { name: "farm", at: "/farm", sees: "Time zone" },
  { name: "first-drum-phone", at: "/", size: PHONE, on: empty, sees: "Your first drum" },
  { name: "sign-in-phone", at: "/", size: PHONE, isOutside: true, sees: "Sign in to work here" },
  {
    name: "field",
    at: "/field",
    does: [
      async (page) => {
        for (const bed of [1, 2, 3, 4, 6, 8, 9, 12, 16])
          await page.getByRole("button", { name: `Bed ${bed},` }).click();
        await page.getByLabel("Dilution", { exact: true }).fill("1:4");
        await page.getByLabel(/^Mix/).fill("4");
      },
    ],
    sees: "Dilution",
  },
  { name: "ledger", at: "/ledger", sees: "Cost of each batch" },
  { name: "season", at: "/season", does: [button("Plan the season"), planned], sees: "applications planned" },
  {
    name: "season-phone",
    at: "/season",
    size: PHONE,
    does: [button("Plan the season"), planned],
    sees: "This week",
  },
  // Last, as it begins a fill.
  {
    name: "mix-phone",
    at: "/",
    size: PHONE,
    does: [
      button("Fill Jar"),
      (page) => page.getByLabel(/^Water for the brew/).selectOption({ index: 1 }),
      (page) => page.getByLabel("picked just now").check(),
      (page) => page.getByLabel("Which plants").fill("nettle"),
      button("Fill step by step"),
      (page) => page.waitForURL("**/mix/**"),
    ],
    sees: "Place",
  },
];

const MAREN = { name: "Maren", passphrase: "nettles in the rain" };
/** Who set up the empty farm. */
const ANA = { name: "Ana", passphrase: "a dozen green pails" };

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium-headless-shell",
  args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
});
let failed = 0;
for (const { name, at, size = LAPTOP, does = [], sees, on = base, isOutside = false } of PICTURES) {
  if (on === null) continue;
  const page = await browser.newPage({ viewport: size });
  try {
    // As a steward.
    if (!isOutside)
      await page.request.post(`${on}/api/act/signIn`, {
        data: { requestKey: crypto.randomUUID(), ...(on === base ? MAREN : ANA) },
      });
    await page.goto(on + at, { waitUntil: "networkidle" });
    for (const act of does) await act(page);
    await page.getByText(sees).first().waitFor({ timeout: 10_000 });
    await page.waitForTimeout(500);
    await page.screenshot({ path: path.join(folder, `${name}.png`) });
  } catch (error) {
    failed += 1;
    console.error(`${name}: ${String(error).split("\n")[0]}`);
  }
  await page.close();
}
await browser.close();
console.log(`${PICTURES.length - failed} pictures taken, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
