import { cpSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { scratchDatabase, type Scratch } from "@/testing/scratch";
import { migrate } from "./migrate";

const copyOfMigrations = () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), "ruchka-migrations-"));
  cpSync(path.join(process.cwd(), "src/data/migrations"), folder, { recursive: true });
  return folder;
};

describe("migrations", () => {
  let scratch: Scratch;
  beforeEach(async () => {
    scratch = await scratchDatabase({ migrated: false });
  });
  afterEach(() => scratch.drop());

  it("runs every file once, whoever asks and however often", async () => {
    const [one, two] = await Promise.all([migrate(scratch.url), migrate(scratch.url)]);
    expect(one.length + two.length).toBeGreaterThan(20);
    expect(Math.min(one.length, two.length)).toBe(0);
    expect(await migrate(scratch.url)).toEqual([]);
  });
  it("refuses a file that was edited after it ran, and a database that is newer", async () => {
    const folder = copyOfMigrations();
    await migrate(scratch.url, folder);
    const file = path.join(folder, "0002_actor.sql");
    writeFileSync(file, `${readFileSync(file, "utf8")}-- changed\n`);
    await expect(migrate(scratch.url, folder)).rejects.toThrow("0002_actor was edited after it ran");
    await scratch.pool.query(
      "insert into migration (name, sha256, started_at, finished_at) values ('9999_later', repeat('0', 64), utc_timestamp(3), utc_timestamp(3))",
    );
    await expect(migrate(scratch.url)).rejects.toThrow("made by a newer Ruchka");
  });
  it("stops at one that stopped half way", async () => {
    const folder = copyOfMigrations();
    writeFileSync(
      path.join(folder, "0900_broken.sql"),
      "create table half (id int primary key); create table half (id int);",
    );
    await expect(migrate(scratch.url, folder)).rejects.toThrow();
    await expect(migrate(scratch.url, folder)).rejects.toThrow("0900_broken stopped half way");
  });
});
