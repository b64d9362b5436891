import { existsSync, mkdtempSync, readFileSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createConnection, type RowDataPacket } from "mysql2/promise";
import { expect, test, type Browser, type Page } from "@playwright/test";
import { freePort } from "./harness/freePort";
import { typed } from "./harness/typed";

/** The commands that a person types, with the folder and the ports of this walk. */
class Machine {
  private constructor(
    readonly folder: string,
    readonly port: number,
    private readonly firstPort: number,
  ) {}
  static async make(): Promise<Machine> {
    const folder = mkdtempSync(path.join(existsSync("/dev/shm") ? "/dev/shm" : tmpdir(), "ruchka-"));
    return new Machine(folder, await freePort(), 20_000 + Math.floor(Math.random() * 5_000));
  }
  run(command: string, ...args: readonly string[]): string {
    return typed(command, args, {
      RUCHKA_FARMS: this.folder,
      RUCHKA_PORT: String(this.port),
      RUCHKA_FARMS_FIRST_PORT: String(this.firstPort),
    });
  }
  farms = (...args: readonly string[]): string => this.run("farms", ...args);
  address = (name: string): string => `http://${name}.localhost:${this.port}`;
  file = (...parts: readonly string[]): string => path.join(this.folder, ...parts);
  /** A connection as the web server of a farm has it, to the database of a farm. */
  connect = (of: string, to: string) =>
    createConnection({
      host: "127.0.0.1",
      port: Number(readFileSync(this.file(to, "db", "port"), "utf8")),
      user: "ruchka_web",
      password: readFileSync(this.file(of, "web-password"), "utf8"),
      database: "ruchka",
    });
  async temporaryFolder(name: string): Promise<unknown> {
    const connection = await this.connect(name, name);
    const [rows] = await connection.query<RowDataPacket[]>("select @@tmpdir as folder");
    await connection.end();
    return rows[0]?.folder;
  }
  end(): void {
    this.farms("stop");
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const PASSPHRASE = "a dozen green pails";
async function setUp(page: Page, address: string, name: string): Promise<void> {
  await page.goto(address);
  await page.getByLabel("Name of the farm").fill(name);
  await page.getByLabel("Your name").fill("Ana");
  await page.getByLabel("New passphrase").fill(PASSPHRASE);
  await page.getByRole("button", { name: "Set up farm" }).click();
  await expect(page.getByRole("button", { name: "Ana is signed in" })).toBeVisible();
}
async function signIn(browser: Browser, address: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await page.goto(address);
  await page.getByLabel("Your name").fill("Ana");
  await page.getByLabel("Passphrase", { exact: true }).fill(PASSPHRASE);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(page.getByRole("button", { name: "Ana is signed in" })).toBeVisible();
  return page;
}

test("two farms on one machine know nothing of each other, and one that is lost comes back from its backup", async ({
  browser,
  page,
}) => {
  const machine = await Machine.make();
  try {
    machine.farms("make", "north");
    machine.farms("make", "south");
    machine.farms("start");
    expect(machine.farms("list")).toMatch(/north: runs[\s\S]*south: runs/);
    await setUp(page, machine.address("north"), "North field");
    const other = await (await browser.newContext()).newPage();
    await setUp(other, machine.address("south"), "South field");

    // Whoever is in at one is not in at the other, with the very token of it.
    const [token] = (await page.context().cookies()).filter(({ name }) => name.startsWith("ruchka-"));
    const stranger = await browser.newContext();
    await stranger.addCookies([{ ...token!, domain: "south.localhost" }]);
    const seen = await stranger.newPage();
    await seen.goto(machine.address("south"));
    await expect(seen.getByText("Sign in to work here.")).toBeVisible();
    // The same key written at both is two writes, each at its own farm; what one shows, the other does not.
    const requestKey = "11111111-2222-4333-8444-555555555555";
    for (const [on, vessel] of [
      [page, "North drum"],
      [other, "South drum"],
    ] as const)
      expect(
        await on.evaluate(
          async ([key, name]) =>
            (
              await fetch("/api/act/addVessel", {
                method: "POST",
                headers: { "content-type": "application/json" },
                body: JSON.stringify({ requestKey: key, name, kind: "drum", volumeL: 200 }),
              })
            ).status,
          [requestKey, vessel],
        ),
      ).toBe(200);
    for (const [on, own, others] of [
      [page, "North drum", "South drum"],
      [other, "South drum", "North drum"],
    ] as const) {
      await on.goto(`${machine.address(on === page ? "north" : "south")}/farm/vessel`);
      await expect(on.getByText(own)).toBeVisible();
      await expect(on.getByText(others)).toHaveCount(0);
    }
    // No key of the one opens the database of the other, and its folder is for its owner alone.
    await (await machine.connect("north", "north")).end();
    await expect(machine.connect("north", "south")).rejects.toThrow(/Access denied/);
    for (const name of ["north", "south"]) {
      expect(statSync(machine.file(name)).mode & 0o077).toBe(0);
      // A database that starts clears its folder of temporary tables: it may not be another farm's too.
      expect(await machine.temporaryFolder(name)).toBe(machine.file(name, "db", "tmp"));
    }
    // A name that no farm has.
    const nobody = await (await browser.newContext()).newPage();
    expect((await nobody.goto(machine.address("west")))?.status()).toBe(421);

    // A bad night: a backup, then the disk loses the database.
    machine.run("farms", "move", "north", machine.file("north.tar.gz"));
    expect(machine.farms("list")).toContain("north: put away");
    rmSync(machine.file("north", "db"), { recursive: true, force: true });
    machine.farms("make", "north-again", "--from", machine.file("north.tar.gz"));
    machine.farms("start");
    const back = await signIn(browser, machine.address("north-again"));
    await expect(back.getByRole("article", { name: "North drum" })).toBeVisible();
    await expect(back.getByText("North field")).toBeVisible();
  } finally {
    machine.end();
  }
});
