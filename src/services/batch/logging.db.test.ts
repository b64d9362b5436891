import { listLog, listStanding } from "@/data/batch/entries";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { findFarm } from "@/data/farm/farm";
import { listStoresOnHand } from "@/data/stores/stores";
import { closeBatch } from "./closeBatch";
import { addToBatch } from "./feedBatch";
import { logEntry } from "./logEntry";
import { readBatch } from "./readBatch";
import { readYard } from "../yard/readYard";

describe("the log", () => {
  let farm: TestFarm;
  let batchId: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 5, 10);
    await farm.lot("lactic-culture", 5, 10);
    batchId = await farm.fill(drum, "cultured-extract", 80, hoursAgo(15 * 24));
  });
  afterEach(() => farm.scratch.drop());
  const batchInYard = async () =>
    (await readYard(farm.context(), (await findFarm(farm.scratch.db))!)).vessels[0]!.batch!;

  it("redraws the verdict and its reasons with each entry", async () => {
    const before = await batchInYard();
    expect(before.reasons.join(" ")).toContain("No pH yet");
    await farm.log(batchId, hoursAgo(1), { kind: "ph", value: 3.8, instrument: "meter", spot: "mid-depth" });
    const read = await batchInYard();
    expect(read.reasons.join(" ")).toContain("pH 3.8; at or under 4.");
    expect(read.state).toBe("near");
    await farm.log(batchId, hoursAgo(1), { kind: "smell", word: "cidery" });
    expect((await batchInYard()).state).toBe("ready");
    await farm.log(batchId, hoursAgo(0.5), { kind: "film", word: "coloured mould" });
    expect((await batchInYard()).state).toBe("spoiled");
  });

  it("corrects by a later entry: the old one stays readable and no longer counts", async () => {
    const wrong = await farm.log(batchId, hoursAgo(2), { kind: "film", word: "coloured mould" });
    expect((await batchInYard()).state).toBe("spoiled");
    await farm.log(batchId, hoursAgo(2), { kind: "film", word: "white bubbly" }, { correctsId: wrong });
    expect((await batchInYard()).state).not.toBe("spoiled");
    expect((await listLog(farm.scratch.db, batchId)).map(({ word }) => word).toSorted()).toEqual([
      "coloured mould",
      "white bubbly",
    ]);
    expect((await listStanding(farm.scratch.db, batchId)).map(({ word }) => word)).toEqual(["white bubbly"]);
  });

  it("raises the level by what is topped up and thins what is in it, until that is struck out", async () => {
    const page = async () => (await readBatch(farm.context(), (await findFarm(farm.scratch.db))!, batchId))!;
    const before = await page();
    const topUp = await farm.log(batchId, hoursAgo(20), { kind: "act", act: "topped-up", litres: 8 });
    const topped = await page();
    expect(topped.batch.filledL).toBeCloseTo(before.batch.filledL + 8, 3);
    expect(topped.strength).toBeCloseTo(before.batch.filledL / (before.batch.filledL + 8), 6);
    expect(topped.content.gPerL.k2o.default).toBeLessThan(before.content.gPerL.k2o.default);
    expect((await batchInYard()).filledL).toBeCloseTo(topped.batch.filledL, 3);
    await logEntry(farm.context(), { requestKey: key(), batchId, correctsId: topUp, entry: { kind: "withdrawn" } });
    expect((await page()).strength).toBe(1);
    expect((await page()).batch.filledL).toBeCloseTo(before.batch.filledL, 3);
  });
  it("tops up no further than the brim, and yields no more than stands in it", async () => {
    const topUp = (litres: number) =>
      refusalOf(
        logEntry(farm.context(), { requestKey: key(), batchId, entry: { kind: "act", act: "topped-up", litres } }),
      );
    expect((await topUp(30)).fields["/entry/litres"]).toMatch(/^Only 1\d(\.\d)? L more fit into Drum\.$/);
    const roomL = 100 - (await batchInYard()).filledL;
    await farm.log(batchId, hoursAgo(1), { kind: "act", act: "topped-up", litres: Number(roomL.toFixed(2)) });
    expect((await topUp(5)).fields["/entry/litres"]).toBe("Drum is full.");
    const water = { requestKey: key(), batchId, ingredientId: "water", amount: 5 };
    expect((await refusalOf(addToBatch(farm.context(), water))).fields).toHaveProperty("/amount");
    const yields = (yieldL: number) => ({
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL,
      residue: "compost",
      labourMin: 5,
      label: "Extract",
      overrideReason: "trial",
    });
    expect((await refusalOf(closeBatch(farm.context(), yields(140)))).fields["/yieldL"]).toContain("100 L stand in it");
    // What was topped up comes off as well.
    const { storeId } = await closeBatch(farm.context(), yields(95));
    const [store] = await listStoresOnHand(farm.scratch.db);
    expect(store).toMatchObject({ id: storeId, onHandL: 95 });
    expect(store!.strength).toBeCloseTo((100 - roomL) / 100, 3);
  });
  it("lets two people correct one entry only once", async () => {
    const wrong = await farm.log(batchId, hoursAgo(2), {
      kind: "ph",
      value: 9,
      instrument: "meter",
      spot: "mid-depth",
    });
    const fix = (value: number) =>
      logEntry(farm.context(), {
        requestKey: key(),
        batchId,
        correctsId: wrong,
        entry: { kind: "ph", value, instrument: "meter", spot: "mid-depth" },
      });
    const tries = await Promise.allSettled([fix(4.1), fix(4.2)]);
    expect(tries.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
  });

  it.each([
    ["pH 19", { kind: "ph", value: 19, instrument: "meter", spot: "mid-depth" }, "/entry/value"],
    ["a pH in words", { kind: "ph", value: "sour", instrument: "meter", spot: "mid-depth" }, "/entry/value"],
    ["a smell that is not on the list", { kind: "smell", word: "of elderberries" }, "/entry/word"],
    ["a boiling drum", { kind: "temperature", celsius: 101 }, "/entry/celsius"],
    ["a top-up of nothing", { kind: "act", act: "topped-up", litres: 0 }, "/entry/litres"],
    ["an act nobody knows", { kind: "act", act: "sung-to" }, "/entry/act"],
  ])("refuses %s at its field", async (_what, entry, field) => {
    expect((await refusalOf(logEntry(farm.context(), { requestKey: key(), batchId, entry }))).fields).toHaveProperty([
      field,
    ]);
  });

  it("refuses a moment before the batch began, or ahead", async () => {
    const entry = { kind: "smell", word: "cidery" };
    const at = async (moment: Date) =>
      (await refusalOf(logEntry(farm.context(), { requestKey: key(), batchId, at: moment.toISOString(), entry })))
        .fields["/at"];
    expect(await at(hoursAgo(16 * 24))).toBe("This lies before the batch was started.");
    expect(await at(hoursAgo(-2))).toBe("This lies in the future.");
  });

  it("takes nothing new once the batch has ended, but still corrects", async () => {
    const entryId = await farm.log(batchId, hoursAgo(1), {
      kind: "ph",
      value: 3.8,
      instrument: "meter",
      spot: "mid-depth",
    });
    await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "discarded",
      yieldL: 0,
      residue: "compost",
      labourMin: 5,
    });
    expect((await refusalOf(farm.log(batchId, NOW, { kind: "smell", word: "cidery" }))).code).toBe("batch-closed");
    await farm.log(batchId, NOW, { kind: "withdrawn" }, { correctsId: entryId });
    expect(await listStanding(farm.scratch.db, batchId)).toEqual([]);
  });
});
