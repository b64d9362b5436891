import fc from "fast-check";
import { findFarm } from "@/data/farm/farm";
import { listLotsOnHand } from "@/data/shed/lots";
import { insertStockMovement } from "@/data/shed/movements";
import { inTransaction } from "@/data/db";
import { boundsOf } from "@/core/land/ring";
import { hoursAgo, key, NOW, TestFarm } from "@/testing/scratch";
import { closeBatch } from "../batch/closeBatch";
import { fillVessel } from "../fill/fillVessel";
import { readBatch } from "../batch/readBatch";
import { addPlot } from "../field/plots";
import { readField } from "../field/readField";
import { readLedger } from "../ledger/readLedger";
import { readShed } from "../shed/readShed";
import { readYard } from "../yard/readYard";

describe("what the screens read", () => {
  let farm: TestFarm;
  beforeEach(async () => {
    farm = await TestFarm.make();
  });
  afterEach(() => farm.scratch.drop());
  const row = async () => (await findFarm(farm.scratch.db))!;
  const yard = async (at = NOW) => readYard(farm.context(at), await row());

  it("puts what is late first in the round, then what is due in walking order, then by the clock", async () => {
    const [one, two, three] = [await farm.vessel("One"), await farm.vessel("Two"), await farm.vessel("Three", 100, 40)];
    await farm.lot("molasses", 9, 9);
    await farm.lot("lactic-culture", 9, 9);
    await farm.lot("castings", 20, 9);
    const late = await farm.fill(two, "cultured-extract", 70, hoursAgo(100));
    await farm.fill(one, "cultured-extract", 70, hoursAgo(30));
    await farm.fill(three, "aerated-tea", 70, hoursAgo(2));
    const { round } = await yard();
    expect(round[0]).toMatchObject({ urgency: "late", title: "Two: vent, or look at the airlock" });
    expect(round[0]!.why).toContain("Gas builds up");
    const urgencies = round.map(({ urgency }) => ({ late: 0, now: 1, later: 2 })[urgency]);
    expect(urgencies.toSorted()).toEqual(urgencies);
    expect(round.find(({ title }) => title.startsWith("Three"))).toMatchObject({
      urgency: "later",
      touch: { type: "open-log" },
    });
    await farm.log(late, hoursAgo(0.1), { kind: "act", act: "vented" });
    const after = await yard();
    expect(after.round.some(({ title }) => title.startsWith("Two: vent"))).toBe(false);
    expect(after.done[0]).toMatchObject({ title: "Two: Vented", by: "Ana" });
  });

  it("asks each thing of a batch once, though programme and verdict both ask it", async () => {
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 9, 9);
    await farm.lot("lactic-culture", 9, 9);
    await farm.fill(drum, "cultured-extract", 70, hoursAgo(12 * 24));
    const keys = (await yard()).round.map(({ key: name }) => name);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys.filter((name) => name.endsWith("read-ph"))).toHaveLength(1);
  });

  it("forgets nothing that was kept and keeps nothing that is stale: the same yard, asked twice and after an entry", async () => {
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 9, 9);
    await farm.lot("lactic-culture", 9, 9);
    const batchId = await farm.fill(drum, "cultured-extract", 70, hoursAgo(9 * 24));
    const window = async () => (await yard()).vessels[0]!.batch!.window;
    const first = await window();
    expect(await window()).toEqual(first);
    await farm.log(batchId, hoursAgo(1), { kind: "ph", value: 5.4, instrument: "meter", spot: "mid-depth" });
    expect(await window()).not.toEqual(first);
  });

  it("shows what spoils first at the front of the shed, and an empty lot nowhere", async () => {
    await farm.lot("molasses", 5, 9);
    await farm.lot("kelp-meal", 1, 9);
    await farm.scratch.pool.query("update lot set expires_on = '2031-04-01' where ingredient_id = 'kelp-meal'");
    const { items } = await readShed(farm.context(), await row());
    expect(items.map(({ name, onHand, expiresOn }) => [name, onHand, expiresOn])).toEqual([
      ["Kelp meal", 1, "2031-04-01"],
      ["Molasses", 5, "2034-01-01"],
    ]);
    const [kelp] = await listLotsOnHand(farm.scratch.db);
    await inTransaction(farm.scratch.pool, (db) =>
      insertStockMovement(db, {
        lotId: kelp!.id,
        changeBy: -1,
        kind: "wasted",
        batchId: null,
        at: NOW,
        actorId: 1,
        note: "mouse",
      }),
    );
    expect((await readShed(farm.context(), await row())).items.map(({ name }) => name)).toEqual(["Molasses"]);
  });

  it("sets beds down beside each other, and begins a new bank where one is full", async () => {
    for (let bed = 1; bed <= 20; bed += 1) await farm.plot(`Bed ${bed}`, { widthM: 1.2 });
    const { plots } = await readField(farm.context(), await row());
    const boxes = plots.map(({ ring }) => boundsOf(ring));
    expect(new Set(boxes.map(({ minY }) => minY)).size).toBe(2);
    for (const bank of [boxes.filter(({ minY }) => minY === 0), boxes.filter(({ minY }) => minY > 0)])
      bank.slice(1).forEach(({ minX }, index) => expect(minX).toBeGreaterThan(bank[index]!.maxX));
    expect(plots[0]!.areaM2).toBe(12);
  });

  it("lets no bed be drawn twice under one name, and no bed of no size", async () => {
    await farm.plot("Bed 1");
    const bed = { requestKey: key(), name: "Bed 1", stage: "growing", widthM: 1, lengthM: 1 };
    await expect(addPlot(farm.context(), bed)).rejects.toMatchObject({ code: "name-taken", params: { name: "Bed 1" } });
    await expect(
      addPlot(farm.context(), { ...bed, requestKey: key(), name: "Bed 2", widthM: 0 }),
    ).rejects.toMatchObject({
      code: "bad-request",
    });
  });

  it("keeps the cost of a drum that was thrown away in the books, without a price per litre", async () => {
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 1, 4);
    await farm.lot("lactic-culture", 1, 2);
    const batchId = await farm.fill(drum, "cultured-extract", 80, hoursAgo(48));
    await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "discarded",
      yieldL: 0,
      residue: "compost",
      labourMin: 10,
    });
    const ledger = await readLedger(farm.context(), await row());
    // 0.8 L at 4.00 and 0.8 L at 2.00, 40 minutes at 12 an hour.
    expect(ledger.batches[0]).toMatchObject({
      outcome: "discarded",
      yieldL: null,
      cost: { totalMinor: 320 + 160 + 800, perLMinor: null },
    });
  });

  it("charges a tea for its pump, by the hours it ran", async () => {
    const air = await farm.vessel("Air drum", 100, 100);
    await farm.lot("molasses", 1, 4);
    await farm.lot("castings", 9, 0);
    const batchId = await farm.fill(air, "aerated-tea", 60, hoursAgo(20));
    const page = (await readBatch(farm.context(), await row(), batchId))!;
    // 100 W for 20 h is 2 kWh at 0.50.
    expect(page.cost.breakdown.find(({ kind }) => kind === "power")!.costMinor).toBe(100);
  });

  it("freezes the recipe in the batch", async () => {
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 9, 9);
    await farm.lot("lactic-culture", 9, 9);
    const { batchId } = await fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 70));
    const [rows] = await farm.scratch.pool.query("select recipe from batch where id = ?", [batchId]);
    expect((rows as { recipe: object }[])[0]!.recipe).toMatchObject({
      methodName: "Cultured plant extract",
      schoolName: "Equal parts",
      limitedBy: "vessel",
    });
  });

  it("has no page for a batch that never was", async () =>
    expect(await readBatch(farm.context(), await row(), 4711)).toBeNull());

  it("holds to its ledger: what is on hand is the sum of the movements, in whatever order they came, and never below nothing", async () => {
    const lotId = await farm.lot("rice", 10, 1);
    let sumMilli = 10_000;
    const moves = fc
      .sample(fc.integer({ min: -6000, max: 3000 }), { numRuns: 40, seed: 11 })
      .filter((milli) => milli !== 0);
    for (const milli of moves) {
      const move = {
        lotId,
        changeBy: milli / 1000,
        kind: milli > 0 ? ("received" as const) : ("wasted" as const),
        batchId: null,
        at: NOW,
        actorId: 1,
        note: "",
      };
      const went = await inTransaction(farm.scratch.pool, (db) => insertStockMovement(db, move)).then(
        () => true,
        () => false,
      );
      expect(went).toBe(sumMilli + milli >= 0);
      if (went) sumMilli += milli;
    }
    const held = (await listLotsOnHand(farm.scratch.db)).find(({ id }) => id === lotId)?.onHand ?? 0;
    expect(Math.round(held * 1000)).toBe(sumMilli);
  });
});
