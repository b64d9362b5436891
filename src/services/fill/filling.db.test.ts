import { listBatchLines } from "@/data/batch/batchLines";
import { listRunningBatches } from "@/data/batch/batches";
import { listDrawsOfBatch } from "@/data/shed/draws";
import { listLotsOnHand } from "@/data/shed/lots";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { fillVessel } from "./fillVessel";
import { receiveLot } from "../shed/receiveLot";

describe("filling a vessel", () => {
  let farm: TestFarm;
  let drum: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
    drum = await farm.vessel("Drum");
  });
  afterEach(() => farm.scratch.drop());
  const onHand = async (id: string) =>
    (await listLotsOnHand(farm.scratch.db))
      .filter(({ ingredientId }) => ingredientId === id)
      .reduce((sum, lot) => sum + lot.onHand, 0);

  it("takes stock down by what was really used, oldest lot first, and keeps what was planned beside it", async () => {
    const young = await farm.lot("molasses", 5, 25, "2031-02-01");
    const old = await farm.lot("molasses", 0.5, 1, "2030-10-01");
    await farm.lot("lactic-culture", 3, 6);
    const request = farm.fillRequest(drum, "cultured-extract", 80);
    request.lines.find(({ ingredientId }) => ingredientId === "molasses")!.used = 1.25;
    const { batchId } = await fillVessel(farm.context(), request);
    const draws = (await listDrawsOfBatch(farm.scratch.db, batchId)).filter(
      ({ ingredientId }) => ingredientId === "molasses",
    );
    expect(draws.map(({ lotId, amount }) => [lotId, amount])).toEqual([
      [old, 0.5],
      [young, 0.75],
    ]);
    expect(draws.map(({ unitCostMinor }) => unitCostMinor)).toEqual([200, 500]);
    expect(await onHand("molasses")).toBeCloseTo(4.25, 9);
    const line = (await listBatchLines(farm.scratch.db, batchId)).find(
      ({ ingredientId }) => ingredientId === "molasses",
    )!;
    expect([line.planned, line.used]).toEqual([0.8, 1.25]);
  });

  it("writes nothing at all where the shed holds too little, and says so at the line", async () => {
    await farm.lot("molasses", 0.3, 2);
    await farm.lot("lactic-culture", 3, 6);
    const refusal = await refusalOf(fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 80)));
    expect(refusal.code).toBe("short-of-stock");
    expect(refusal.fields).toEqual({ "/lines/1/used": "The shed holds 300 mL of molasses." });
    expect(await onHand("molasses")).toBeCloseTo(0.3, 9);
    expect(await listRunningBatches(farm.scratch.db)).toEqual([]);
  });

  it("lets one of two people fill a vessel at once, and tells the other", async () => {
    await farm.lot("molasses", 50, 100);
    await farm.lot("lactic-culture", 50, 100);
    const tries = await Promise.allSettled(
      [0, 1].map((person) => fillVessel(farm.context(NOW, person), farm.fillRequest(drum, "cultured-extract", 80))),
    );
    expect(tries.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    const lost = tries.find((result) => result.status === "rejected");
    expect(lost).toMatchObject({ reason: { code: "vessel-filled", params: { vessel: "Drum" } } });
    expect(await onHand("molasses")).toBeCloseTo(49.2, 9);
  });

  it("lets no race take the last litre twice", async () => {
    await farm.lot("molasses", 1, 4);
    await farm.lot("lactic-culture", 50, 100);
    const other = await farm.vessel("Other drum");
    const tries = await Promise.allSettled(
      [drum, other].map((vesselId) => fillVessel(farm.context(), farm.fillRequest(vesselId, "cultured-extract", 80))),
    );
    expect(tries.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    expect(await onHand("molasses")).toBeCloseTo(0.2, 9);
  });

  it("guards the ledger itself against going below nothing", async () => {
    const lotId = await farm.lot("molasses", 1, 4);
    await expect(
      farm.scratch.pool.query(
        "insert into stock_movement (lot_id, change_by, kind, at, actor_id) values (?, -1.001, 'wasted', utc_timestamp(3), 1)",
        [lotId],
      ),
    ).rejects.toThrow("stock-below-zero");
  });

  it("writes a double tap once, at once or later", async () => {
    await farm.lot("molasses", 50, 100);
    await farm.lot("lactic-culture", 50, 100);
    const request = farm.fillRequest(drum, "cultured-extract", 80);
    const [one, two] = await Promise.all([fillVessel(farm.context(), request), fillVessel(farm.context(), request)]);
    const three = await fillVessel(farm.context(), request);
    expect([two, three]).toEqual([one, one]);
    expect(await listRunningBatches(farm.scratch.db)).toHaveLength(1);
  });

  it("books what was picked just now and uses just that", async () => {
    await farm.lot("molasses", 5, 10);
    await farm.lot("lactic-culture", 5, 10);
    await farm.lot("plant", 9, 0);
    await farm.fill(drum, "cultured-extract", 80);
    expect(await onHand("plant")).toBeCloseTo(9, 9);
  });

  it.each([
    ["a school that does not exist", { schoolId: "twelve-parts" }, "/schoolId", 'has no recipe "twelve-parts"'],
    ["a method that does not exist", { methodId: "moon-water" }, "/methodId", "Unknown method"],
    ["more than the vessel takes", { basisAmount: 99 }, "/basisAmount", "the vessel takes"],
    ["a start in the future", { startedAt: "2031-03-21T10:00:00Z" }, "/startedAt", "lies in the future"],
    ["a start long ago", { startedAt: "2030-03-21T10:00:00Z" }, "/startedAt", "two months"],
    ["a liquid hotter than a kettle", { statedC: 130 }, "/statedC", "At most 60 °C."],
    ["less than no time", { labourMin: -5 }, "/labourMin", "At least 0."],
    ["a vessel that is not there", { vesselId: 999 }, "/vesselId", "no such vessel"],
    ["a tea in a vessel without air", { methodId: "aerated-tea", schoolId: "bacterial" }, "/methodId", "no air"],
  ])("refuses %s at its field", async (_what, change, field, words) => {
    await farm.lot("molasses", 5, 10);
    await farm.lot("lactic-culture", 5, 10);
    const refusal = await refusalOf(
      fillVessel(farm.context(), { ...farm.fillRequest(drum, "cultured-extract", 80), ...change }),
    );
    expect(refusal.fields[field]).toContain(words);
  });

  it("wants a reason for a start too thin to begin, a litre of leachate in a thousand of water", async () => {
    const tote = await farm.vessel("Tote", 1400, 80);
    await farm.lot("leachate", 40, 10);
    await farm.lot("molasses", 40, 10);
    const thin = (change: object = {}) => {
      const request = farm.fillRequest(tote, "leachate-bloom", 1000, change);
      return { ...request, lines: request.lines.map((l) => (l.ingredientId === "leachate" ? { ...l, used: 1 } : l)) };
    };
    const refused = await refusalOf(fillVessel(farm.context(), thin()));
    expect(refused.code).toBe("reason-needed");
    expect(refused.fields["/overrideReason"]).toContain("Worm leachate is 0.099 % of the liquid; under 1 %");
    await fillVessel(farm.context(), thin({ overrideReason: "a trial beside the other" }));
  });
  it("refuses amounts changed by hand that pass the brim", async () => {
    const request = farm.fillRequest(drum, "cultured-extract", 80);
    request.lines[0]!.used = 120;
    expect((await refusalOf(fillVessel(farm.context(), request))).code).toBe("over-brim");
  });

  it("refuses lots from tomorrow, that expire before they came, of nothing, of nothing known", async () => {
    const lot = {
      requestKey: key(),
      ingredientId: "molasses",
      amount: 1,
      origin: "bought",
      receivedOn: "2031-03-20",
      cost: 1,
    };
    const fieldsOf = async (change: object) =>
      Object.keys((await refusalOf(receiveLot(farm.context(), { ...lot, requestKey: key(), ...change }))).fields);
    expect(await fieldsOf({ receivedOn: "2031-03-21" })).toEqual(["/receivedOn"]);
    expect(await fieldsOf({ expiresOn: "2031-03-19" })).toEqual(["/expiresOn"]);
    expect(await fieldsOf({ amount: 0 })).toEqual(["/amount"]);
    expect(await fieldsOf({ ingredientId: "unicorn" })).toEqual(["/ingredientId"]);
    expect(await fieldsOf({ receivedOn: "the day before" })).toEqual(["/receivedOn"]);
  });

  it("refuses a start before a vessel is washed", async () => {
    await farm.readyExtract(drum);
    expect(
      (await refusalOf(fillVessel(farm.context(hoursAgo(1)), farm.fillRequest(drum, "cultured-extract", 80)))).code,
    ).toBe("vessel-filled");
  });
});
