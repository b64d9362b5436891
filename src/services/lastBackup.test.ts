import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { readLastBackup } from "./lastBackup";

const folder = mkdtempSync(path.join(tmpdir(), "ruchka-backups-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

describe("the last good backup", () => {
  it("is unknown without a folder, none in an empty one, and told from what bin/backup wrote", async () => {
    expect(await readLastBackup("")).toBeUndefined();
    expect(await readLastBackup(folder)).toBeNull();
    writeFileSync(
      path.join(folder, "last-good"),
      "2031-03-20T02:30:00Z /farm/backups/farm-2031-03-20T02-30-00Z.tar.gz\n",
    );
    expect(await readLastBackup(folder)).toEqual({
      atMs: Date.parse("2031-03-20T02:30:00Z"),
      file: "farm-2031-03-20T02-30-00Z.tar.gz",
    });
  });
  it("is none where the file is not what was written", async () => {
    writeFileSync(path.join(folder, "last-good"), "half a li");
    expect(await readLastBackup(folder)).toBeNull();
  });
});
