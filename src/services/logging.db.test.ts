import { listLog, listStanding } from "@/data/entries";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { findFarm } from "@/data/farm";
import { closeBatch } from "./closeBatch";
import { logEntry } from "./logEntry";
import { readYard } from "./readYard";

describe("the log", () => {
  let farm: TestFarm;
  let batchId: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 5, 10);
    await farm.lot("lactic-culture", 5, 10);
    batchId = await farm.fill(drum, "cultured-extract", 80, hoursAgo(10 * 24));
  });
  afterEach(() => farm.scratch.drop());
  const batchInYard = async () =>
    (await readYard(farm.context(), (await findFarm(farm.scratch.db))!)).vessels[0]!.batch!;

  it("redraws the verdict and its reasons with each entry", async () => {
    const before = await batchInYard();
    expect(before.reasons.join(" ")).toContain("No pH read yet");
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
    expect(await at(hoursAgo(11 * 24))).toBe("This lies before the batch was started.");
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
