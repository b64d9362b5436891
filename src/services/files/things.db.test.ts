import fc from "fast-check";
import { findFarm } from "@/data/farm";
import { listLand } from "@/data/field";
import { listThings } from "@/data/things";
import { parseCsv } from "@/formats/csv/decode";
import type { FileKind } from "@/formats/csv/tables";
import { key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { changeFarm } from "../farm";
import { exportFile } from "./exportFile";
import { importFile, previewFile } from "./importFile";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
});
afterEach(() => farm.scratch.drop());
const preview = (kind: FileKind, text: string) => previewFile(farm.context(), kind, parseCsv(text));
const put = (kind: FileKind, text: string) => importFile(farm.context(), { requestKey: key(), kind, text });
const out = async (kind: FileKind) => exportFile(farm.context(), (await findFarm(farm.scratch.db))!, kind);
const facts = async (kind: "vessel" | "tool" | "person") =>
  (await listThings(farm.scratch.db, kind)).map((thing) => thing.facts);

describe("many things at once", () => {
  it("takes rows pasted without heads, in commas or in tabs, and counts their lines as they were pasted", async () => {
    await put("vessels", "Blue drum,drum,200 L\nPail,pail,20");
    await put("vessels", "Jar\tjar\t3 L\nCrock\tjar\t10 L\tfood\tpantry");
    expect((await facts("vessel")).map(({ name, volumeL, site }) => [name, volumeL, site])).toEqual([
      ["Blue drum", 200, ""],
      ["Pail", 20, ""],
      ["Jar", 3, ""],
      ["Crock", 10, "pantry"],
    ]);
    const wrong = await preview("vessels", "Tub,bath,50\nBlue drum,drum,none\n,drum,5");
    expect(wrong.shown.map(({ line, faults }) => [line, ...Object.keys(faults)])).toEqual([
      [1, "kind"],
      [2, "volume"],
      [3, "name"],
    ]);
  });
  it("reads gallons in a cell on a farm in gallons, and changes what is there by its name", async () => {
    await changeFarm(farm.context(), { requestKey: key(), units: "us" });
    await put("vessels", "name,kind,volume\nDrum,drum,55\nTote,tote,275 gal");
    expect((await facts("vessel")).map(({ volumeL }) => volumeL)).toEqual([208.198, 1040.988]);
    const seen = await preview("vessels", "name,kind,volume\ndrum,drum,55 gal\nTOTE,tote,300 gal");
    expect(seen.counts).toEqual({ new: 0, changed: 1, same: 1, wrong: 0 });
    await put("vessels", "name,kind,volume\nTote,tote,300 gal");
    expect((await facts("vessel"))[1]!.volumeL).toBeCloseTo(1135.624, 3);
    await put("lots", "ingredient,amount,unit,received_on\nmolasses,20 gal,,2031-03-01");
    expect(await out("lots")).toContain("75.708");
  });
  it("adds people, cans and beds, each with its own columns", async () => {
    await put("people", "Cleo\nDana");
    await put("tools", "name,kind,volume,smallest_dose,parts_water\nCan,can,10 L,10 mL,\nLine,injector,20,,100");
    await put("beds", "Bed 1,12,1.2,North,leeks\nBed 2,40 ft,4 ft");
    expect((await facts("person")).map(({ name }) => name)).toEqual(["Ana", "Ben", "Cleo", "Dana"]);
    expect(await facts("tool")).toMatchObject([
      { kind: "can", stepMl: 10, partsWater: null },
      { kind: "injector", stepMl: null, partsWater: 100 },
    ]);
    const land = await listLand(farm.scratch.db);
    expect(land.map(({ name, areaM2, block }) => [name, Math.round(areaM2 * 10) / 10, block])).toEqual([
      ["Bed 1", 14.4, "North"],
      ["Bed 2", 14.9, ""],
    ]);
    const wrong = await preview("tools", "name,kind,volume\nLine 2,injector,20");
    expect(wrong.shown[0]!.faults).toEqual({ parts_water: { code: "how-much" } });
  });
  it("goes out and in again and changes nothing, whatever there is", async () => {
    const name = fc
      .stringMatching(/^[A-Za-z][\w ",;'=-]{0,20}$/)
      .map((text) => text.trim())
      .filter((text) => text !== "");
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(
          fc.record({
            name,
            kind: fc.constantFrom("drum", "tote", "pail", "jar"),
            volume: fc.integer({ min: 1, max: 5_000_000 }).map((thousandths) => Math.max(0.1, thousandths / 1000)),
            held: fc.constantFrom("nothing", "food", "manure"),
          }),
          { minLength: 1, maxLength: 12, selector: (row) => row.name.toLowerCase().replace(/[\s_-]+/g, " ") },
        ),
        async (rows) => {
          const quoted = (text: string) => `"${text.replaceAll('"', '""')}"`;
          const text = [
            "name,kind,volume,held_before",
            ...rows.map((row) => [quoted(row.name), row.kind, `"${row.volume} L"`, row.held].join(",")),
          ].join("\n");
          await put("vessels", text);
          const again = await preview("vessels", await out("vessels"));
          expect([again.counts.new, again.counts.changed, again.counts.wrong, again.refused]).toEqual([0, 0, 0, null]);
        },
      ),
      { numRuns: 15 },
    );
  });
});

it("takes people by table from a steward alone, as one by one; vessels from a grower", async () => {
  const farm = await TestFarm.make();
  const sent = (kind: string, text: string) =>
    importFile(farm.context(NOW, 1, "grower"), { requestKey: key(), kind, text });
  expect((await refusalOf(sent("people", "name\nRosa\n"))).code).toBe("may-not");
  await sent("vessels", "name,kind,volume\nPail nine,pail,20\n").catch((error: { code?: string }) =>
    expect(error.code).not.toBe("may-not"),
  );
  await farm.scratch.drop();
});
