import fc from "fast-check";
import { BROUGHT, broughtPerL, NOTHING_BROUGHT, addBrought, timesBrought } from "@/core/apply/brought";
import { findFarm } from "@/data/farm/farm";
import { listBrought } from "@/data/field";
import { RAIN_ID, hoursAgo, key, refusalOf, TestFarm } from "@/testing/scratch";
import { closeBatch } from "../batch/closeBatch";
import { contentsOfBatches } from "../content";
import { emptyStore } from "../stores/changeStore";
import { readTrace } from "../trace/readTrace";
import { applyStore } from "./applyStore";
import { setElsewhere } from "./elsewhere";
import { readField } from "./readField";
import { readPlot } from "./readPlot";
import { redateApplication, takeBackApplication } from "./takeBack";

describe("putting on", () => {
  let farm: TestFarm;
  let store: number;
  let can: number;
  let bed: number;
  beforeEach(async () => {
    farm = await TestFarm.make();
    store = await farm.strained({ yieldL: 60 });
    can = await farm.can();
    bed = await farm.plot("Bed 1", { widthM: 1.2, lengthM: 10 });
  });
  afterEach(() => farm.scratch.drop());
  const farmRow = async () => (await findFarm(farm.scratch.db))!;
  const put = (change: object = {}, ctx = farm.context()) =>
    applyStore(ctx, {
      requestKey: key(),
      storeId: store,
      useId: "drench-growing",
      ratio: "1:250",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: can,
      plotIds: [bed],
      labourMin: 10,
      water: { sourceId: RAIN_ID },
      ...change,
    });
  const onHand = async (id: number) =>
    (await readField(farm.context(), await farmRow())).stores.find((one) => one.id === id)?.onHandL ?? 0;
  const brought = async () => (await listBrought(farm.scratch.db, "2030-01-01")).get(bed) ?? NOTHING_BROUGHT;
  const second = async () => {
    const batchId = await farm.readyExtract(await farm.vessel("Other drum"));
    const closed = await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL: 20,
      residue: "compost",
      labourMin: 10,
      label: "Comfrey",
    });
    return closed.storeId!;
  };

  describe("of two in one can", () => {
    it("takes each by its parts, logs both with each other's name, and gives both back", async () => {
      const other = await second();
      const before = [await onHand(store), await onHand(other)];
      const { applicationId } = await put({ second: { storeId: other, parts: 3 }, ratio: "1:299" });
      // 24 L of mix hold 80 mL: one part and three.
      const taken = [before[0]! - (await onHand(store)), before[1]! - (await onHand(other))];
      expect(taken[0]! + taken[1]!).toBeCloseTo(0.08, 2);
      expect(Math.abs(taken[1]! - 3 * taken[0]!)).toBeLessThanOrEqual(0.002);
      const page = (await readPlot(farm.context(), await farmRow(), bed))!;
      const [one, two] = page.doses;
      expect([one!.blendedWith, two!.blendedWith]).toEqual([two!.storeLabel, one!.storeLabel]);
      expect(page.doses.reduce((sum, { mixL }) => sum + mixL, 0)).toBeCloseTo(24, 2);
      const trace = (await readTrace(farm.context(), await farmRow(), { plotId: bed }))!;
      expect(trace.batches).toHaveLength(2);
      await takeBackApplication(farm.context(), { requestKey: key(), applicationId, reason: "wrong bed" });
      expect([await onHand(store), await onHand(other)]).toEqual(before);
      expect((await readPlot(farm.context(), await farmRow(), bed))!.doses).toEqual([]);
      expect(await brought()).toEqual(NOTHING_BROUGHT);
      expect(
        (await refusalOf(takeBackApplication(farm.context(), { requestKey: key(), applicationId, reason: "again" })))
          .fields["/applicationId"],
      ).toBeDefined();
    });
    it("ends where the scarcer one ends, and never blends a store with itself", async () => {
      const other = await second();
      expect((await refusalOf(put({ second: { storeId: store, parts: 1 } }))).fields["/second/storeId"]).toContain(
        "one store",
      );
      const refused = await refusalOf(
        put({
          second: { storeId: other, parts: 5 },
          ratio: "1:20",
          mixRateL: 60,
          overrideReason: "as an outsider would",
        }),
      );
      expect(refused.fields["/plotIds"]).toContain("20 L");
      expect(await onHand(other)).toBe(20);
    });
  });

  it("adds up what each plot is brought, exactly, whatever is put on and taken back", async () => {
    const content = (
      await contentsOfBatches(farm.scratch.db, [(await readField(farm.context(), await farmRow())).stores[0]!.batchId])
    )
      .values()
      .next().value!;
    const perL = broughtPerL(content, false);
    let should = NOTHING_BROUGHT;
    await fc.assert(
      fc.asyncProperty(fc.double({ min: 0.5, max: 3, noNaN: true }), fc.boolean(), async (rate, isTakenBack) => {
        const before = await onHand(store);
        const { applicationId } = await put({ mixRateL: rate, overrideReason: "once more today" });
        const litres = before - (await onHand(store));
        if (isTakenBack)
          await takeBackApplication(farm.context(), { requestKey: key(), applicationId, reason: "a slip" });
        else should = addBrought(should, timesBrought(perL, litres));
        const is = await brought();
        for (const what of BROUGHT) expect(is[what]).toBeCloseTo(should[what], 1);
      }),
      { numRuns: 8 },
    );
    expect((await readPlot(farm.context(), await farmRow(), bed))!.filled[0]!.share).toBeGreaterThan(0);
  });

  describe("at another date than was entered", () => {
    /** Two days and a half after its brew was strained. */
    const then = () => farm.context(hoursAgo(-60));
    const redate = (applicationId: number, hours: number) =>
      redateApplication(then(), {
        requestKey: key(),
        applicationId,
        at: hoursAgo(-hours).toISOString(),
        reason: "it was before",
      });
    const dosesOf = async (plotId: number) => (await readPlot(then(), await farmRow(), plotId))!.doses;

    it("stands at the right one alone, with all that follows from it moved, and nothing of its store lost", async () => {
      const { applicationId } = await put({}, then());
      const [left, got] = [await onHand(store), await brought()];
      const [before] = await dosesOf(bed);
      await fc.assert(
        fc.asyncProperty(fc.integer({ min: 1, max: 59 }), async (hours) => {
          const [now] = await dosesOf(bed);
          await redate(now!.applicationId, hours);
          const doses = await dosesOf(bed);
          expect(doses).toHaveLength(1);
          expect(doses[0]).toMatchObject({
            atMs: hoursAgo(-hours).getTime(),
            concentrateL: before!.concentrateL,
            mixL: before!.mixL,
            actorName: before!.actorName,
          });
          expect(await onHand(store)).toBe(left);
          const is = await brought();
          for (const what of BROUGHT) expect(is[what]).toBeCloseTo(got[what], 6);
        }),
        { numRuns: 6 },
      );
      // The first one counts no more.
      expect((await refusalOf(redate(applicationId, 3))).fields).toHaveProperty(["/applicationId"]);
    });
    it("moves both liquids of one can", async () => {
      const { applicationId } = await put({ second: { storeId: await second(), parts: 1 } }, then());
      await redate(applicationId, 2);
      const doses = await dosesOf(bed);
      expect(doses.map(({ atMs, blendedWith }) => [atMs, blendedWith === null])).toEqual(
        [1, 2].map(() => [hoursAgo(-2).getTime(), false]),
      );
    });
    it("is refused ahead, and before its brew was in its container", async () => {
      const { applicationId } = await put({}, then());
      expect((await refusalOf(redate(applicationId, 62))).fields).toHaveProperty(["/at"]);
      expect((await refusalOf(redate(applicationId, -1))).fields).toHaveProperty(["/at"]);
      expect(await dosesOf(bed)).toHaveLength(1);
    });
  });

  describe("where nothing is drawn", () => {
    const name = async (kind: string, called: string) =>
      (await setElsewhere(farm.context(), { requestKey: key(), kind, name: called })).plotId;
    it("keeps what it got, as any plot's, and stays off the plan", async () => {
      const pots = await name("houseplants", "Window sill");
      await put({ plotIds: [pots], useId: "houseplants", ratio: "1:500", mixRateL: 3 });
      const view = await readField(farm.context(), await farmRow());
      expect(view.plots.map((plot) => plot.name)).toEqual(["Bed 1"]);
      expect(view.elsewhere).toMatchObject([{ name: "Window sill", last: { storeLabel: expect.any(String) } }]);
      const page = (await readPlot(farm.context(), await farmRow(), pots))!;
      expect(page.doses).toMatchObject([{ mixL: 3, clearOn: null }]);
      expect(page.filled).toEqual([]);
    });
    it("refuses a use that is none there, and beds together with it", async () => {
      const tank = await name("septic", "Tank");
      expect((await refusalOf(put({ plotIds: [tank] }))).fields["/useId"]).toContain("no use for Tank");
      expect((await refusalOf(put({ plotIds: [tank, bed], useId: "septic" }))).fields["/plotIds"]).toContain(
        "one or the other",
      );
    });
    it("is named anew, keeps its name to itself, and is put away with its past", async () => {
      const bin = await name("compost-bin", "Bin");
      expect((await refusalOf(name("char", "Bed 1"))).fields["/name"]).toContain("Bed 1");
      await setElsewhere(farm.context(), { requestKey: key(), plotId: bin, kind: "compost-bin", name: "Hot bin" });
      await put({ plotIds: [bin], useId: "compost", ratio: "1:20", mixRateL: 10 });
      await setElsewhere(farm.context(), {
        requestKey: key(),
        plotId: bin,
        kind: "compost-bin",
        name: "Hot bin",
        putAway: true,
      });
      expect((await readField(farm.context(), await farmRow())).elsewhere).toEqual([]);
      const trace = (await readTrace(farm.context(), await farmRow(), { plotId: bin }))!;
      expect(trace.applications).toMatchObject([{ plotName: "Hot bin", useId: "compost" }]);
      expect(
        (await refusalOf(setElsewhere(farm.context(), { requestKey: key(), plotId: bed, kind: "char", name: "Mine" })))
          .fields["/plotId"],
      ).toBeDefined();
    });
  });

  it("says that a store is empty, and nothing of what nobody asked", async () => {
    const emptied = await onHand(store);
    await emptyStore(farm.context(), {
      requestKey: key(),
      storeId: store,
      litres: emptied,
      to: "wasted",
      reason: "leaks",
    });
    expect((await refusalOf(put())).fields["/plotIds"]).toContain("the store holds 0");
  });
  it("does not ask again what was put on before the clock of its bed began", async () => {
    expect((await refusalOf(put({ at: hoursAgo(24 * 400).toISOString() }))).fields["/at"]).toBeDefined();
  });
});
