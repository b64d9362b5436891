import { bookDocument, type RecipeDocument } from "@/core/recipe/document";
import { findFarm } from "@/data/farm/farm";
import { listLotsOnHand } from "@/data/shed/lots";
import { hoursAgo, key, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { applyStore } from "../field/applyStore";
import { cleanVessel } from "../batch/washing";
import { closeBatch } from "../batch/closeBatch";
import { addToBatch, moveToShed, takeFromBatch } from "../batch/feedBatch";
import { fillVessel } from "./fillVessel";
import { addLabResult, readMeasures, takeBackWeighing, weighMeasure } from "../farm/measures";
import { readBatch } from "../batch/readBatch";
import { readBook } from "../book/readBook";
import { readMaking } from "./readMaking";
import { readYard } from "../yard/readYard";
import { chooseRecipe, saveRecipe } from "../recipes/recipes";
import { addWaterSource, readWater, readWaterLevel, startWater } from "../water/waters";
import { sayEntry } from "@/words/said";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
});
afterEach(() => farm.scratch.drop());

const EXTRACT = bookDocument("cultured-extract");
/** The extract with other molasses. */
const sweeter = (usual: number, name = "Sweeter"): RecipeDocument => ({
  ...EXTRACT,
  name,
  ingredients: EXTRACT.ingredients.map((line) =>
    line.ingredient === "molasses" && line.amount.type === "per-basis"
      ? { ...line, amount: { ...line.amount, perBasis: { low: 0.01, default: usual, high: usual } } }
      : line,
  ),
});
const save = (document: unknown, basedOn: number, extra: object = {}) =>
  saveRecipe(farm.context(), { requestKey: key(), document, basedOn, ...extra });
const pageOf = async (batchId: number, at = NOW) =>
  (await readBatch(farm.context(at), (await findFarm(farm.scratch.db))!, batchId))!;

describe("the farm's own recipes", () => {
  it("keep every version, and a batch stays with the one it was made by", async () => {
    expect(await save(sweeter(0.015), 0)).toMatchObject({ versionNo: 1, unconfirmed: 0 });
    const drum = await farm.vessel("Drum");
    await farm.lot("molasses", 10, 20);
    await farm.lot("lactic-culture", 10, 10);
    const batchId = await farm.fill(drum, "cultured-extract", 50, NOW, { versionNo: 1 });
    await save(sweeter(0.02, "Sweeter still"), 1);
    const { versions } = await readMaking(farm.context());
    expect(versions.map(({ versionNo, document }) => [versionNo, document.name])).toEqual([
      [1, "Sweeter"],
      [2, "Sweeter still"],
    ]);
    const page = await pageOf(batchId);
    expect(page.batch).toMatchObject({ versionNo: 1, schoolName: "Sweeter" });
    // The plan beside what was used is the version's: 15 mL to the litre.
    expect(page.lines.find(({ ingredientId }) => ingredientId === "molasses")!.planned).toBeCloseTo(0.75, 6);
  });
  it("hold figures that nobody has confirmed, and are not brewed by until someone does", async () => {
    expect(await save(sweeter(0.5), 0)).toMatchObject({ versionNo: 1, unconfirmed: 1 });
    const drum = await farm.vessel("Drum");
    const refusal = await refusalOf(
      fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 50, { versionNo: 1 })),
    );
    expect(refusal).toMatchObject({
      code: "version-unconfirmed",
      fields: { "/versionNo": expect.stringContaining("Not confirmed yet") as string },
    });
    expect(await save(sweeter(0.5), 1, { confirmed: true })).toMatchObject({ versionNo: 2, unconfirmed: 0 });
  });
  it("refuse what can't stand at its field, and one typed over another", async () => {
    expect(await refusalOf(save({ ...EXTRACT, lid: "sealed" }, 0))).toMatchObject({
      fields: { "/document/lid": expect.stringContaining("bursts") as string },
    });
    expect(
      (await refusalOf(save({ ...EXTRACT, fillShare: { low: 0.8, default: -1, high: 0.9 } }, 0))).fields,
    ).toHaveProperty("/document/fillShare/default");
    await save(sweeter(0.015), 0);
    expect(await refusalOf(save(sweeter(0.016), 0))).toMatchObject({ code: "version-moved" });
  });
  it("let one of two people keep a version at once", async () => {
    const answers = await Promise.allSettled([save(sweeter(0.015), 0), save(sweeter(0.016), 0)]);
    expect(answers.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    expect((await readMaking(farm.context())).versions).toHaveLength(1);
  });
  it("are what the farm goes by once it has picked them", async () => {
    await save(sweeter(0.015), 0);
    const choose = (choice: object) =>
      chooseRecipe(farm.context(), { requestKey: key(), methodId: "cultured-extract", ...choice });
    await choose({ schoolId: "more-plant", versionNo: null });
    await choose({ schoolId: "equal-parts", versionNo: 1 });
    expect((await readMaking(farm.context())).choices).toEqual([
      { methodId: "cultured-extract", schoolId: "equal-parts", versionNo: 1 },
    ]);
    expect(await refusalOf(choose({ schoolId: "equal-parts", versionNo: 9 }))).toMatchObject({
      fields: { "/versionNo": "There is no such version of this recipe." },
    });
    expect((await refusalOf(choose({ schoolId: "thirds" }))).fields).toHaveProperty("/schoolId");
  });
});

