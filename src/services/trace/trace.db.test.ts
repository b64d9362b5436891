import { findFarm } from "@/data/farm/farm";
import { listStoresOnHand } from "@/data/stores";
import { hoursAgo, key, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { closeBatch } from "../batch/closeBatch";
import { applyStore, readField, readPlot, takeBackApplication } from "../field";
import { exportTrace, readTrace } from ".";

let farm: TestFarm;
let plotIds: number[];
let batchId: number;
let applicationId: number;

/** A batch of plant extract, strained, and put on two of three beds. */
beforeEach(async () => {
  farm = await TestFarm.make();
  batchId = await farm.readyExtract(await farm.vessel("Drum"));
  await closeBatch(farm.context(hoursAgo(4)), {
    requestKey: key(),
    batchId,
    kind: "strained",
    yieldL: 60,
    residue: "compost",
    label: "Extract",
    labourMin: 20,
  });
  plotIds = [await farm.plot("A"), await farm.plot("B"), await farm.plot("C")];
  const [store] = await listStoresOnHand(farm.scratch.db);
  ({ applicationId } = await applyStore(farm.context(hoursAgo(3)), {
    requestKey: key(),
    storeId: store!.id,
    useId: "drench-growing",
    ratio: "1:100",
    mixRateL: 2,
    mixRatePer: "m2",
    toolId: await farm.can(),
    plotIds: plotIds.slice(0, 2),
    mixL: [20, 8],
    labourMin: 10,
    note: "B half done: dark came",
    overrideReason: "a trial",
    water: { sourceId: RAIN_ID },
  }));
});
afterEach(() => farm.scratch.drop());

const row = async () => (await findFarm(farm.scratch.db))!;
const trace = async (asked: object) => readTrace(farm.context(), await row(), asked);

describe("a trace", () => {
  it("goes back from a plot to every batch, lot, plant and person", async () => {
    const found = (await trace({ plotId: plotIds[1]! }))!;
    expect(found.of).toMatchObject({ type: "plot", name: "B" });
    expect(found.applications).toMatchObject([
      { batchId, plotName: "B", mixL: 8, by: "Ana", note: "B half done: dark came", weather: { source: "usual" } },
    ]);
    expect(found.batches).toMatchObject([
      { id: batchId, vesselName: "Drum", startedBy: "Ana", close: { kind: "strained" } },
    ]);
    const drawn = found.batches[0]!.lots;
    expect(drawn.map(({ ingredient }) => ingredient)).toContain("Molasses");
    expect(drawn.every(({ amount, receivedOn }) => amount > 0 && receivedOn !== "")).toBe(true);
  });
  it("tells what still stands on the farm of what was found to be wrong, and nothing of a plot that asks back", async () => {
    const molasses = (await trace({ batchId }))!.batches[0]!.lots.find(({ ingredient }) => ingredient === "Molasses")!;
    const found = (await trace({ lotId: molasses.lotId }))!;
    expect(found.onHand.map(({ type, name }) => [type, name])).toEqual([
      ["lot", "Molasses"],
      ["store", "Extract"],
    ]);
    expect(found.onHand[1]!.amount).toBeCloseTo(59.7, 0);
    expect((await trace({ plotId: plotIds[0]! }))!.onHand).toEqual([]);
  });
  it("goes forward from a lot to every plot and its harvest, and from a batch both ways", async () => {
    const [lot] = (await trace({ batchId }))!.batches[0]!.lots;
    for (const asked of [{ lotId: lot!.lotId }, { batchId }]) {
      const found = (await trace(asked))!;
      expect(found.applications.map(({ plotName }) => plotName).toSorted()).toEqual(["A", "B"]);
      expect(found.batches.map(({ id }) => id)).toEqual([batchId]);
    }
  });
  it("is a table too, a line for each lot on each plot", async () => {
    const csv = (await exportTrace(farm.context(), await row(), { batchId }))!;
    const lines = csv.trim().split("\r\n");
    expect(lines[0]).toContain("plot,applied_at,batch");
    const found = (await trace({ batchId }))!;
    expect(lines).toHaveLength(1 + 2 * found.batches[0]!.lots.length);
  });
  it("of what there is none of is nothing", async () => {
    for (const asked of [{ plotId: 999 }, { batchId: 999 }, { lotId: 999 }, {}]) expect(await trace(asked)).toBeNull();
  });
  it("of a plot that got nothing is empty", async () =>
    expect(await trace({ plotId: plotIds[2]! })).toMatchObject({ applications: [], batches: [] }));
});

describe("an application that was a slip", () => {
  const takeBack = () =>
    takeBackApplication(farm.context(), { requestKey: key(), applicationId, reason: "the wrong drum" });
  it("is taken back: the litres are in store, the beds never got it, and it can't be taken back again", async () => {
    const before = (await listStoresOnHand(farm.scratch.db))[0]!.onHandL;
    expect((await readPlot(farm.context(), await row(), plotIds[0]!))!.doses).toHaveLength(1);
    await takeBack();
    const [store] = await listStoresOnHand(farm.scratch.db);
    expect(store!.onHandL - before).toBeCloseTo(28 / 101, 2);
    expect((await readPlot(farm.context(), await row(), plotIds[0]!))!.doses).toEqual([]);
    const field = await readField(farm.context(NOW), await row());
    expect(field.plots.map(({ last, lastByMethod }) => [last, lastByMethod])).toEqual([
      [null, {}],
      [null, {}],
      [null, {}],
    ]);
    expect((await trace({ batchId }))!.applications).toEqual([]);
    expect(await refusalOf(takeBack())).toMatchObject({ code: "not-found" });
  });
});
