import fc from "fast-check";
import { findFarm } from "@/data/farm/farm";
import { listPlantings } from "@/data/field";
import { parseCsv } from "@/formats/csv/decode";
import { RAIN_ID, key, TestFarm } from "@/testing/scratch";
import { plantPlots } from "../field/plantings";
import { applyStore } from "../field/applyStore";
import { exportFile } from "./exportFile";
import { exportRecord } from "./exportRecord";
import { importFile, previewFile } from "./importFile";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
});
afterEach(() => farm.scratch.drop());
const farmRow = async () => (await findFarm(farm.scratch.db))!;
const preview = (text: string) => previewFile(farm.context(), "plantings", parseCsv(text));
const put = (text: string) => importFile(farm.context(), { requestKey: key(), kind: "plantings", text });
const out = async () => exportFile(farm.context(), await farmRow(), "plantings");
const bare = (name: string) => farm.plot(name, { stage: "bare" });

describe("a file of plantings", () => {
  it("adds what is new, leaves what is there, and tells anew what has its number", async () => {
    await bare("Bed 1");
    const head = "plot,crop,planted_on,sown,plants,spacing_cm,harvest_from,perennial";
    await put(`${head}\nbed 1,leeks,1.3.2031,yes,60,15,2031-09-01,\nBed 1,clover,2031-10-01,,,,,`);
    const [leeks] = await listPlantings(farm.scratch.db);
    expect(leeks).toMatchObject({ crop: "leeks", plantedOn: "2031-03-01", sown: true, plants: 60, spacingCm: 15 });
    expect((await preview(await out())).counts).toEqual({ new: 0, changed: 0, same: 2, wrong: 0 });
    await put(`planting,plot,crop,planted_on,sown,plants\n${leeks!.id},Bed 1,leeks,2031-03-04,yes,55`);
    const after = await listPlantings(farm.scratch.db);
    expect(after).toHaveLength(2);
    expect(after[0]).toMatchObject({ plantedOn: "2031-03-04", plants: 55, harvestFrom: null });
  });
  it("says of each cell what is wrong with it, and writes nothing", async () => {
    await bare("Bed 1");
    const seen = await preview(
      [
        "planting,plot,crop,part,sown,plants,planted_on,harvest_from,harvest_to",
        ",Bed 9,leeks,,,,,,",
        "77,Bed 1,leeks,,,,,,",
        ",Bed 1,,bark,perhaps,2.5,01/02/2031,,",
        ",Bed 1,peas,seed,,,2031-05-01,2031-04-01,2031-03-01",
      ].join("\n"),
    );
    expect(seen.shown.map(({ faults }) => Object.keys(faults).toSorted())).toEqual([
      ["plot"],
      ["planting"],
      ["crop", "part", "planted_on", "plants", "sown"],
      ["harvest_from", "harvest_to"],
    ]);
    expect(await listPlantings(farm.scratch.db)).toEqual([]);
  });
  it("goes out and in again as it was, whatever grows", async () => {
    const plots = [await bare("Bed, with a comma"), await bare('Bed "two"')];
    const day = fc
      .integer({ min: 0, max: 700 })
      .map((n) => new Date(Date.UTC(2030, 0, 1 + n)).toISOString().slice(0, 10));
    await fc.assert(
      fc.asyncProperty(
        fc.record({
          crop: fc.stringMatching(/^[A-Za-zäé'"=;,-][ A-Za-zäé'"=;,-]{0,20}[a-z]$/),
          perennial: fc.boolean(),
          sown: fc.boolean(),
          plantedOn: fc.option(day),
          plants: fc.option(fc.integer({ min: 1, max: 9999 })),
          spacingCm: fc.option(fc.integer({ min: 1, max: 400 })),
        }),
        fc.constantFrom(...plots),
        async (told, plotId) => {
          await plantPlots(farm.context(), { requestKey: key(), plotIds: [plotId], ...told });
          const { counts, refused } = await preview(await out());
          expect(refused).toBeNull();
          expect([counts.new, counts.changed, counts.wrong]).toEqual([0, 0, 0]);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe("the record for an inspector", () => {
  it("has every application and batch of its days, with people, lots and reasons", async () => {
    const storeId = await farm.strained({ yieldL: 60 });
    const plot = await farm.plot("Bed 1");
    await applyStore(farm.context(), {
      requestKey: key(),
      storeId,
      useId: "drench-growing",
      ratio: "1:100",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: await farm.can(),
      plotIds: [plot],
      labourMin: 10,
      water: { sourceId: RAIN_ID },
      overrideReason: "tried on a patch",
      note: "half a can more",
    });
    const all = { from: "2031-01-01", to: "2031-12-31" };
    const record = async (kind: "applications" | "batches", span = all) =>
      parseCsv(await exportRecord(farm.context(), await farmRow(), kind, span)).rows;
    const [heads, row] = await record("applications");
    expect(Object.fromEntries(heads!.map((head, index) => [head, row![index]]))).toMatchObject({
      day: "2031-03-20",
      plot: "Bed 1",
      by: "Ana",
      parts_water: "100",
      mix_l: "20",
      reason: "tried on a patch",
      note: "half a can more",
    });
    expect((await record("batches"))[1]!.join(",")).toMatch(/Molasses .* kg \(lot \d+\)|Molasses .* L \(lot \d+\)/);
    expect(await record("applications", { from: "2031-03-21", to: "2031-12-31" })).toHaveLength(1);
  });
});