describe("water", () => {
  const mains = async (freeMgPerL: number | null, totalMgPerL: number | null) => {
    const { sourceId } = await addWaterSource(farm.context(), {
      requestKey: key(),
      name: `Tap ${key().slice(0, 8)}`,
      kind: "mains",
    });
    if (freeMgPerL !== null || totalMgPerL !== null)
      await readWater(farm.context(), { requestKey: key(), sourceId, freeMgPerL, totalMgPerL });
    return sourceId;
  };
  const fillWith = async (water: unknown, at = NOW) => {
    const drum = await farm.vessel(`Drum ${key().slice(0, 8)}`);
    await farm.lot("molasses", 5, 10);
    await farm.lot("lactic-culture", 5, 10);
    return fillVessel(
      farm.context(at),
      farm.fillRequest(drum, "cultured-extract", 50, { water, startedAt: at.toISOString() }),
    );
  };
  const aside = async (sourceId: number, change: object = {}, at = NOW) =>
    (
      await startWater(farm.context(at), {
        requestKey: key(),
        sourceId,
        purpose: "brew",
        volumeL: 60,
        treatment: "stand",
        celsius: 20,
        ...change,
      })
    ).startId;

  it("can't be forgotten", async () => {
    expect((await refusalOf(fillWith(null))).fields).toEqual({ "/water/sourceId": "Choose the water." });
    expect((await refusalOf(fillWith({ sourceId: 999 }))).fields).toHaveProperty("/water/sourceId");
  });
  it("that nobody read a strip of, or with chlorine in it, wants a reason", async () => {
    for (const sourceId of [await mains(null, null), await mains(0.5, 0.5)]) {
      expect(await refusalOf(fillWith({ sourceId }))).toMatchObject({ code: "reason-needed" });
      await fillWith({ sourceId, overrideReason: "the butt is dry" });
    }
  });
  it("goes in once it has stood its time, as much as there is of it", async () => {
    const sourceId = await mains(0.5, 0.5);
    const startId = await aside(sourceId);
    const { waters } = await readMaking(farm.context());
    const hours = (waters.starts[0]!.readyMs - NOW.getTime()) / 3_600_000;
    // Two and a third half-lives from 0.5 to 0.1 mg/L.
    expect(hours).toBeGreaterThan(14);
    expect(hours).toBeLessThan(30);
    expect(await refusalOf(fillWith({ sourceId, startId }))).toMatchObject({ code: "reason-needed" });
    const later = new Date(NOW.getTime() + 31 * 3_600_000);
    await fillWith({ sourceId, startId }, later);
    expect((await readMaking(farm.context(later))).waters.starts[0]!.leftL).toBeCloseTo(10, 6);
    expect(await refusalOf(fillWith({ sourceId, startId }, later))).toMatchObject({ code: "short-of-water" });
  });
  it("with chloramine is not set to stand, but dosed", async () => {
    const sourceId = await mains(0.1, 1);
    expect((await refusalOf(aside(sourceId))).fields["/treatment"]).toContain("chloramine");
    await aside(sourceId, { treatment: "ascorbic" });
    // 1 mg/L in 60 L, 2.5 to 1 and a fifth on top.
    expect((await readMaking(farm.context())).waters.starts[0]!.ascorbicG).toBeCloseTo(0.18, 6);
  });
  it("refuses a strip that makes no sense, at its field", async () => {
    const sourceId = await mains(null, null);
    const strip = (values: object) => readWater(farm.context(), { requestKey: key(), sourceId, ...values });
    expect((await refusalOf(strip({ freeMgPerL: 3, totalMgPerL: 1 }))).fields).toHaveProperty("/freeMgPerL");
    expect((await refusalOf(strip({}))).fields).toHaveProperty("/totalMgPerL");
    expect((await refusalOf(strip({ totalMgPerL: -1 }))).fields).toHaveProperty("/totalMgPerL");
    expect(
      await refusalOf(addWaterSource(farm.context(), { requestKey: key(), name: "Butt", kind: "well" })),
    ).toMatchObject({
      code: "name-taken",
    });
  });
  it("is drawn down from the level that was read, by what is set aside and what goes in since", async () => {
    const leftOf = async (at = NOW) =>
      (await readMaking(farm.context(at))).waters.waters.find(({ id }) => id === RAIN_ID)!.leftL;
    expect(await leftOf()).toBeNull();
    const level = (volumeL: number, hours: number) =>
      readWaterLevel(farm.context(hoursAgo(hours)), { requestKey: key(), sourceId: RAIN_ID, volumeL });
    await level(500, 5);
    await aside(RAIN_ID, { treatment: "none" });
    expect(await leftOf()).toBeCloseTo(440, 6);
    await level(90, -1);
    expect(await leftOf()).toBeCloseTo(90, 6);
    expect(await refusalOf(level(-1, 0))).toMatchObject({ fields: { "/volumeL": "At least 0 mL." } });
    expect(
      await refusalOf(readWaterLevel(farm.context(), { requestKey: key(), sourceId: 999, volumeL: 1 })),
    ).toHaveProperty("fields./sourceId");
  });
  it("that is ready, or will be today, stands in the round", async () => {
    await aside(RAIN_ID, { treatment: "none", place: "lean-to" });
    const { round } = await readYard(farm.context(), (await findFarm(farm.scratch.db))!);
    expect(round.map(({ title }) => title)).toContain("Butt: water for brewing is ready");
  });
});

