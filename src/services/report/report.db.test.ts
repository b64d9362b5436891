import Papa from "papaparse";
import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { applyStore } from "../field";
import { closeBatch } from "../batch";
import { readLedger } from "../ledger";
import { readReport, reportCsv, setBudget, setInstead } from ".";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());
const row = async () => (await findFarm(farm.scratch.db))!;
const report = async (asked: { from?: string; to?: string } = {}) => readReport(farm.context(NOW), await row(), asked);

/** Sixty litres strained, half of it on two beds; and a drum that failed. */
async function season(): Promise<void> {
  const beds = [await farm.plot("Bed 1", { crop: "leeks" }), await farm.plot("Bed 2", { crop: "peas" })];
  const storeId = await farm.strained();
  await applyStore(farm.context(NOW), {
    requestKey: key(),
    ...{ storeId, useId: "drench-growing", ratio: "1:250", mixRateL: 2, mixRatePer: "m2", toolId: await farm.can() },
    ...{ plotIds: beds, water: { sourceId: RAIN_ID }, labourMin: 30, overrideReason: "the only dry hour" },
  } as never);
  const failed = await farm.fill(await farm.vessel("Other drum"), "cultured-extract", 40, hoursAgo(200));
  await closeBatch(farm.context(NOW), {
    requestKey: key(),
    ...{ batchId: failed, kind: "discarded", yieldL: 0, residue: "compost", labourMin: 5 },
  });
}

describe("the season's report", () => {
  it("tells the same money as the ledger does, to the coin", async () => {
    await season();
    const { report: told, plotNames } = await report();
    const { plots, losses, batches } = await readLedger(farm.context(NOW), await row());
    expect(told.plots.map(({ key: id, costMinor }) => [plotNames[id], costMinor]).toSorted()).toEqual(
      plots.flatMap(({ name, costMinor }) => (costMinor > 0 ? [[name, costMinor]] : [])).toSorted(),
    );
    expect(told.money.lossMinor).toBe(losses.reduce((sum, { costMinor }) => sum + costMinor, 0));
    const spent = told.money.ingredientsMinor + told.money.makingMinor + told.money.powerMinor;
    expect(spent).toBe(batches.reduce((sum, { cost }) => sum + cost.totalMinor, 0));
    expect(told.inputs[0]).toMatchObject({ batches: 2, failed: 1, madeL: 60 });
    expect(told.crops.map(({ key: crop }) => crop).toSorted()).toEqual(["leeks", "peas"]);
  });
  it("tells a season by its days, the one before beside it, and why a caution was passed", async () => {
    await season();
    const view = await report({ from: "2031-03-15", to: "2031-04-01" });
    // The drums were begun before; what went on falls into it.
    expect(view.report.money.ingredientsMinor).toBe(0);
    expect(view.report.crops).toHaveLength(2);
    expect(view.before.money.ingredientsMinor).toBeGreaterThan(0);
    expect(view.overrides.map(({ reason }) => reason)).toContain("the only dry hour");
    expect((await report({ from: "2031-04-01", to: "2031-03-15" })).span).toEqual({
      from: "2031-03-15",
      to: "2031-04-01",
    });
    expect((await report({ to: "2029-01-01" })).report.inputs).toEqual([]);
  });
  it("compares with the shop by the area treated, says what can't be compared, and where the shop is cheaper", async () => {
    await season();
    const say = (methodId: string, price: number, more: object = {}) =>
      setInstead(farm.context(NOW), {
        requestKey: key(),
        ...{ methodId, name: `Shop ${methodId}`, price, coversM2: 40, wouldBuy: false, ...more },
      });
    await say("cultured-extract", 30);
    await say("aerated-tea", 30);
    const of = async (methodId: string) => (await report()).instead.find((one) => one.methodId === methodId);
    // Twice ten square metres of a pack for forty.
    expect((await of("cultured-extract"))!.answer).toMatchObject({ packs: 0.5, wholePacks: 1, costMinor: 1500 });
    expect((await of("aerated-tea"))!.answer).toBeNull();
    await say("cultured-extract", 0.02);
    expect((await of("cultured-extract"))!.answer!.savingMinor).toBeLessThan(0);
    await say("cultured-extract", 1, { putAway: true });
    expect(await of("cultured-extract")).toBeUndefined();
    expect((await refusalOf(say("no-such", 1))).code).toBe("domain");
  });
  it("says what makes an input dear, and prices a stand-in by what was bought last", async () => {
    await season();
    await farm.lot("brown-sugar", 10, 5);
    const [driver] = (await report()).drivers;
    expect(driver).toMatchObject({ methodId: "cultured-extract", ingredientId: "molasses" });
    expect(driver!.standIns.map(({ ingredientId }) => ingredientId)).toEqual(["brown-sugar"]);
    expect(driver!.standIns[0]!.savingMinor).toBeGreaterThan(0);
  });
  it("keeps a budget by the year, the last that was set", async () => {
    for (const bought of [100, 250])
      await setBudget(farm.context(NOW), { requestKey: key(), year: 2031, bought, hours: 40, loss: null });
    expect((await report()).budget).toEqual({ boughtMinor: 25_000, hours: 40, lossMinor: null });
    expect((await report({ to: "2030-12-31" })).budget).toBeNull();
  });
  it("goes out as one table that a spreadsheet reads, each figure with its unit", async () => {
    await season();
    const { data, errors } = Papa.parse<Record<string, string>>(reportCsv(await report()).replace("\uFEFF", ""), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    const of = (part: string, what: string) => data.filter((line) => line.part === part && line.what === what);
    expect(of("input", "made")).toEqual([expect.objectContaining({ value: "60", unit: "L" })]);
    expect(of("plot", "cost")).toHaveLength(2);
    expect(of("override", "Extract")[0]!.value).toBe("the only dry hour");
  });
});
