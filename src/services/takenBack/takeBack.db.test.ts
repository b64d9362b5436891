import fc from "fast-check";
import { isWater, type IngredientId } from "@/core/book/ingredients";
import { listLabResults } from "@/data/batch";
import { select } from "@/data/db";
import { listStoreWaste } from "@/data/stores";
import { listPlots } from "@/data/field";
import { listWaters } from "@/data/water";
import { findFarm } from "@/data/farm/farm";
import { listOpenPlans } from "@/data/shed";
import { METHODS } from "@/core/book";
import { hoursAgo, key, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { addToBatch, moveToShed, takeFromBatch } from "../batch/feedBatch";
import { readBatch } from "../batch/readBatch";
import { takeBackEnd } from "../batch/takeBackEnd";
import { addEquipment, noteEquipment } from "../equipment/equipment";
import { seePlot } from "../field/looks";
import { takeBackStart } from "../fill/takeBackStart";
import { addForagePlace, addWormBin, noteWormBin, visitForage } from "../gather/gather";
import { readHistory } from "../history/readHistory";
import { countStock, wasteLot } from "../shed/changeLot";
import { dropPlan, planBatch } from "../shed/plans";
import { countStore, emptyStore, pourStore } from "../stores/changeStore";
import { readYard } from "../yard/readYard";
import { addLabResult } from "../farm/measures";
import { plantPlots, seeStage } from "../field/plantings";
import { readWater, readWaterLevel, startWater } from "../water/waters";
import { takeBack } from "./takeBack";
import type { TakenBackKind } from "@/data/takenBack";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const farmRow = async () => (await findFarm(farm.scratch.db))!;
const undo = (...rows: readonly { readonly kind: TakenBackKind; readonly id: number }[]) =>
  takeBack(farm.context(), { requestKey: key(), rows });
const undoStart = (batchId: number) => takeBackStart(farm.context(), { requestKey: key(), batchId });

/** All that is on hand, in stock and in containers, in vessels and water, as the ledgers add up to. */
async function holdings(): Promise<unknown> {
  const lots = await select(
    farm.scratch.db,
    "select ingredient_id, sum(on_hand) as held from lot_on_hand group by ingredient_id having held <> 0 order by ingredient_id",
  );
  const containers = await select(
    farm.scratch.db,
    "select label, sum(on_hand_l) as held from store_on_hand group by label having held <> 0 order by label",
  );
  const yard = await readYard(farm.context(), await farmRow());
  return { lots, containers, vessels: yard.vessels.map(({ id, status }) => ({ id, status })) };
}

describe("a start that was a slip", () => {
  it("leaves everything as it was before, whatever method, vessel and amount", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom(...METHODS.filter(({ aerated }) => !aerated).map(({ id }) => id)),
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.integer({ min: 0, max: 40 * 24 }),
        async (methodId, basis, hours) => {
          const vesselId = await farm.vessel(`Drum ${key().slice(0, 8)}`, 20_000);
          const request = farm.fillRequest(vesselId, methodId, Number(basis.toFixed(2)));
          for (const { ingredientId, used, pickedNow } of request.lines)
            if (!isWater(ingredientId as IngredientId) && !pickedNow && used > 0)
              await farm.lot(ingredientId, used * 1.5, 10);
          const before = await holdings();
          const batchId = await farm.fill(vesselId, methodId, Number(basis.toFixed(2)), hoursAgo(hours));
          expect(await holdings()).not.toEqual(before);
          await undoStart(batchId);
          expect(await holdings()).toEqual(before);
          // It can be started again, and that one is the batch.
          const again = await farm.fill(vesselId, methodId, Number(basis.toFixed(2)), hoursAgo(0));
          const { vessels } = await readYard(farm.context(), await farmRow());
          expect(vessels.find(({ id }) => id === vesselId)).toMatchObject({ status: "running", batch: { id: again } });
        },
      ),
      { numRuns: 12 },
    );
  });
  it("is not undone once something is in its log, and is again once that is crossed out", async () => {
    const vesselId = await farm.vessel("Drum");
    await farm.lot("molasses", 5, 20);
    await farm.lot("lactic-culture", 5, 10);
    const batchId = await farm.fill(vesselId, "cultured-extract", 80, hoursAgo(2));
    const entryId = await farm.log(batchId, NOW, { kind: "smell", word: "cidery" });
    expect((await refusalOf(undoStart(batchId))).code).toBe("start-logged");
    await farm.log(batchId, NOW, { kind: "withdrawn" }, { correctsId: entryId });
    await undoStart(batchId);
    expect((await refusalOf(undoStart(batchId))).code).toBe("batch-closed");
    expect((await refusalOf(takeBackEnd(farm.context(), { requestKey: key(), batchId }))).code).toBe("never-started");
    const page = (await readBatch(farm.context(), await farmRow(), batchId))!;
    expect(page.close?.kind).toBe("taken-back");
    const said = (await readHistory(farm.context(), await farmRow(), { part: "making" })).lines.map(({ code }) => code);
    expect(said).toContain("start-undone");
  });
  it("opens its plan again, which can be started anew", async () => {
    const vesselId = await farm.vessel("Drum");
    await farm.lot("molasses", 5, 20);
    await farm.lot("lactic-culture", 5, 10);
    const { schoolId } = farm.fillRequest(vesselId, "cultured-extract", 80);
    const { planId } = await planBatch(farm.context(), {
      requestKey: key(),
      methodId: "cultured-extract",
      schoolId,
      basisAmount: 80,
      versionNo: null,
      vesselId,
      forDay: "2031-03-20",
    });
    const open = async () => (await listOpenPlans(farm.scratch.db)).map(({ id }) => id);
    const batchId = await farm.fill(vesselId, "cultured-extract", 80, NOW, { planId });
    expect(await open()).toEqual([]);
    await undoStart(batchId);
    expect(await open()).toEqual([planId]);
    await farm.fill(vesselId, "cultured-extract", 80, NOW, { planId });
    expect(await open()).toEqual([]);
  });
});