describe("a fill by other means", () => {
  const linesOf = async (batchId: number) =>
    Object.fromEntries(
      (await pageOf(batchId)).lines.map(({ ingredientId, planned, used }) => [ingredientId, [planned, used]]),
    );
  it("keeps what nobody states beside what went in, and plans a stand-in by its strength", async () => {
    const drum = await farm.vessel("Air drum", 200, 60);
    for (const [id, amount] of [
      ["castings", 20],
      ["molasses", 5],
      ["fish-hydrolysate", 5],
      ["seaweed-extract", 5],
      ["guano", 2],
      ["kelp-meal", 5],
    ] as const)
      await farm.lot(id, amount, 5);
    const request = farm.fillRequest(drum, "feeding-tea", 100);
    const { batchId } = await fillVessel(farm.context(), {
      ...request,
      stated: [{ ingredient: "guano", amount: 0.4 }],
      lines: [...request.lines, { ingredientId: "guano", part: "mix", used: 0.4 }],
    });
    expect((await linesOf(batchId)).guano).toEqual([0.4, 0.4]);
    await farm.lot("whey", 9, 1);
    const extract = farm.fillRequest(await farm.vessel("Drum"), "cultured-extract", 50);
    const { batchId: other } = await fillVessel(farm.context(), {
      ...extract,
      substitutes: [{ instead: "lactic-culture", use: "whey" }],
      lines: extract.lines.map((line) =>
        line.ingredientId === "lactic-culture" ? { ...line, ingredientId: "whey", used: 1 } : line,
      ),
    });
    expect((await linesOf(other)).whey).toEqual([1, 1]);
  });
  it.each([
    ["an amount for what has one", { stated: [{ ingredient: "molasses", amount: 1 }] }, "is no part of"],
    ["a stand-in that is none", { substitutes: [{ instead: "molasses", use: "ash" }] }, "can't stand in"],
    ["an ingredient left unstated", { include: ["guano"] }, "is no part of"],
  ])("refuses %s, in words", async (_what, change, words) => {
    await farm.lot("molasses", 5, 5);
    await farm.lot("lactic-culture", 5, 5);
    const drum = await farm.vessel("Drum");
    const { message } = await refusalOf(
      fillVessel(farm.context(), { ...farm.fillRequest(drum, "cultured-extract", 50), ...change }),
    );
    expect(message).toContain(words);
    expect((await listLotsOnHand(farm.scratch.db)).reduce((sum, lot) => sum + lot.onHand, 0)).toBe(10);
  });
});

