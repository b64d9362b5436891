import { execFileSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { loadFarm } from "@/data/archive";
import { select } from "@/data/db";
import { findFarm } from "@/data/farm/farm";
import { NOW, refusalOf, scratchDatabase, TestFarm } from "@/testing/scratch";
import { offersTakeIn, sendArchive, takeIn, takeInState } from ".";

let farm: TestFarm;
let folder: string;
beforeEach(async () => {
  farm = await TestFarm.make();
  folder = mkdtempSync(path.join(tmpdir(), "ruchka-sent-"));
});
afterEach(async () => {
  rmSync(folder, { recursive: true, force: true });
  delete process.env.RUCHKA_BACKUPS;
  await farm.scratch.drop();
});
const frameOf = async (role: "steward" | "grower") => ({
  farm: (await findFarm(farm.scratch.db))!,
  people: [],
  ctx: farm.context(NOW, 0, role),
});

describe("the whole farm as one file", () => {
  it("is one that an empty place takes in, and that it was taken is written down", async () => {
    const lotId = await farm.lot("molasses", 3, 10);
    const { body, fileName } = await sendArchive(await frameOf("steward"), farm.scratch.url);
    expect(fileName).toBe("farm-2031-03-20.tar.gz");
    writeFileSync(path.join(folder, fileName), Buffer.from(await new Response(body).arrayBuffer()));
    execFileSync("tar", ["-C", folder, "-xzf", path.join(folder, fileName)]);
    const into = await scratchDatabase({ migrated: false });
    await loadFarm(into.url, folder);
    expect(await select(into.db, "select id, received from lot")).toEqual([{ id: lotId, received: expect.anything() }]);
    expect(await select(into.db, "select kind from access_event where kind = 'archived'")).toHaveLength(1);
    await into.drop();
  });
  it("is a steward's, and nothing is left of it on the disk once it is sent or nobody reads on", async () => {
    const left = () => readdirSync(tmpdir()).filter((name) => name.startsWith("ruchka-archive-")).length;
    const before = left();
    expect((await refusalOf(sendArchive(await frameOf("grower"), farm.scratch.url))).code).toBe("may-not");
    const { body } = await sendArchive(await frameOf("steward"), farm.scratch.url);
    await body.cancel();
    for (let turn = 0; turn < 100 && left() > before; turn += 1) await new Promise((done) => setTimeout(done, 20));
    expect(left()).toBe(before);
    await expect(sendArchive(await frameOf("steward"), `${farm.scratch.url}_nowhere`)).rejects.toThrow();
    expect(left()).toBe(before);
  });
});

describe("taking a farm in", () => {
  const stream = (text: string) => new Response(text).body!;
  it("is offered where this server has a database of its own, and nowhere else", async () => {
    expect(offersTakeIn()).toBe(false);
    expect(await takeIn(stream("x"))).toEqual({ state: "off" });
    process.env.RUCHKA_BACKUPS = path.join(folder, "backups");
    expect(offersTakeIn()).toBe(false);
    mkdirSync(path.join(folder, "db"));
    expect(offersTakeIn()).toBe(true);
    expect(await takeInState()).toEqual({ state: "off" });
  });
  it("tells how it stands from the disk, as the server ends in the middle of it; one at a time", async () => {
    mkdirSync(path.join(folder, "db"));
    mkdirSync(path.join(folder, "incoming"));
    process.env.RUCHKA_BACKUPS = path.join(folder, "backups");
    const state = path.join(folder, "incoming", "state");
    writeFileSync(state, "failed This archive is of form 99.\n");
    expect(await takeInState()).toEqual({ state: "failed", because: "This archive is of form 99." });
    writeFileSync(state, `taking ${process.pid}\n`);
    expect(await takeIn(stream("another"))).toEqual({ state: "taking" });
    expect(existsSync(path.join(folder, "incoming", "farm.tar.gz"))).toBe(false);
    expect(readFileSync(state, "utf8")).toBe(`taking ${process.pid}\n`);
    // One that ended in the middle holds nobody up.
    writeFileSync(state, "taking 999999999\n");
    expect(await takeInState()).toEqual({ state: "off" });
  });
});
