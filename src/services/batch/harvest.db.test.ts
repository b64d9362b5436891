import { findFarm } from "@/data/farm/farm";
import { listApplicationsOfPlot } from "@/data/field";
import { hoursAgo, key, NOW, refusalOf, TestFarm, RAIN_ID } from "@/testing/scratch";
import { addTool } from "../farm/addThings";
import { applyStore } from "../field/applyStore";
import { seePatchTest, startPatchTest } from "../field/patchTests";
import { closeBatch } from "./closeBatch";
import { cleanVessel, takeBackWashing } from "./washing";
import { readBatch } from "./readBatch";
import { readField } from "../field/readField";
import { setHarvestRule } from "../field/harvestRules";
import { readHistory } from "../history/readHistory";
import { readLedger } from "../ledger/readLedger";
import { readYard } from "../yard/readYard";
import { addWaterSource } from "../water/waters";

describe("straining, storing, applying", () => {
  let farm: TestFarm;
  let drum: number;
  let batchId: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
    drum = await farm.vessel("Drum");
    batchId = await farm.readyExtract(drum);
  });
  afterEach(() => farm.scratch.drop());
  const farmRow = async () => (await findFarm(farm.scratch.db))!;
  const closing = (change: object = {}) => ({
    requestKey: key(),
    batchId,
    kind: "strained",
    yieldL: 70,
    residue: "compost",
    labourMin: 20,
    label: "Nettle",
    ...change,
  });
  const strain = async () => (await closeBatch(farm.context(), closing())).storeId!;
  const applying = (storeId: number, toolId: number, plotIds: number[], change: object = {}) => ({
    requestKey: key(),
    storeId,
    useId: "drench-growing",
    ratio: "1:99",
    mixRateL: 2,
    mixRatePer: "m2",
    toolId,
    plotIds,
    labourMin: 10,
    water: { sourceId: RAIN_ID },
    // Stronger than usual, so that the figures are round.
    overrideReason: "tried on a patch last week",
    ...change,
  });
  const vesselStatus = async () => (await readYard(farm.context(), await farmRow())).vessels[0]!.status;

  it("strains into a store with its clock started, leaves the vessel needs washing, then free", async () => {
    const storeId = await strain();
    const { stores } = await readField(farm.context(), await farmRow());
    expect(stores).toMatchObject([
      { id: storeId, label: "Nettle", onHandL: 70, shelfFromMs: NOW.getTime(), atOnce: false },
    ]);
    expect(stores[0]!.expiresMs - NOW.getTime()).toBe(180 * 86_400_000);
    expect(await vesselStatus()).toBe("dirty");
    await cleanVessel(farm.context(), { requestKey: key(), vesselId: drum });
    await cleanVessel(farm.context(), { requestKey: key(), vesselId: drum });
    expect(await vesselStatus()).toBe("free");
  });

  it("takes a washing back as a slip, as often as it was one; not once something is in it", async () => {
    const asked = () => ({ requestKey: key(), vesselId: drum });
    expect(await refusalOf(takeBackWashing(farm.context(), asked()))).toMatchObject({ code: "vessel-holds-batch" });
    await strain();
    for (let times = 0; times < 2; times += 1) {
      await cleanVessel(farm.context(), asked());
      expect(await vesselStatus()).toBe("free");
      await takeBackWashing(farm.context(), asked());
      await takeBackWashing(farm.context(), asked());
      expect(await vesselStatus()).toBe("dirty");
    }
    const { lines } = await readHistory(farm.context(), await farmRow(), { part: "making" });
    const codes = lines.map(({ code }) => code);
    for (const code of ["washed", "washing-undone"]) expect(codes.filter((one) => one === code)).toHaveLength(2);
    await cleanVessel(farm.context(), asked());
    await farm.readyExtract(drum);
    expect(await refusalOf(takeBackWashing(farm.context(), asked()))).toMatchObject({ code: "vessel-holds-batch" });
  });

  it("knows what it was rinsed with, and that a rinse in the liquid thins it", async () => {
    const { storeId } = await closeBatch(farm.context(), closing({ yieldL: 80, rinseL: 8, rinseTo: "in" }));
    const { stores } = await readField(farm.context(), await farmRow());
    expect(stores.find(({ id }) => id === storeId)!.strength).toBeCloseTo(0.9, 9);
    const page = (await readBatch(farm.context(), await farmRow(), batchId))!;
    expect(page.close!.rinse).toEqual({ litres: 8, to: "in" });
  });

  it("is as strong as before where the rinse went elsewhere", async () => {
    const { storeId } = await closeBatch(farm.context(), closing({ rinseL: 8, rinseTo: "compost" }));
    const { stores } = await readField(farm.context(), await farmRow());
    expect(stores.find(({ id }) => id === storeId)!.strength).toBe(1);
  });

  it("strains a vessel once, though two people try at once", async () => {
    const tries = await Promise.allSettled([0, 1].map((person) => closeBatch(farm.context(NOW, person), closing())));
    expect(tries.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    expect((await refusalOf(closeBatch(farm.context(), closing()))).message).toContain(
      "This batch was strained already",
    );
  });

  it.each([
    ["more than went in", { yieldL: 200 }, "/yieldL", "Only 8"],
    ["nothing", { yieldL: 0 }, "/yieldL", "How much came off"],
    ["a rinse that went nowhere", { rinseL: 5 }, "/rinseTo", "Where did the rinse go"],
    ["less than the rinse that went in", { yieldL: 4, rinseL: 5, rinseTo: "in" }, "/rinseL", "has the rinse in it"],
    ["before it was filled", { at: hoursAgo(24 * 24).toISOString() }, "/at", "before the batch was started"],
    ["without saying where the residue went", { residue: "" }, "/residue", "One of compost"],
  ])("refuses to strain %s", async (_what, change, field, words) => {
    expect((await refusalOf(closeBatch(farm.context(), closing(change)))).fields[field]).toContain(words);
  });

  it("wants a reason against the verdict, keeps it, and lets no reason make up for a failure", async () => {
    const other = await farm.vessel("Other");
    const young = await farm.fill(other, "cultured-extract", 50, hoursAgo(48));
    const close = (change: object = {}) =>
      closeBatch(farm.context(), closing({ batchId: young, yieldL: 40, ...change }));
    expect((await refusalOf(close())).fields["/overrideReason"]).toContain('Its state is "too early"');
    await farm.log(young, hoursAgo(3), { kind: "smell", word: "putrid" });
    const held = await refusalOf(close({ overrideReason: "smells fine to me" }));
    expect(held).toMatchObject({ code: "batch-held", fields: { "/kind": "On hold: do not strain it for use." } });
    await farm.log(young, hoursAgo(0.5), { kind: "smell", word: "putrid" });
    const failed = await refusalOf(close({ overrideReason: "smells fine to me" }));
    expect(failed).toMatchObject({ code: "batch-failed", fields: { "/kind": "Failed: only to be thrown away." } });
    await close({ kind: "discarded", yieldL: 0 });
    const page = (await readBatch(farm.context(), await farmRow(), young))!;
    expect(page.close).toMatchObject({ kind: "discarded", verdict: "spoiled" });
    expect(page.stores).toEqual([]);
  });

  it("wants a reason before river water goes onto leaves that are eaten, whether it thins the mix or was brewed with", async () => {
    const { sourceId: river } = await addWaterSource(farm.context(), {
      requestKey: key(),
      name: "Ford",
      kind: "river",
    });
    const storeId = await strain();
    const [bed, can] = [await farm.plot("A", { crop: "beans" }), await farm.can()];
    const onLeaves = (change: object = {}) =>
      applyStore(
        farm.context(),
        applying(storeId, can, [bed], { useId: "foliar", ratio: "1:999", overrideReason: "", ...change }),
      );
    const words = "River or stream water goes onto the leaves of A";
    expect((await refusalOf(onLeaves({ water: { sourceId: river } }))).fields["/overrideReason"]).toContain(words);
    const brewed = await farm.readyExtract(await farm.vessel("Other"), { water: { sourceId: river } });
    const { storeId: ofRiver } = await closeBatch(farm.context(), closing({ batchId: brewed }));
    expect((await readField(farm.context(), await farmRow())).stores.map((store) => store.riverWater)).toEqual([
      false,
      true,
    ]);
    expect((await refusalOf(onLeaves({ storeId: ofRiver }))).fields["/overrideReason"]).toContain(words);
    // Onto the soil it may go as it is.
    await applyStore(farm.context(), applying(storeId, can, [bed], { water: { sourceId: river } }));
  });

  it("puts a store on plots: store, plots and log all know", async () => {
    const storeId = await strain();
    const [a, b, can] = [await farm.plot("A"), await farm.plot("B", { lengthM: 5 }), await farm.can()];
    await applyStore(farm.context(), applying(storeId, can, [a, b]));
    // 15 m² at 2 L/m² are 30 L of mix: three cans of 10 L with 100 mL in each.
    const view = await readField(farm.context(), await farmRow());
    expect(view.stores[0]!.onHandL).toBeCloseTo(69.7, 9);
    const got = await Promise.all([a, b].map((id) => listApplicationsOfPlot(farm.scratch.db, id)));
    expect(got.map(([last]) => [last!.mixL, last!.concentrateL])).toEqual([
      [20, 0.2],
      [10, 0.1],
    ]);
    expect(view.plots.map(({ last }) => last!.storeLabel)).toEqual(["Nettle", "Nettle"]);
    expect(
      (await readBatch(farm.context(), await farmRow(), batchId))!.applications.map(({ plotName }) => plotName),
    ).toEqual(["A", "B"]);
  });

  it("blocks dung on lettuce five days before harvest, and keeps who answered for it, what it carried and from when it may be picked", async () => {
    const tub = await farm.vessel("Tub", 100);
    await farm.lot("dung-aged", 30, 0);
    await farm.lot("pulse-flour", 10, 0);
    await farm.lot("raw-sugar", 10, 0);
    const dung = await farm.fill(tub, "dung-flour-ferment", 40, hoursAgo(200));
    await farm.log(dung, hoursAgo(2), { kind: "smell", word: "yeasty" });
    const storeId = (
      await closeBatch(farm.context(), {
        ...closing({ label: "Dung liquid", yieldL: 30 }),
        batchId: dung,
        overrideReason: "smells as it should",
      })
    ).storeId!;
    const bed = await farm.plot("Salad", { crop: "lettuce", leafEaten: true, harvestOn: "2031-03-25" });
    const can = await farm.can();
    const given = (change: object = {}) =>
      applyStore(farm.context(), applying(storeId, can, [bed], { ratio: "1:20", overrideReason: "", ...change }));
    for (const overrideReason of ["", "ok", "   because   "])
      expect(await refusalOf(given({ overrideReason }))).toMatchObject({
        code: "reason-needed",
        message: expect.stringContaining("dung") as string,
      });
    await given({ overrideReason: "ploughed in tomorrow, nobody eats of it" });
    const { plots } = await readField(farm.context(), await farmRow());
    expect(plots.find(({ id }) => id === bed)).toMatchObject({ clearOn: "2031-07-18" });
    expect(await listApplicationsOfPlot(farm.scratch.db, bed)).toMatchObject([{ carries: ["dung"] }]);
    // Its own rule stands in place of the cautious one.
    await setHarvestRule(farm.context(), {
      requestKey: key(),
      hazard: "dung",
      touchingD: 3,
      clearD: 3,
      source: "our certifier",
    });
    expect((await refusalOf(given())).message).toContain("got it today already");
  });

  it("prices the litre by its lots, hands and power, and each plot by its share", async () => {
    const storeId = await strain();
    const [a, can] = [await farm.plot("A"), await farm.can()];
    await applyStore(farm.context(), applying(storeId, can, [a]));
    const ledger = await readLedger(farm.context(), await farmRow());
    // 0.8 L of molasses at 4.00, 0.8 L of culture at 2.00, 50 minutes of hands at 12 an hour.
    expect(ledger.batches[0]!.cost.totalMinor).toBe(320 + 160 + 1000);
    expect(ledger.batches[0]!.cost.perLMinor).toBeCloseTo(1480 / 70, 9);
    // 0.2 L of it, and ten minutes of hands.
    expect(ledger.plots[0]!.costMinor).toBe(Math.round(0.2 * (1480 / 70) + 200));
  });

  it("lets no race draw the store twice", async () => {
    const storeId = await strain();
    const [a, can] = [await farm.plot("A", { widthM: 3, lengthM: 10 }), await farm.can()];
    const neat = applying(storeId, can, [a], { useId: "drench-bare", ratio: "neat", overrideReason: "trial" });
    const tries = await Promise.allSettled([
      applyStore(farm.context(), neat),
      applyStore(farm.context(NOW, 1), { ...neat, requestKey: key() }),
    ]);
    expect(tries.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    expect((await readField(farm.context(), await farmRow())).stores[0]!.onHandL).toBeCloseTo(10, 9);
  });

  it.each([
    [
      "more than the store holds",
      { useId: "drench-bare", ratio: "neat", mixRateL: 8, overrideReason: "trial" },
      "/plotIds",
      "the store holds 70 L",
    ],
    [
      "stronger than the book without a reason",
      { ratio: "1:10", overrideReason: "" },
      "/overrideReason",
      "stronger than the strongest",
    ],
    ["a ratio with no water", { ratio: "1:0" }, "/ratio", 'Write "undiluted"'],
    ["a ratio in words", { ratio: "a good glug" }, "/ratio", "is not a ratio"],
    ["a use that does not exist", { useId: "bathe" }, "/useId", "Unknown use"],
    [
      "a use the book does not know for it",
      { useId: "seedling", overrideReason: "" },
      "/overrideReason",
      "no known use",
    ],
    ["no plots", { plotIds: [] }, "/plotIds", "Choose at least one"],
    ["a plot that is not there", { plotIds: [4711] }, "/plotIds/0", "no such plot"],
    ["a flood", { mixRateL: 5000 }, "/mixRateL", "At most 1\u202f000 L"],
    ["before it was strained", { at: hoursAgo(3).toISOString() }, "/at", "before the batch was started"],
  ])("refuses to apply %s", async (_what, change, field, words) => {
    const storeId = await strain();
    const [a, can] = [await farm.plot("A"), await farm.can()];
    expect((await refusalOf(applyStore(farm.context(), applying(storeId, can, [a], change)))).fields[field]).toContain(
      words,
    );
  });

  it("refuses an injector that can't give so strong a dose", async () => {
    const storeId = await strain();
    const { toolId } = await addTool(farm.context(), {
      requestKey: key(),
      name: "Injector",
      kind: "injector",
      volumeL: 40,
      partsWater: 200,
    });
    expect(
      (await refusalOf(applyStore(farm.context(), applying(storeId, toolId, [await farm.plot("A")])))).fields[
        "/toolId"
      ],
    ).toContain("stronger than this injector can give");
  });

  it("steps up only after a clear patch test, and not at all after a marked one", async () => {
    const storeId = await strain();
    const [bed, can] = [await farm.plot("A"), await farm.can()];
    const strong = (change: object = {}) =>
      applyStore(farm.context(), applying(storeId, can, [bed], { overrideReason: "", ...change }));
    const patch = async (ratio: string, result: "clear" | "marked" | "dropped" | null) => {
      const test = { requestKey: key(), storeId, plotId: bed, useId: "drench-growing", ratio };
      const { patchTestId } = await startPatchTest(farm.context(), test);
      const look = { requestKey: key(), patchTestId, result, note: "" };
      if (result !== null) await seePatchTest(farm.context(), look);
    };
    const refused = async () => (await refusalOf(strong())).message;
    expect(await refused()).toContain("Try it on a few leaves first");
    await patch("1:99", "dropped");
    expect(await refused()).toContain("Try it on a few leaves first");
    await patch("1:99", null);
    expect(await refused()).toContain("is not looked at yet");
    await patch("1:60", "clear");
    await strong();
    await patch("1:99", "marked");
    expect((await refusalOf(strong({ overrideReason: "no" }))).message).toContain("marked the leaves");
    const { stores } = await readField(farm.context(), await farmRow());
    expect(stores[0]!.patchTests.map(({ partsWater, result }) => [partsWater, result])).toEqual([
      [99, "marked"],
      [60, "clear"],
      [99, null],
    ]);
    const nobody = seePatchTest(farm.context(), { requestKey: key(), patchTestId: 4711, result: "clear", note: "" });
    expect((await refusalOf(nobody)).fields["/patchTestId"]).toContain("no such patch test");
  });

  it("asks for a reason at noon, and a full one on leaves", async () => {
    const storeId = await strain();
    const [bed, can] = [await farm.plot("A", { crop: "fruit tree" }), await farm.can()];
    const noon = new Date("2031-03-21T05:00:00Z");
    const given = (change: object = {}) =>
      applyStore(farm.context(noon), applying(storeId, can, [bed], { ratio: "1:250", overrideReason: "", ...change }));
    expect((await refusalOf(given())).fields["/overrideReason"]).toContain("The sun is high");
    expect((await refusalOf(given({ useId: "foliar", overrideReason: "cloudy" }))).fields["/overrideReason"]).toContain(
      "The sun is high: wet leaves burn",
    );
    // Done at dusk the day before, put down at noon.
    await given({ at: NOW.toISOString() });
    // On leaves it is strained, and the nozzle looked at.
    const dusk = (change: object) =>
      given({
        at: NOW.toISOString(),
        useId: "foliar",
        ratio: "1:999",
        overrideReason: "no fruit on it yet",
        ...change,
      });
    expect((await refusalOf(dusk({}))).fields["/isStrained"]).toContain("Strain it to 0.2 mm");
    await dusk({ isStrained: true });
  });

  it("guards a living tea's clock: leaves within an hour, soil within four, after twelve nothing but compost", async () => {
    const air = await farm.vessel("Air drum", 100, 60);
    await farm.lot("castings", 20, 10);
    const teaId = await farm.fill(air, "aerated-tea", 60, hoursAgo(48));
    for (const hours of [44, 32, 20, 14]) await farm.log(teaId, hoursAgo(hours), { kind: "temperature", celsius: 22 });
    for (const hours of [17, 14]) await farm.log(teaId, hoursAgo(hours), { kind: "smell", word: "earthy" });
    const closed = await closeBatch(
      farm.context(hoursAgo(13)),
      closing({ batchId: teaId, yieldL: 50, at: hoursAgo(13).toISOString() }),
    );
    const [plot, can] = [await farm.plot("A", { leafEaten: true }), await farm.can()];
    const tea = (at: Date, change: object = {}) =>
      applyStore(
        farm.context(at),
        applying(closed.storeId!, can, [plot], { ratio: "1:1", mixRateL: 0.1, overrideReason: "", ...change }),
      );
    await tea(hoursAgo(12.5));
    expect((await refusalOf(tea(hoursAgo(11), { useId: "foliar" }))).fields["/overrideReason"]).toContain(
      "on leaves within 1 h",
    );
    expect((await refusalOf(tea(hoursAgo(12.5), { useId: "foliar" }))).fields["/overrideReason"]).toContain(
      "its leaves are eaten",
    );
    expect((await refusalOf(tea(hoursAgo(8)))).code).toBe("reason-needed");
    expect((await refusalOf(tea(NOW, { overrideReason: "pity to waste it" }))).code).toBe("use-barred");
    await tea(NOW, { useId: "compost" });
  });
});
