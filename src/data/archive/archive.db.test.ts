import { createHash } from "node:crypto";
import { mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { seedDemo } from "@/demo/seed";
import { findFarm, listActors } from "@/data/farm";
import { migrate } from "@/data/migrate";
import { select } from "@/data/db";
import { addBatchPhoto } from "@/services/batch";
import { readYard } from "@/services/yard";
import { receiveLot, wasteLot } from "@/services/shed";
import { hoursAgo, key, NOW, scratchDatabase, TestFarm, type Scratch } from "@/testing/scratch";
import { A_PHOTO } from "@/testing/photo";
import { dumpFarm, loadFarm, readManifest } from ".";

const folders: string[] = [];
const folder = (): string => {
  const made = mkdtempSync(path.join(tmpdir(), "ruchka-archive-"));
  folders.push(made);
  return made;
};
afterAll(() => {
  for (const made of folders) rmSync(made, { recursive: true, force: true });
});
/** A place where nothing is yet. */
const bare = (): Promise<Scratch> => scratchDatabase({ migrated: false });
const lines = (at: string, table: string): Record<string, unknown>[] =>
  readFileSync(path.join(at, "tables", `${table}.jsonl`), "utf8")
    .trimEnd()
    .split("\n")
    .map((line) => JSON.parse(line) as Record<string, unknown>);

describe("a whole farm, out and in", () => {
  it("is the same farm to the last row, photographs included, and goes on", async () => {
    const from = await scratchDatabase();
    await seedDemo(from.pool, NOW);
    const [actor] = await listActors(from.db);
    const ctx = { pool: from.pool, now: () => NOW, actor: actor! };
    await addBatchPhoto(ctx, { requestKey: key(), batchId: 5, jpeg: A_PHOTO, note: "pale film" });
    const yard = await readYard(ctx, (await findFarm(from.db))!);
    const at = folder();
    const manifest = await dumpFarm(from.url, at, NOW);
    expect(manifest.tables.batch!.rows).toBeGreaterThan(7);
    // It is read by whoever reads JSON: figures are figures, moments are text in UTC.
    expect(lines(at, "vessel").find(({ name }) => name === "Blue drum")).toMatchObject({ volume_l: 220, kind: "drum" });
    expect(String(lines(at, "batch")[0]!.started_at)).toMatch(/^\d{4}-\d\d-\d\d \d\d:\d\d:\d\d\.\d{3}$/);
    const { jpeg } = lines(at, "batch_photo")[0] as { jpeg: { file: string } };
    expect(readFileSync(path.join(at, jpeg.file)).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));

    const into = await bare();
    await loadFarm(into.url, at);
    const there = { ...ctx, pool: into.pool };
    // The rows are the same to the letter (loadFarm holds them against each other); so is what is read of them.
    const brief = ({ vessels, round }: Awaited<ReturnType<typeof readYard>>) => [
      vessels.map(({ name, status, batch }) => [name, status, batch?.id, batch?.stateWords]),
      round.map(({ title }) => title),
    ];
    expect(brief(await readYard(there, (await findFarm(into.db))!))).toEqual(brief(yard));
    // What happens as rows are written happens there too, and happened once.
    const held = async () => {
      const [row] = await select<{ held: string }>(
        into.db,
        "select (select sum(on_hand) from lot_balance) - (select sum(change_by) from stock_movement) as held",
      );
      return Number(row!.held);
    };
    expect(await held()).toBe(0);
    const { lotId } = await receiveLot(there, {
      requestKey: key(),
      ingredientId: "molasses",
      amount: 3,
      origin: "bought",
      receivedOn: "2031-03-20",
      cost: 9,
    });
    await wasteLot(there, { requestKey: key(), lotId, amount: 1, reason: "spilled" });
    expect(await held()).toBe(0);
    expect(await migrate(into.url)).toEqual([]);
    await from.drop();
    await into.drop();
  });
  it("is of one moment, though people write meanwhile", async () => {
    const farm = await TestFarm.make();
    const lotId = await farm.lot("castings", 500, 5);
    let isOver = false;
    const writing = (async () => {
      let count = 0;
      while (!isOver) {
        await wasteLot(farm.context(), { requestKey: key(), lotId, amount: 0.001, reason: "spilled" });
        count += 1;
      }
      return count;
    })();
    for (let turn = 0; turn < 3; turn += 1) {
      const at = folder();
      await dumpFarm(farm.scratch.url, at, NOW);
      const moved = lines(at, "stock_movement").reduce((sum, { change_by: change }) => sum + Number(change) * 1000, 0);
      const [balance] = lines(at, "lot_balance");
      expect(Math.round(moved)).toBe(Math.round(Number(balance!.on_hand) * 1000));
    }
    isOver = true;
    expect(await writing).toBeGreaterThan(0);
    await farm.scratch.drop();
  });
  it("keeps figures, letters and moments that types would bend", async () => {
    const farm = await TestFarm.make();
    const odd = 'Крапива 🌿 "tips"\n\\tab\u0000'.replace("\u0000", "");
    await farm.lot("molasses", 0.001, 0.01);
    await farm.scratch.pool.query("update lot set note = ? where id = 1", [odd]);
    await farm.fill(await farm.vessel("Drum", 19_999.999), "leaf-mould-soak", 3, hoursAgo(0.000001)).catch(() => 0);
    const at = folder();
    await dumpFarm(farm.scratch.url, at, NOW);
    const into = await bare();
    await loadFarm(into.url, at);
    expect(await select(into.db, "select note, received from lot where id = 1")).toEqual(
      await select(farm.scratch.db, "select note, received from lot where id = 1"),
    );
    await into.drop();
    await farm.scratch.drop();
  });
});

