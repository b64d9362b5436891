import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, refusalOf, TestFarm } from "@/testing/scratch";
import { readShed } from "../shed/readShed";
import { closeBatch } from "./closeBatch";
import { logResidue } from "./logResidue";
import { readBatch } from "./readBatch";

describe("what a batch leaves", () => {
  let farm: TestFarm;
  let batchId: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
  });
  afterEach(() => farm.scratch.drop());
  const left = async () =>
    (await readBatch(farm.context(), (await findFarm(farm.scratch.db))!, batchId))!.residues.map(
      ({ what, to, amount, place }) => ({ what, to, amount, place }),
    );
  const log = (change: object) =>
    logResidue(farm.context(), { requestKey: key(), batchId, what: "solids", to: "compost", ...change });

  it("is written down, corrected by a later line, and taken back, each once", async () => {
    batchId = await farm.readyExtract(await farm.vessel("Drum"));
    const { residueId } = await log({ amount: 3.2, place: "heap 1" });
    expect(await left()).toEqual([{ what: "solids", to: "compost", amount: 3.2, place: "heap 1" }]);
    const { residueId: second } = await log({ replacesId: residueId, amount: 2.3 });
    expect(await left()).toEqual([{ what: "solids", to: "compost", amount: 2.3, place: "" }]);
    expect((await refusalOf(log({ replacesId: residueId, amount: 9 }))).message).toContain("just corrected");
    await log({ replacesId: second, isNone: true });
    expect(await left()).toEqual([]);
    expect((await refusalOf(log({ at: hoursAgo(24 * 50).toISOString() }))).fields["/at"]).toContain("before the batch");
  });

  it("stays off food beds where dung is in it, unless somebody says why", async () => {
    for (const ingredient of ["dung-fresh", "greens", "ash", "char"]) await farm.lot(ingredient, 200, 0);
    batchId = await farm.fill(await farm.vessel("Sack drum", 200), "drum-manure-tea", 60, hoursAgo(24 * 30));
    expect((await refusalOf(log({ to: "dug-in" }))).fields["/overrideReason"]).toContain("dung or urine");
    await log({ to: "dug-in", overrideReason: "bare until next spring" });
    await log({ what: "rinse", to: "trees", amount: 20, unit: "L" });
    expect((await left()).map(({ to }) => to)).toEqual(["dug-in", "trees"]);
    const closing = { requestKey: key(), batchId, kind: "strained", yieldL: 50, labourMin: 20 };
    const refused = await refusalOf(closeBatch(farm.context(), { ...closing, residue: "under-mulch" }));
    expect(Object.keys(refused.fields)).toEqual(["/overrideReason"]);
  });

  it("that serves again is a lot of the shed, free and with its past, and is corrected there", async () => {
    for (const ingredient of ["vinegar", "eggshell"]) await farm.lot(ingredient, 200, 10);
    batchId = await farm.fill(await farm.vessel("Jar"), "shell-calcium", 10, hoursAgo(24 * 12));
    const { residueId } = await log({ what: "shell", to: "kept", amount: 0.4 });
    const shed = await readShed(farm.context(), (await findFarm(farm.scratch.db))!);
    // 200 came in, 2.5 went into the jar, 0.4 came back.
    expect(shed.items.find(({ itemId }) => itemId === "eggshell")).toMatchObject({ onHand: 197.9, lotCount: 2 });
    expect((await refusalOf(log({ what: "shell", to: "kept", replacesId: residueId }))).message).toContain(
      "in stock as a lot",
    );
  });
});
