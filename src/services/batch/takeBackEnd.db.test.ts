import fc from "fast-check";
import { listLotsLeft } from "@/data/batch";
import { findFarm } from "@/data/farm/farm";
import { listStoresOfBatch } from "@/data/stores";
import { key, hoursAgo, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { applyStore } from "../field/applyStore";
import { readYard } from "../yard/readYard";
import { closeBatch } from "./closeBatch";
import { takeBackEnd } from "./takeBackEnd";
import { cleanVessel, takeBackWashing } from "./washing";

describe("an end that was a slip", () => {
  let farm: TestFarm;
  let vessel: number;
  let batchId: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
    vessel = await farm.vessel("Blue drum");
    batchId = await farm.readyExtract(vessel);
  });
  afterEach(() => farm.scratch.drop());

  const farmRow = async () => (await findFarm(farm.scratch.db))!;
  const end = (change: object = {}) =>
    closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL: 60,
      residue: "compost",
      labourMin: 20,
      label: "Extract",
      ...change,
    });
  const undo = () => takeBackEnd(farm.context(), { requestKey: key(), batchId });
  const standsAs = async () =>
    (await readYard(farm.context(), await farmRow())).vessels.find(({ id }) => id === vessel)!.status;
  const storedL = async () =>
    (await listStoresOfBatch(farm.scratch.db, batchId)).reduce((litres, { onHandL }) => litres + onHandL, 0);

  const pour = async (storeId: number, bed: number) =>
    applyStore(farm.context(), {
      requestKey: key(),
      storeId,
      useId: "drench-growing",
      ratio: "1:250",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: await farm.can(),
      plotIds: [bed],
      labourMin: 10,
      water: { sourceId: RAIN_ID },
    });

  it("runs on in its vessel, gives back what it gave, and ends anew, any number of times", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.record({ kind: fc.constantFrom("strained", "discarded"), litres: fc.integer({ min: 1, max: 80 }) }),
        async ({ kind, litres }) => {
          await end({ kind, yieldL: kind === "strained" ? litres : 0 });
          expect(await standsAs()).toBe("dirty");
          expect(await storedL()).toBe(kind === "strained" ? litres : 0);
          await undo();
          expect(await standsAs()).toBe("running");
          expect(await listStoresOfBatch(farm.scratch.db, batchId)).toEqual([]);
          // Its log goes on.
          await farm.log(batchId, hoursAgo(0), { kind: "smell", word: "cidery" });
        },
      ),
      { numRuns: 6 },
    );
    expect((await refusalOf(undo())).fields).toHaveProperty(["/batchId"]);
    await end({ yieldL: 42 });
    expect(await storedL()).toBe(42);
  });
  it("gives back the lot that it was made into, too", async () => {
    const jar = await farm.vessel("Crock");
    const { lines } = farm.fillRequest(jar, "lactic-serum", 8);
    for (const { ingredientId, used, pickedNow } of lines)
      if (ingredientId !== "water" && !pickedNow) await farm.lot(ingredientId, used * 2, 10);
    const serum = await farm.fill(jar, "lactic-serum", 8, hoursAgo(6 * 24));
    const held = async () =>
      (await listLotsLeft(farm.scratch.db, serum, new Date(0))).reduce((litres, { onHand }) => litres + onHand, 0);
    for (const yieldL of [5, 4]) {
      await end({ batchId: serum, yieldL, intoShed: true, overrideReason: "it smells right" });
      expect(await held()).toBe(yieldL);
      await takeBackEnd(farm.context(), { requestKey: key(), batchId: serum });
      expect(await held()).toBe(0);
    }
  });
  it("is undone, or poured from, where two do both at once", async () => {
    const bed = await farm.plot("Bed 1", { widthM: 1.2, lengthM: 10 });
    const { storeId } = await end();
    const [undone, poured] = await Promise.allSettled([undo(), pour(storeId!, bed)]);
    expect([undone.status, poured.status].toSorted()).toEqual(["fulfilled", "rejected"]);
    expect(await standsAs()).toBe(undone.status === "fulfilled" ? "running" : "dirty");
    expect((await storedL()) > 0).toBe(poured.status === "fulfilled");
  });
  it("is not taken back once some of it was put on, nor once the vessel was washed or filled again", async () => {
    const { storeId } = await end();
    await cleanVessel(farm.context(), { requestKey: key(), vesselId: vessel });
    expect((await refusalOf(undo())).code).toBe("end-vessel-washed");
    await takeBackWashing(farm.context(), { requestKey: key(), vesselId: vessel });
    const bed = await farm.plot("Bed 1", { widthM: 1.2, lengthM: 10 });
    await pour(storeId!, bed);
    expect((await refusalOf(undo())).code).toBe("end-used");
    expect(await standsAs()).toBe("dirty");
    await cleanVessel(farm.context(), { requestKey: key(), vesselId: vessel });
    await farm.fill(vessel, "leaf-soak", 20, NOW).catch(() => farm.readyExtract(vessel));
    expect((await refusalOf(undo())).code).toBe("end-vessel-taken");
  });
});