describe("photographs", () => {
  let farm: TestFarm;
  let at: string;
  let file: string;
  beforeEach(async () => {
    farm = await TestFarm.make();
    await farm.lot("molasses", 5, 20);
    await farm.lot("lactic-culture", 5, 10);
    const batchId = await farm.fill(await farm.vessel("Drum"), "cultured-extract", 60, hoursAgo(2));
    await addBatchPhoto(farm.context(), { requestKey: key(), batchId, jpeg: A_PHOTO });
    at = folder();
    await dumpFarm(farm.scratch.url, at, NOW);
    file = (lines(at, "batch_photo")[0] as { jpeg: { file: string } }).jpeg.file;
  });
  afterEach(() => farm.scratch.drop());

  it.each<[string, () => void]>([
    ["missing", () => rmSync(path.join(at, file))],
    ["changed", () => writeFileSync(path.join(at, file), "another picture")],
    [
      "a way out of the archive",
      () => {
        rmSync(path.join(at, file));
        symlinkSync("/etc/hostname", path.join(at, file));
      },
    ],
  ])("that are %s are said by name", async (_what, spoil) => {
    spoil();
    const into = await bare();
    await expect(loadFarm(into.url, at)).rejects.toThrow(file);
    await into.drop();
  });
  it("stood in the lines once, and such an archive is still read", async () => {
    const bytes = readFileSync(path.join(at, file));
    const text = lines(at, "batch_photo")
      .map((row) => `${JSON.stringify({ ...row, jpeg: bytes.toString("base64") })}\n`)
      .join("");
    writeFileSync(path.join(at, "tables/batch_photo.jsonl"), text);
    const manifest = readManifest(at);
    const batchPhoto = { rows: 1, sha256: createHash("sha256").update(text).digest("hex") };
    writeFileSync(
      path.join(at, "manifest.json"),
      JSON.stringify({ ...manifest, form: 1, tables: { ...manifest.tables, batch_photo: batchPhoto } }),
    );
    const into = await bare();
    await loadFarm(into.url, at);
    const [row] = await select<{ jpeg: Buffer }>(into.db, "select jpeg from batch_photo");
    expect(row!.jpeg.equals(bytes)).toBe(true);
    await into.drop();
  });
});

describe("an archive that does not do", () => {
  let farm: TestFarm;
  let at: string;
  beforeEach(async () => {
    farm = await TestFarm.make();
    at = folder();
    await dumpFarm(farm.scratch.url, at, NOW);
  });
  afterEach(() => farm.scratch.drop());

  it("is not put where a farm is already", async () => {
    await expect(loadFarm(farm.scratch.url, at)).rejects.toThrow("There is a farm here already: Test field.");
  });
  it.each<[string, (at: string) => void, string]>([
    [
      "a table that was changed",
      (where) => writeFileSync(path.join(where, "tables/farm.jsonl"), '{"id":1,"name":"Other"}\n'),
      "",
    ],
    [
      "a table that is missing",
      (where) => rmSync(path.join(where, "tables/vessel.jsonl")),
      "The archive lacks its table vessel.",
    ],
    ["no manifest", (where) => rmSync(path.join(where, "manifest.json")), "This is no archive of a farm"],
    [
      "another form",
      (where) => writeFileSync(path.join(where, "manifest.json"), JSON.stringify({ ...readManifest(where), form: 99 })),
      "This archive is of form 99",
    ],
    [
      "a newer Ruchka",
      (where) => {
        const manifest = readManifest(where);
        writeFileSync(
          path.join(where, "manifest.json"),
          JSON.stringify({ ...manifest, migrations: [...manifest.migrations, "9999_later"] }),
        );
      },
      "newer Ruchka",
    ],
  ])("says so of %s", async (_what, spoil, words) => {
    spoil(at);
    const into = await bare();
    await expect(loadFarm(into.url, at)).rejects.toThrow(words);
    await into.drop();
  });
});