describe("water for thinning", () => {
  const spread = async (change: object) => {
    const batchId = await farm.readyExtract(await farm.vessel(`Drum ${key().slice(0, 8)}`));
    const { storeId } = await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL: 70,
      residue: "compost",
      labourMin: 5,
    });
    const [plot, tool] = [await farm.plot(`Bed ${key().slice(0, 8)}`), await farm.can(`Can ${key().slice(0, 8)}`)];
    return applyStore(farm.context(), {
      requestKey: key(),
      storeId,
      useId: "drench-growing",
      ratio: "1:250",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: tool,
      plotIds: [plot],
      labourMin: 5,
      ...change,
    });
  };
  it("can't be forgotten either, and is judged like the brew's", async () => {
    expect((await refusalOf(spread({}))).fields).toEqual({ "/water/sourceId": "Choose the water for dilution." });
    const { sourceId } = await addWaterSource(farm.context(), { requestKey: key(), name: "Tap", kind: "mains" });
    expect(await refusalOf(spread({ water: { sourceId } }))).toMatchObject({ code: "reason-needed" });
    await spread({ water: { sourceId, overrideReason: "rain is out" } });
    await spread({ water: { sourceId: RAIN_ID } });
  });
  it("comes out of what was set aside", async () => {
    const { startId } = await startWater(farm.context(), {
      requestKey: key(),
      sourceId: RAIN_ID,
      purpose: "dilution",
      volumeL: 30,
      treatment: "none",
      celsius: 18,
    });
    await spread({ water: { sourceId: RAIN_ID, startId } });
    // Ten square metres at 2 L, all but 80 mL of it water.
    expect((await readMaking(farm.context())).waters.starts[0]!.leftL).toBeCloseTo(10.08, 2);
    expect(await refusalOf(spread({ water: { sourceId: RAIN_ID, startId } }))).toMatchObject({
      code: "short-of-water",
    });
  });
});

describe("vessels for dung", () => {
  it("hold nothing else from then on", async () => {
    const drum = await farm.vessel("Dung drum", 200);
    for (const id of ["dung-aged", "pulse-flour", "raw-sugar"]) await farm.lot(id, 40, 10);
    const batchId = await farm.fill(drum, "dung-flour-ferment", 50, hoursAgo(300));
    await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "discarded",
      yieldL: 0,
      residue: "compost",
      labourMin: 5,
    });
    await cleanVessel(farm.context(), { requestKey: key(), vesselId: drum });
    const again = await refusalOf(fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 50)));
    expect(again.fields["/methodId"]).toContain("kept for dung");
    await farm.fill(drum, "dung-flour-ferment", 50);
  });
});

