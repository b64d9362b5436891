import type { Browser, Page } from "@playwright/test";
import { expect, test } from "./harness/farm";
import { seesNoBarrier } from "./harness/look";

const NOBODY = { cookies: [], origins: [] };

/** A phone on which nobody is signed in. */
async function phone(browser: Browser, baseURL: string): Promise<Page> {
  const context = await browser.newContext({
    baseURL,
    storageState: NOBODY,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    serviceWorkers: "block",
  });
  return context.newPage();
}
const signIn = async (page: Page, name: string, passphrase: string) => {
  await page.getByLabel("Your name").fill(name);
  await page.getByLabel("Passphrase").fill(passphrase);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
};

test("somebody new is invited, comes in on a phone, is refused what they may not, loses it, and is signed out everywhere", async ({
  page,
  browser,
  baseURL,
}) => {
  await page.goto("/farm/person");
  await page.getByRole("button", { name: "Add person" }).click();
  await page.getByRole("dialog").getByLabel("Name", { exact: true }).fill("Rosa");
  await page.getByRole("dialog").getByRole("button", { name: "Add person" }).click();
  await expect(page.getByText("Rosa added.")).toBeVisible();
  await page.goto("/farm/access");
  await seesNoBarrier(page);
  await page.getByRole("listitem").filter({ hasText: "Rosa" }).getByRole("button", { name: "Invite" }).click();
  await page.getByRole("button", { name: "Make an invitation" }).click();
  const link = (await page.getByText(/#join=/).textContent())!;
  await seesNoBarrier(page);
  await page.keyboard.press("Escape");

  const theirs = await phone(browser, baseURL!);
  await theirs.goto(link.trim());
  await expect(theirs.getByText("You are invited.")).toBeVisible();
  await theirs.getByLabel("New passphrase").fill("short");
  await theirs.getByRole("button", { name: "Set it and come in" }).click();
  await expect(theirs.getByText("Use at least 12 letters").first()).toBeVisible();
  await seesNoBarrier(theirs);
  await theirs.getByLabel("New passphrase").fill("leeks along the wall");
  await theirs.getByRole("button", { name: "Set it and come in" }).click();
  await expect(theirs.getByRole("button", { name: "Rosa is signed in" })).toBeVisible();

  // A helper logs; straining is a grower's.
  await theirs.goto("/batches/5");
  await theirs.getByRole("button", { name: "Strain or throw away" }).click();
  await theirs.getByRole("radio", { name: /^Thrown away/ }).click();
  await theirs.getByRole("button", { name: "Throw away batch" }).click();
  await expect(theirs.getByText("A helper may not do this. Ask a grower.").first()).toBeVisible();
  await theirs.goto("/ledger");
  await expect(theirs.getByText("A helper may not look at this. Ask a grower.")).toBeVisible();

  // The phone is lost.
  await page.reload();
  await page
    .getByRole("listitem")
    .filter({ hasText: "Rosa" })
    .getByRole("button", { name: "Sign out everywhere" })
    .click();
  await expect(page.getByText("Rosa is signed out everywhere.")).toBeVisible();
  await theirs.goto("/");
  await expect(theirs.getByText("Sign in to work here.")).toBeVisible();
  await signIn(theirs, "Rosa", "not the one");
  await expect(theirs.getByText("Name and passphrase do not fit together.").first()).toBeVisible();
  await signIn(theirs, "rosa", "leeks along the wall");
  await expect(theirs.getByRole("article", { name: "Blue drum" })).toBeVisible();
  await page.goto("/farm/access");
  await expect(page.getByRole("listitem").filter({ hasText: "wrong name or passphrase" }).first()).toBeVisible();
});

test("a phone of the yard goes from hand to hand by PIN, and locks", async ({ browser, baseURL }) => {
  const yard = await phone(browser, baseURL!);
  await yard.goto("/");
  await yard.getByRole("button", { name: "Odo, grower" }).or(yard.getByLabel("Your name")).first().waitFor();
  await seesNoBarrier(yard);
  await signIn(yard, "Odo", "castings and straw");
  await expect(yard.getByRole("button", { name: "Odo is signed in" })).toBeVisible();
  await yard.goto("/farm/access");
  await yard.getByRole("button", { name: "Make this phone the yard’s" }).click();
  await yard.getByRole("button", { name: "Odo is signed in" }).click();
  await yard.getByRole("menuitem", { name: "Lock, or somebody else" }).click();
  await expect(yard.getByText("This phone is shared. Who is it?")).toBeVisible();
  await seesNoBarrier(yard);
  await yard.getByRole("button", { name: "Pilar" }).click();
  await yard.getByLabel("PIN of Pilar").fill("9999");
  await yard.getByRole("button", { name: "Open" }).click();
  await expect(yard.getByText("4 more tries").first()).toBeVisible();
  await yard.getByLabel("PIN of Pilar").fill("6293");
  await yard.getByRole("button", { name: "Open" }).click();
  await expect(yard.getByRole("button", { name: "Pilar is signed in" })).toBeVisible();
  // What she writes is hers.
  await yard.goto("/batches/5");
  await yard.getByRole("button", { name: /^Log/ }).first().click();
  await yard.getByRole("button", { name: /^cidery/ }).click();
  await expect(yard.getByText("Blue drum: smell: cidery.")).toBeVisible();
  await yard.goto("/batches/5");
  await expect(yard.getByText("by Pilar").first()).toBeVisible();
  await yard.getByRole("button", { name: "Pilar is signed in" }).click();
  await yard.getByRole("menuitem", { name: "Sign out" }).click();
  await expect(yard.getByText("Sign in to work here.")).toBeVisible();
});

test("a secret of one's own is changed by the passphrase that holds", async ({ browser, baseURL }) => {
  const own = await phone(browser, baseURL!);
  await own.goto("/");
  await signIn(own, "Maren", "nettles in the rain");
  await expect(own.getByRole("button", { name: "Maren is signed in" })).toBeVisible();
  await own.goto("/farm/access");
  await own.getByRole("button", { name: "Change passphrase" }).click();
  const panel = own.getByRole("dialog");
  await panel.getByLabel("Passphrase now").fill("something else");
  await panel.getByLabel("New passphrase").fill("rain upon the nettles");
  await panel.getByRole("button", { name: "Change passphrase" }).click();
  await expect(panel.getByText("This is not your passphrase.").first()).toBeVisible();
  await panel.getByLabel("Passphrase now").fill("nettles in the rain");
  await panel.getByRole("button", { name: "Change passphrase" }).click();
  await expect(panel).toHaveCount(0);
  await expect(own.getByText("Your passphrase is changed.")).toBeVisible();
});

test("a passkey of one’s own opens the farm without a passphrase, until it is removed", async ({
  browser,
  baseURL,
}) => {
  // Browsers make passkeys for a name, not for a bare address.
  const farm = baseURL!.replace("127.0.0.1", "localhost");
  const own = await phone(browser, farm);
  const cdp = await own.context().newCDPSession(own);
  await cdp.send("WebAuthn.enable");
  await cdp.send("WebAuthn.addVirtualAuthenticator", {
    options: {
      protocol: "ctap2",
      transport: "internal",
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await own.goto(`${farm}/`);
  await signIn(own, "Odo", "castings and straw");
  await expect(own.getByRole("button", { name: "Odo is signed in" })).toBeVisible();
  await own.goto(`${farm}/farm/access`);
  await own.getByRole("button", { name: "Add a passkey on this device" }).click();
  await expect(own.getByText("This device has a passkey now.")).toBeVisible();
  await seesNoBarrier(own);
  const signOut = async () => {
    await own.getByRole("button", { name: "Odo is signed in" }).click();
    await own.getByRole("menuitem", { name: "Sign out" }).click();
    await expect(own.getByText("Sign in to work here.")).toBeVisible();
  };
  await signOut();
  await own.getByRole("button", { name: "Sign in with a passkey" }).click();
  await expect(own.getByRole("button", { name: "Odo is signed in" })).toBeVisible();
  await own.goto(`${farm}/farm/access`);
  await own.getByRole("button", { name: /^Remove the passkey of / }).click();
  await expect(own.getByText("That passkey opens nothing any more.")).toBeVisible();
  await signOut();
  await own.getByRole("button", { name: "Sign in with a passkey" }).click();
  await expect(own.getByText("This passkey opens nothing here.").first()).toBeVisible();
});