describe("what went into a batch and came out of it", () => {
  it("is in stock again once its line is crossed out, and no hazard of it is left", async () => {
    const vesselId = await farm.vessel("Drum", 300);
    await farm.lot("molasses", 5, 20);
    await farm.lot("lactic-culture", 5, 10);
    await farm.lot("brown-sugar", 3, 10);
    const batchId = await farm.fill(vesselId, "cultured-extract", 80, hoursAgo(48));
    const before = await holdings();
    const { entryId } = await addToBatch(farm.context(), {
      requestKey: key(),
      batchId,
      ingredientId: "brown-sugar",
      amount: 1.25,
    });
    expect(await holdings()).not.toEqual(before);
    expect((await refusalOf(farm.log(batchId, NOW, { kind: "act", act: "fed" }, { correctsId: entryId }))).code).toBe(
      "entry-moved-stock",
    );
    await farm.log(batchId, NOW, { kind: "withdrawn" }, { correctsId: entryId });
    expect(await holdings()).toEqual(before);
    const page = (await readBatch(farm.context(), await farmRow(), batchId))!;
    expect(JSON.stringify(page.cost)).not.toContain("brown-sugar");
  });
  it("was never drawn off once that is crossed out; not where some of it is used", async () => {
    const vesselId = await farm.vessel("Crock");
    for (const { ingredientId, used, pickedNow } of farm.fillRequest(vesselId, "lactic-serum", 8).lines)
      if (ingredientId !== "water" && !pickedNow) await farm.lot(ingredientId, used * 2, 10);
    const batchId = await farm.fill(vesselId, "lactic-serum", 8, hoursAgo(72));
    const before = await holdings();
    const take = () => takeFromBatch(farm.context(), { requestKey: key(), batchId, litres: 2 });
    const first = await take();
    expect((await refusalOf(undo({ kind: "lot", id: first.lotId }))).code).toBe("lot-of-log");
    await farm.log(batchId, NOW, { kind: "withdrawn" }, { correctsId: first.entryId });
    expect(await holdings()).toEqual(before);
    const second = await take();
    await wasteLot(farm.context(), { requestKey: key(), lotId: second.lotId, amount: 0.5, reason: "spilt" });
    expect((await refusalOf(farm.log(batchId, NOW, { kind: "withdrawn" }, { correctsId: second.entryId }))).code).toBe(
      "lot-used",
    );
  });
});