describe("batches that feed batches", () => {
  const onHand = async (id: string) =>
    (await listLotsOnHand(farm.scratch.db))
      .filter(({ ingredientId }) => ingredientId === id)
      .reduce((sum, lot) => sum + lot.onHand, 0);
  const serum = async (name: string, at = hoursAgo(240)) => {
    const crock = await farm.vessel(name, 20);
    await farm.lot("rice-wash", 20, 0);
    await farm.lot("sea-salt", 2, 1);
    return farm.fill(crock, "lactic-serum", 10, at);
  };
  const add = (batchId: number, ingredientId: string, amount: number) =>
    addToBatch(farm.context(), { requestKey: key(), batchId, ingredientId, amount });

  it("never puts ash into a drum with urine, whichever went in first", async () => {
    await farm.lot("ash", 5, 0);
    await farm.lot("char", 20, 0);
    const batchId = await farm.fill(await farm.vessel("Dung drum", 200), "drum-manure-tea", 60, hoursAgo(30));
    const { lines } = (await readBatch(farm.context(), (await findFarm(farm.scratch.db))!, batchId))!;
    const other = lines.some(({ ingredientId }) => ingredientId === "urine") ? "ash" : "urine";
    if (other === "urine") await farm.lot("urine", 5, 0);
    expect(await refusalOf(add(batchId, other, 1))).toMatchObject({
      code: "clash",
      fields: { "/ingredientId": expect.stringContaining("ash never goes") },
    });
  });
  it("holds a tablespoon of salt for a teaspoon until somebody says why", async () => {
    await farm.lot("potato", 20, 0);
    await farm.lot("sea-salt", 5, 0);
    await farm.lot("leaf-mould", 5, 0);
    const vesselId = await farm.vessel("Brew drum", 120);
    const request = farm.fillRequest(vesselId, "leaf-mould-brew", 80);
    const salted = {
      ...request,
      lines: request.lines.map((line) => (line.ingredientId === "sea-salt" ? { ...line, used: 1.4 } : line)),
    };
    expect(await refusalOf(fillVessel(farm.context(), salted))).toMatchObject({
      code: "reason-needed",
      fields: { "/overrideReason": expect.stringContaining("stays in the soil") },
    });
    await fillVessel(farm.context(), { ...salted, requestKey: key(), overrideReason: "for the asparagus" });
  });
  it("take on a later day what the recipe has for it, from the shed", async () => {
    const batchId = await serum("Crock");
    expect((await pageOf(batchId)).later).toMatchObject([{ ingredient: "brown-sugar", onDay: 2, done: false }]);
    expect((await refusalOf(add(batchId, "brown-sugar", 0.275))).fields).toHaveProperty("/amount");
    await farm.lot("brown-sugar", 3, 6);
    await add(batchId, "brown-sugar", 0.275);
    expect(await onHand("brown-sugar")).toBeCloseTo(2.725, 9);
    const page = await pageOf(batchId);
    expect(page.later).toMatchObject([{ done: true }]);
    expect(page.log[0]).toMatchObject({ word: "fed", moved: { itemId: "brown-sugar", amount: 0.275 } });
    expect(sayEntry(page.log[0]!, "metric")).toBe("Added 275 g brown sugar");
  });
  it("draw on each other, and their cautions and lineage follow", async () => {
    const serumId = await serum("Crock");
    const before = await pageOf(serumId);
    await takeFromBatch(farm.context(), { requestKey: key(), batchId: serumId, litres: 2 });
    expect(await onHand("lactic-culture")).toBe(2);
    // The level falls by it; what is left is as strong as it was.
    const left = await pageOf(serumId);
    expect(left.batch.filledL).toBeCloseTo(before.batch.filledL - 2, 3);
    expect([left.strength, left.content.gPerL]).toEqual([1, before.content.gPerL]);
    await farm.lot("molasses", 5, 10);
    const extractId = await farm.fill(await farm.vessel("Drum"), "cultured-extract", 50);
    const page = await pageOf(extractId);
    expect(page.madeFrom).toEqual(
      [{ batchId: serumId, name: "Serum" }].map((kin) => ({ ...kin, name: page.madeFrom[0]!.name })),
    );
    expect(page.inherited.join(" ")).toMatch(/Salt harms soil/);
    expect((await pageOf(serumId)).wentInto.map(({ batchId }) => batchId)).toEqual([extractId]);
  });
  it("never feed each other in a ring", async () => {
    const one = await serum("One");
    const two = await serum("Two");
    await takeFromBatch(farm.context(), { requestKey: key(), batchId: one, litres: 2 });
    await add(two, "lactic-culture", 2);
    await takeFromBatch(farm.context(), { requestKey: key(), batchId: two, litres: 1 });
    const refusal = await refusalOf(add(one, "lactic-culture", 1));
    expect(refusal).toMatchObject({
      code: "ring",
      fields: { "/ingredientId": expect.stringContaining("in a ring") as string },
    });
    // Nothing of the refused draw was written.
    expect(await onHand("lactic-culture")).toBe(1);
  });
  it("refuse more than stands in them, and what no recipe uses", async () => {
    const batchId = await serum("Crock");
    const take = (litres: number, id = batchId) =>
      takeFromBatch(farm.context(), { requestKey: key(), batchId: id, litres });
    expect((await refusalOf(take(500))).fields).toHaveProperty("/litres");
    const extract = await farm.readyExtract(await farm.vessel("Drum"));
    expect((await refusalOf(take(1, extract))).message).toMatch(/no ingredient of any recipe/);
  });
  it("become a lot that knows its batch and its price, in kilograms where they are weighed", async () => {
    await farm.lot("potato", 4, 8);
    const batchId = await farm.fill(await farm.vessel("Pot", 20), "boiled-potato", 4, hoursAgo(2));
    const close = (change: object) =>
      closeBatch(farm.context(), {
        requestKey: key(),
        batchId,
        kind: "strained",
        yieldL: 0,
        residue: "compost",
        labourMin: 0,
        overrideReason: "soft by the fork",
        ...change,
      });
    expect((await refusalOf(close({}))).fields).toHaveProperty("/yieldKg");
    expect((await refusalOf(close({ yieldKg: 90 }))).fields).toHaveProperty("/yieldKg");
    await close({ yieldKg: 4 });
    const [mash] = (await listLotsOnHand(farm.scratch.db)).filter(({ ingredientId }) => ingredientId === "potato-mash");
    // 8 crowns of potatoes and half an hour of hands at 12 an hour.
    expect(mash).toMatchObject({ onHand: 4, origin: "home-made", costMinor: 1400 });
  });
  it("give part of a store to the shed", async () => {
    const batchId = await serum("Crock");
    await farm.log(batchId, hoursAgo(1), { kind: "ph", value: 3.7, instrument: "meter", spot: "mid-depth" });
    const { storeId } = await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL: 9,
      residue: "compost",
      labourMin: 5,
      overrideReason: "wanted now",
    });
    await moveToShed(farm.context(), { requestKey: key(), storeId, litres: 4 });
    expect(await onHand("lactic-culture")).toBe(4);
    const page = await pageOf(batchId);
    expect(page.stores[0]!.onHandL).toBeCloseTo(5, 9);
    expect((await refusalOf(moveToShed(farm.context(), { requestKey: key(), storeId, litres: 6 }))).code).toBe(
      "short-of-store",
    );
  });
});

