import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { expect, test, type Page } from "@playwright/test";
import { freePort } from "./harness/freePort";
import { typed } from "./harness/typed";

const home = mkdtempSync(path.join(existsSync("/dev/shm") ? "/dev/shm" : tmpdir(), "ruchka-"));
const PASSPHRASE = "a dozen green pails";

type Ports = readonly [web: number, database: number];
const run = (folder: string, [web, database]: Ports, command: string, ...args: readonly string[]): string =>
  typed(command, args, {
    RUCHKA_DATA: path.join(home, folder),
    RUCHKA_PORT: String(web),
    RUCHKA_DB_PORT: String(database),
  });
async function addPail(page: Page, address: string, name: string): Promise<void> {
  const answer = await page.request.post(`${address}/api/act/addVessel`, {
    data: { requestKey: crypto.randomUUID(), name, kind: "pail", volumeL: 10 },
  });
  expect(answer.status()).toBe(200);
}

test("a farm that keeps a log is had back as it was between one entry and the next", async ({ page }) => {
  test.setTimeout(240_000);
  const ports = [await freePort(), await freePort()] as const;
  const address = `http://127.0.0.1:${ports[0]}`;
  try {
    run("before", ports, "start", "--log");
    await page.goto(address);
    await page.getByLabel("Name of the farm").fill("Far field");
    await page.getByLabel("Your name").fill("Ana");
    await page.getByLabel("New passphrase").fill(PASSPHRASE);
    await page.getByRole("button", { name: "Set up farm" }).click();
    await expect(page.getByRole("button", { name: "Ana is signed in" })).toBeVisible();
    run("before", ports, "backup", path.join(home, "night.tar.gz"));
    await addPail(page, address, "Good pail");
    // The log knows seconds.
    await page.waitForTimeout(2_100);
    const moment = new Date().toISOString().slice(0, 19).replace("T", " ");
    await page.waitForTimeout(2_100);
    await addPail(page, address, "Wrong pail");
    run("before", ports, "stop");
    run(
      "after",
      ports,
      "restore",
      path.join(home, "night.tar.gz"),
      "--log",
      path.join(home, "before/log"),
      "--until",
      moment,
    );
    run("after", ports, "start");
    await page.goto(address);
    await expect(page.getByRole("article", { name: "Good pail" })).toBeVisible();
    await expect(page.getByRole("article", { name: "Wrong pail" })).toHaveCount(0);
  } finally {
    run("before", ports, "stop");
    run("after", ports, "stop");
    rmSync(home, { recursive: true, force: true });
  }
});