describe("what was just done to stock and containers", () => {
  /** Each act with what it answers as the rows that undo it. */
  type Doing = () => Promise<readonly { readonly kind: TakenBackKind; readonly id: number }[]>;

  it("is undone, all of it, in any order of acts, and each but once", async () => {
    const lotId = await farm.lot("molasses", 9, 20);
    const other = await farm.lot("castings", 7, 20);
    const storeId = await farm.strained();
    const bin = (await addWormBin(farm.context(), { requestKey: key(), name: "Bin", wormsKg: 2 })).binId;
    const { placeId } = await addForagePlace(farm.context(), {
      requestKey: key(),
      name: "Oaks",
      kind: "leaf-mould",
      restD: 180,
    });
    const ask = { requestKey: key() };
    const stock = (ids: readonly number[]) => ids.map((id) => ({ kind: "stock-move" as const, id }));
    const doings: Readonly<Record<string, Doing>> = {
      received: async () => [{ kind: "lot", id: await farm.lot("molasses", 2, 5) }],
      wasted: async () =>
        stock(
          (await wasteLot(farm.context(), { ...ask, requestKey: key(), lotId, amount: 1.5, reason: "spilt" }))
            .movementIds,
        ),
      counted: async () =>
        stock(
          (
            await countStock(farm.context(), {
              requestKey: key(),
              lines: [
                { lotId, counted: 8.2 },
                { lotId: other, counted: 7.4 },
              ],
            })
          ).movementIds,
        ),
      emptied: async () => [
        {
          kind: "container-move",
          id: (
            await emptyStore(farm.context(), {
              requestKey: key(),
              storeId,
              litres: 3,
              to: "composted",
              reason: "expired",
            })
          ).movementId,
        },
      ],
      measured: async () => [
        {
          kind: "container-move",
          id: (await countStore(farm.context(), { requestKey: key(), storeId, litres: 55.5 })).movementId!,
        },
      ],
      poured: async () =>
        (
          await pourStore(farm.context(), {
            requestKey: key(),
            storeId,
            parts: [
              { litres: 4.333, label: "Can", container: "vented" },
              { litres: 4.333, label: "Jar", container: "vented" },
            ],
          })
        ).storeIds.map((id) => ({ kind: "pour" as const, id })),
      castings: async () => [
        {
          kind: "bin-entry",
          id: (
            await noteWormBin(farm.context(), {
              requestKey: key(),
              binId: bin,
              kind: "harvested",
              kg: 2,
              ball: "holds, then crumbles",
              plasticPicked: true,
              overrideReason: "dry day",
            })
          ).entryId,
        },
      ],
      visited: async () => [
        {
          kind: "visit",
          id: (
            await visitForage(farm.context(), {
              requestKey: key(),
              placeId,
              vigour: "strong",
              onDay: "2031-03-20",
              takenKg: 2,
              overrideReason: "needed",
            })
          ).visitId,
        },
      ],
    };
    await fc.assert(
      fc.asyncProperty(fc.shuffledSubarray(Object.keys(doings), { minLength: 1 }), async (names) => {
        const before = await holdings();
        const done: (readonly { readonly kind: TakenBackKind; readonly id: number }[])[] = [];
        for (const name of names) done.push(await doings[name]!());
        expect(await holdings()).not.toEqual(before);
        for (const rows of done.toReversed()) await undo(...rows);
        expect(await holdings()).toEqual(before);
        expect((await refusalOf(undo(...done[0]!))).code).toMatch(/undone-already|stock-corrected|end-used|not-found/);
        expect(await holdings()).toEqual(before);
      }),
      { numRuns: 10 },
    );
  });
  it("is not undone where something came of it since, and then nothing of it is", async () => {
    const storeId = await farm.strained();
    const { storeIds } = await pourStore(farm.context(), {
      requestKey: key(),
      storeId,
      parts: [
        { litres: 4, label: "Can", container: "vented" },
        { litres: 4, label: "Jar", container: "vented" },
      ],
    });
    await emptyStore(farm.context(), {
      requestKey: key(),
      storeId: storeIds[1]!,
      litres: 1,
      to: "wasted",
      reason: "spilt",
    });
    const before = await holdings();
    expect((await refusalOf(undo(...storeIds.map((id) => ({ kind: "pour" as const, id }))))).code).toBe("end-used");
    expect(await holdings()).toEqual(before);
    const lotId = await farm.lot("castings", 5, 5);
    await wasteLot(farm.context(), { requestKey: key(), lotId, amount: 1, reason: "spilt" });
    expect((await refusalOf(undo({ kind: "lot", id: lotId }))).code).toBe("lot-used");
    for (const kind of ["stock-move", "container-move", "visit", "look", "water", "plan-drop", "filling-drop"] as const)
      expect((await refusalOf(undo({ kind, id: 9999 }))).code).toBe("not-found");
  });
  it("is no loss of the batch any more", async () => {
    const storeId = await farm.strained();
    const lost = async () =>
      (await listStoreWaste(farm.scratch.db)).filter(({ cause }) => cause.includes("slip of the hand"));
    const { movementId } = await emptyStore(farm.context(), {
      requestKey: key(),
      storeId,
      litres: 1.5,
      to: "wasted",
      reason: "slip of the hand",
    });
    expect(await lost()).toMatchObject([{ litres: 1.5 }]);
    await undo({ kind: "container-move", id: movementId });
    expect(await lost()).toEqual([]);
  });
  it("comes back to the batch it was moved from, lot and litres at once", async () => {
    const vesselId = await farm.vessel("Crock");
    for (const { ingredientId, used, pickedNow } of farm.fillRequest(vesselId, "lactic-serum", 8).lines)
      if (ingredientId !== "water" && !pickedNow) await farm.lot(ingredientId, used * 2, 10);
    const storeId = await farm.strained();
    const before = await holdings();
    const moved = await moveToShed(farm.context(), { requestKey: key(), storeId, litres: 3 }).catch(() => null);
    if (moved) await undo({ kind: "lot", id: moved.lotId }, { kind: "container-move", id: moved.movementId });
    expect(await holdings()).toEqual(before);
  });
});