describe("a farm from before recipes were kept whole", () => {
  it("reads its batches and stores by the book", async () => {
    const batchId = await farm.readyExtract(await farm.vessel("Drum"));
    await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL: 70,
      residue: "compost",
      labourMin: 5,
    });
    await farm.scratch.pool.query("update batch set recipe = json_remove(recipe, '$.document', '$.versionNo')");
    const page = await pageOf(batchId);
    expect(page.batch).toMatchObject({ versionNo: null, lid: "airlock" });
    expect(page.stores[0]!.recipe).toEqual(EXTRACT);
    expect((await readYard(farm.context(), (await findFarm(farm.scratch.db))!)).vessels).toHaveLength(1);
  });
});

describe("what is measured", () => {
  it("at a laboratory stands in place of what is worked out, the latest of each", async () => {
    const batchId = await farm.readyExtract(await farm.vessel("Drum"));
    const before = (await pageOf(batchId)).content;
    expect(before.gPerL.k2o.default).toBeGreaterThan(0);
    const lab = (gPerL: number) =>
      addLabResult(farm.context(), { requestKey: key(), batchId, nutrient: "k2o", gPerL, note: "wet lab" });
    await lab(0.9);
    await lab(0.8);
    const { content, lab: results } = await pageOf(batchId);
    expect(content.gPerL.k2o).toEqual({ low: 0.8, default: 0.8, high: 0.8 });
    expect(results).toHaveLength(2);
    expect((await refusalOf(lab(-1))).fields).toHaveProperty("/gPerL");
    expect(
      (await refusalOf(addLabResult(farm.context(), { requestKey: key(), batchId: 999, nutrient: "n", gPerL: 1 })))
        .code,
    ).toBe("not-found");
  });
  it("with the farm's own hands gets a mean and a spread", async () => {
    for (const amount of [0.08, 0.1, 0.09])
      await weighMeasure(farm.context(), { requestKey: key(), measure: "Handful", ingredientId: "leaf-mould", amount });
    expect(await readMeasures(farm.context())).toEqual([
      { measure: "handful", ingredientId: "leaf-mould", mean: 0.09, least: 0.08, most: 0.1, weighings: 3 },
    ]);
    // A slip of the finger is taken back; it stays in the books and counts no more.
    const back = () =>
      takeBackWeighing(farm.context(), { requestKey: key(), measure: "handful", ingredientId: "leaf-mould" });
    await weighMeasure(farm.context(), {
      requestKey: key(),
      measure: "handful",
      ingredientId: "leaf-mould",
      amount: 0.9,
    });
    await back();
    expect(await readMeasures(farm.context())).toMatchObject([{ mean: 0.09, most: 0.1, weighings: 3 }]);
    for (const left of [2, 1]) {
      await back();
      expect(await readMeasures(farm.context())).toMatchObject([{ weighings: left }]);
    }
    await back();
    expect(await readMeasures(farm.context())).toEqual([]);
    expect((await refusalOf(back())).fields["/measure"]).toBe("No weighing of handful is left.");
    expect(
      (
        await refusalOf(
          weighMeasure(farm.context(), { requestKey: key(), measure: "cap", ingredientId: "molasses", amount: 0 }),
        )
      ).fields,
    ).toHaveProperty("/amount");
  });
});

describe("choosing for a day", () => {
  const wanted = async (day: string) =>
    (await readBook(farm.context(), (await findFarm(farm.scratch.db))!, day)).wanted!;
  it("says when to start each, what fits in front", async () => {
    const { problem, starts } = await wanted("2031-04-25");
    expect(problem).toBeNull();
    const fits = starts.map(({ answer }) => answer.fits);
    expect(fits).toEqual(fits.toSorted((a, b) => Number(b) - Number(a)));
    expect(starts.find(({ methodId }) => methodId === "cultured-extract")!.answer.fits).toBe(true);
    expect(
      (await wanted("2031-03-22")).starts.find(({ methodId }) => methodId === "cultured-extract")!.answer,
    ).toMatchObject({
      fits: false,
      because: "too-late",
    });
  });
  it.each([
    ["2031-03-01", "That day has been."],
    ["2041-03-01", "That is too far ahead: within five months, please."],
    ["Tuesday", "That is no day."],
  ])("refuses %s", async (day, problem) => expect(await wanted(day)).toEqual({ day, problem, starts: [] }));
});