describe("of what the latest counts", () => {
  it("the one before counts again, however often it was said", async () => {
    const plotId = await farm.plot("Bed 1", { stage: "bare" });
    const { plantingIds } = await plantPlots(farm.context(), { requestKey: key(), plotIds: [plotId], crop: "leeks" });
    const crops = async () => (await listPlots(farm.scratch.db, "2031-03-20")).map(({ crop }) => crop);
    expect(await crops()).toEqual(["leeks"]);
    const see = async (stage: string) =>
      (await seeStage(farm.context(), { requestKey: key(), plantingIds, stage })).stageIds[0]!;
    const stageNow = async () => (await listPlots(farm.scratch.db, "2031-03-20"))[0]!.stage;
    await see("seedling");
    const before = await stageNow();
    const seen = [await see("flowering"), await see("fruiting")];
    expect(await stageNow()).not.toBe(before);
    await undo(...seen.map((id) => ({ kind: "stage" as const, id })));
    expect(await stageNow()).toBe(before);
    await undo({ kind: "planting", id: plantingIds[0]! });
    expect(await crops()).toEqual([""]);

    const butt = async () => (await listWaters(farm.scratch.db)).find(({ id }) => id === RAIN_ID)!;
    const strip = (totalMgPerL: number) =>
      readWater(farm.context(), { requestKey: key(), sourceId: RAIN_ID, freeMgPerL: 0, totalMgPerL });
    await strip(0.2);
    const { readingId } = await strip(3);
    await undo({ kind: "water-read", id: readingId });
    expect((await butt()).totalMgPerL).toBe(0.2);
    const { levelId } = await readWaterLevel(farm.context(), { requestKey: key(), sourceId: RAIN_ID, volumeL: 300 });
    expect((await butt()).leftL).toBe(300);
    await undo({ kind: "water-level", id: levelId });
    expect((await butt()).leftL).toBeNull();

    await farm.lot("molasses", 5, 20);
    await farm.lot("lactic-culture", 5, 10);
    const batchId = await farm.fill(await farm.vessel("Drum"), "cultured-extract", 60, hoursAgo(2));
    const { resultId } = await addLabResult(farm.context(), {
      requestKey: key(),
      batchId,
      nutrient: "k2o",
      gPerL: 0.8,
    });
    expect(await listLabResults(farm.scratch.db, batchId)).toHaveLength(1);
    await undo({ kind: "lab", id: resultId });
    expect(await listLabResults(farm.scratch.db, batchId)).toEqual([]);
  });
});

describe("what has a line in the history", () => {
  it("is struck there once it is undone, and offers it no more", async () => {
    const bed = await farm.plot("Bed 1");
    const { lookId } = await seePlot(farm.context(), { requestKey: key(), plotId: bed, signs: {}, note: "wilted" });
    const { equipmentId } = await addEquipment(farm.context(), {
      requestKey: key(),
      kind: "pump",
      name: "Pump",
      count: 1,
    });
    const { eventId } = await noteEquipment(farm.context(), { requestKey: key(), equipmentId, kind: "broken" });
    const { startId } = await startWater(farm.context(), {
      requestKey: key(),
      sourceId: RAIN_ID,
      purpose: "brew",
      volumeL: 50,
      treatment: "stand",
      celsius: 16,
    });
    const linesOf = async () => (await readHistory(farm.context(), await farmRow(), {})).lines;
    const offered = (await linesOf()).flatMap(({ undo: kind, id }) => (kind === null ? [] : [{ kind, id }]));
    expect(offered).toEqual(
      expect.arrayContaining([
        { kind: "look", id: lookId },
        { kind: "tool-event", id: eventId },
        { kind: "water", id: startId },
      ]),
    );
    // What the history offers goes through as it is offered.
    for (const row of offered) await undo(row);
    const after = await linesOf();
    expect(after.every(({ undo: kind }) => kind === null)).toBe(true);
    expect(after.filter(({ isUndone }) => isUndone)).toHaveLength(offered.length);
    expect(after.filter(({ code }) => code === "undone")).toHaveLength(offered.length);
  });
  it("opens a plan again that was dropped", async () => {
    const vesselId = await farm.vessel("Drum");
    const { schoolId } = farm.fillRequest(vesselId, "cultured-extract", 80);
    const { planId } = await planBatch(farm.context(), {
      requestKey: key(),
      methodId: "cultured-extract",
      schoolId,
      basisAmount: 80,
      versionNo: null,
      vesselId,
      forDay: "2031-03-22",
    });
    await dropPlan(farm.context(), { requestKey: key(), planId });
    await undo({ kind: "plan-drop", id: planId });
    expect((await listOpenPlans(farm.scratch.db)).map(({ id }) => id)).toEqual([planId]);
    expect((await refusalOf(undo({ kind: "plan-drop", id: planId }))).code).toBe("not-found");
  });
});
