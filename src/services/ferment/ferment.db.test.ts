import { A_PHOTO } from "@/testing/photo";
import { findFarm } from "@/data/farm/farm";
import { listForecastsOfBatch } from "@/data/batch/forecasts";
import { MODEL_VERSION } from "./keepForecast";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { addDevice } from "../devices/devices";
import { takeReadings } from "../devices/takeReadings";
import { cleanVessel } from "../batch/washing";
import { closeBatch } from "../batch/closeBatch";
import { addToBatch } from "../batch/feedBatch";
import { readBatch } from "../batch/readBatch";
import { readYard } from "../yard/readYard";
import { askWhatIf } from "./askWhatIf";
import { readPeakStarts } from "../book/readPeakStarts";
import { shareTask } from "../batch/shareTask";
import { resetLearning } from "./resetLearning";
import { addBatchPhoto } from "../batch/photos";
import { readPriors } from "./priors";
import { readRecord } from "./record";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
  await farm.lot("molasses", 30, 10);
  await farm.lot("lactic-culture", 30, 10);
});
afterEach(() => farm.scratch.drop());

const theFarm = async () => (await findFarm(farm.scratch.db))!;
const page = async (batchId: number) => (await readBatch(farm.context(), await theFarm(), batchId))!;
const ph = (value: number) => ({ kind: "ph", value, instrument: "meter", spot: "mid-depth", settled: true });

/** An extract that soured fast: two readings above pH 4, two under it, then strained as ready. */
async function fastExtract(vessel: number, startedDaysAgo: number): Promise<number> {
  const at = (days: number) => hoursAgo((startedDaysAgo - days) * 24);
  const batchId = await farm.fill(vessel, "cultured-extract", 80, at(0));
  for (const [days, value] of [
    [4, 5],
    [6, 4.3],
    [8, 3.8],
    [14, 3.6],
  ] as const) {
    await farm.log(batchId, at(days), { kind: "temperature", celsius: 21 });
    await farm.log(batchId, at(days), ph(value));
  }
  await farm.log(batchId, at(14), { kind: "smell", word: "cidery" });
  await closeBatch(farm.context(at(14.2)), {
    requestKey: key(),
    batchId,
    kind: "strained",
    at: at(14.2).toISOString(),
    yieldL: 70,
    residue: "compost",
    labourMin: 10,
  });
  return batchId;
}

describe("a forecast that is kept", () => {
  it("is kept at the start and at every line of the log, as it was then", async () => {
    const batchId = await farm.fill(await farm.vessel("Drum"), "cultured-extract", 80, hoursAgo(240));
    await farm.log(batchId, hoursAgo(100), ph(4.9));
    await farm.log(batchId, hoursAgo(50), { kind: "smell", word: "yeasty" });
    const kept = await listForecastsOfBatch(farm.scratch.db, batchId);
    expect(kept.map(({ entryId }) => entryId === null)).toEqual([true, false, false]);
    expect(kept[0]!.u!.sd).toBeGreaterThan(kept[1]!.u!.sd);
    for (const { start, modelVersion, state } of kept) {
      expect(start.p10!.getTime()).toBeLessThanOrEqual(start.p90!.getTime());
      expect([modelVersion, state.length > 3]).toEqual([MODEL_VERSION, true]);
    }
  });
  it("counts what was logged a minute ago, on the batch's page, in what is kept and in what if", async () => {
    const seven = new Date(hoursAgo(0).getTime() + 7 * 60_000);
    const minute = new Date(seven.getTime() + 60_000);
    const drum = await farm.vessel("Drum");
    await farm.place(drum, "indoors");
    const batchId = await farm.fill(drum, "cultured-extract", 80, hoursAgo(240));
    const pageAt = async () => (await readBatch(farm.context(minute), await theFarm(), batchId))!;
    const asIsAt = async () => (await askWhatIf(farm.context(minute), await theFarm(), batchId, {}))!.asIs.window.start;
    const [before, unasked] = [await pageAt(), await asIsAt()];
    await farm.log(batchId, seven, ph(4.5));
    const [, kept] = await listForecastsOfBatch(farm.scratch.db, batchId);
    const [after, asked] = [await pageAt(), await asIsAt()];
    const spread = ({ p10, p90 }: { p10: number | null; p90: number | null }) => p90! - p10!;
    expect(spread(after.batch.window.start)).toBeLessThan(0.7 * spread(before.batch.window.start));
    expect(spread(asked)).toBeLessThan(0.7 * spread(unasked));
    expect(kept!.start.p50!.getTime()).toBeCloseTo(after.batch.window.start.p50!, -5);
  });
  it("stands in the method's record beside what came of it", async () => {
    await fastExtract(await farm.vessel("Drum"), 30);
    const record = await readRecord(farm.context(), await theFarm(), "cultured-extract");
    expect(record.lines).toHaveLength(1);
    const [line] = record.lines;
    expect(line!.readyD).toEqual({ notBefore: expect.closeTo(6, 6), by: expect.closeTo(8, 6) });
    expect(line!.atStart!.score.offH).toBeGreaterThan(0);
    expect(line!.halfWay).not.toBeNull();
    expect(record.judged).toBe(2);
    expect(record.ruleOffD).toBeCloseTo(7, 6);
  });
  it("is nothing for a method that was never made", async () =>
    expect(await readRecord(farm.context(), await theFarm(), "leaf-soak")).toEqual({
      lines: [],
      hits: 0,
      judged: 0,
      offD: null,
      ruleOffD: null,
      learned: null,
    }));
});

describe("what the farm's batches teach", () => {
  it("moves the next one's forecast, says so, and is forgotten when asked", async () => {
    const [one, two, three] = [await farm.vessel("One"), await farm.vessel("Two"), await farm.vessel("Three")];
    const before = await readPriors(farm.scratch.db, await theFarm());
    expect(before.of("B1_plant_ferment")).toBeNull();
    await fastExtract(one, 40);
    await fastExtract(two, 20);
    const taught = await readPriors(farm.scratch.db, await theFarm());
    expect(taught.of("B1_plant_ferment")!.mean).toBeGreaterThan(0.1);
    expect(taught.learned[0]).toMatchObject({ taught: 2, finished: 2 });
    await farm.place(three, "indoors", { lowC: 15, highC: 17 });
    const third = await farm.fill(three, "cultured-extract", 80, hoursAgo(24));
    const fast = (await page(third)).batch.window.start.p50!;
    const reset = (change: object = {}) =>
      resetLearning(farm.context(), {
        requestKey: key(),
        modelId: "B1_plant_ferment",
        reason: "another shed",
        ...change,
      });
    expect((await refusalOf(reset({ reason: " " }))).fields).toHaveProperty("/reason");
    expect((await refusalOf(reset({ modelId: "nothing" }))).fields).toHaveProperty("/modelId");
    await reset();
    expect((await page(third)).batch.window.start.p50!).toBeGreaterThan(fast + 3_600_000);
    const { learned } = await readRecord(farm.context(), await theFarm(), "cultured-extract");
    expect(learned).toMatchObject({ taught: 0, finished: 0, resets: [{ reason: "another shed", by: "Ana" }] });
  });
  it("is nothing by a batch that was fed on the way", async () => {
    const vessel = await farm.vessel("One");
    const batchId = await farm.fill(vessel, "cultured-extract", 80, hoursAgo(500));
    await farm.log(batchId, hoursAgo(200), ph(4.8));
    await addToBatch(farm.context(hoursAgo(190)), {
      requestKey: key(),
      batchId,
      ingredientId: "molasses",
      amount: 0.4,
      at: hoursAgo(190).toISOString(),
    });
    await farm.log(batchId, hoursAgo(20), ph(3.8));
    await farm.log(batchId, hoursAgo(20), { kind: "smell", word: "cidery" });
    await closeBatch(farm.context(hoursAgo(10)), {
      requestKey: key(),
      batchId,
      kind: "strained",
      at: hoursAgo(10).toISOString(),
      yieldL: 70,
      residue: "compost",
      labourMin: 10,
      overrideReason: "sour enough",
    });
    expect((await readPriors(farm.scratch.db, await theFarm())).of("B1_plant_ferment")).toBeNull();
  });
});

describe("a batch's page", () => {
  it("draws its course with band, readings, warmth, tending, stages and forerunners", async () => {
    const [one, two] = [await farm.vessel("One"), await farm.vessel("Two")];
    const earlier = await fastExtract(one, 40);
    const batchId = await farm.fill(two, "cultured-extract", 80, hoursAgo(240));
    await farm.log(batchId, hoursAgo(100), ph(4.9));
    await farm.log(batchId, hoursAgo(90), { ...ph(3.2), settled: false });
    const { progress } = await page(batchId);
    expect(progress.curve!.feature).toBe("ph");
    expect(progress.curve!.readings.map(({ value, counted }) => [value, counted])).toEqual([
      [4.9, true],
      [3.2, false],
    ]);
    expect(progress.curve!.points.length).toBeGreaterThan(40);
    expect(progress.liquid.length).toBe(progress.curve!.points.length);
    expect(progress.tending.find(({ act }) => act === "vented")!.missedMs.length).toBeGreaterThan(1);
    expect(progress.stages.map(({ name }) => name)).toEqual(["Souring", "Finishing"]);
    expect(progress.earlier.map(({ batchId: id, readings }) => [id, readings.length])).toEqual([[earlier, 4]]);
    expect(progress.given).toHaveLength(3);
  });
  it("takes a food that was fed as a stage begun anew, with its share of what went in", async () => {
    const warm = await farm.vessel("One");
    await farm.place(warm, "indoors", { lowC: 22, highC: 24 });
    const batchId = await farm.fill(warm, "cultured-extract", 80, hoursAgo(500));
    await farm.log(batchId, hoursAgo(80), ph(4.9));
    await farm.log(batchId, hoursAgo(30), ph(4.9));
    expect((await page(batchId)).batch.state).toBe("stuck");
    await addToBatch(farm.context(hoursAgo(2)), {
      requestKey: key(),
      batchId,
      ingredientId: "molasses",
      amount: 0.4,
      at: hoursAgo(2).toISOString(),
    });
    const fed = (await page(batchId)).batch;
    expect(fed.state).not.toBe("stuck");
    expect(fed.reasons.join(" ")).toContain("Counts as a new start");
    expect(fed.window.start.p50!).toBeGreaterThan(NOW.getTime());
  });
  it("keeps photographs with it, and refuses what is none", async () => {
    const batchId = await farm.fill(await farm.vessel("One"), "cultured-extract", 80, hoursAgo(50));
    const { photoId } = await addBatchPhoto(farm.context(), {
      requestKey: key(),
      batchId,
      jpeg: A_PHOTO,
      note: "pale film",
    });
    expect((await page(batchId)).progress.photos).toMatchObject([{ id: photoId, note: "pale film", by: "Ana" }]);
    const early = hoursAgo(90).toISOString();
    expect(
      (await refusalOf(addBatchPhoto(farm.context(), { requestKey: key(), batchId, jpeg: A_PHOTO, at: early }))).code,
    ).toBe("before-start");
  });
  it("starts a tea's shelf clock when its air stopped", async () => {
    await farm.lot("castings", 20, 10);
    const tea = await farm.fill(await farm.vessel("Air", 100, 40), "aerated-tea", 60, hoursAgo(40));
    for (const hours of [36, 20, 8]) await farm.log(tea, hoursAgo(hours), { kind: "temperature", celsius: 24 });
    await farm.log(tea, hoursAgo(4), { kind: "smell", word: "earthy" });
    await farm.log(tea, hoursAgo(2), { kind: "act", act: "air-off" });
    await closeBatch(farm.context(), {
      requestKey: key(),
      batchId: tea,
      kind: "strained",
      yieldL: 50,
      residue: "compost",
      labourMin: 5,
    });
    const [store] = (await page(tea)).stores;
    expect(store!.shelfFromMs).toBe(hoursAgo(2).getTime());
  });
});

describe("where a vessel stands", () => {
  it("is learned from what was dipped in its earlier batches, where the station tells the air outside", async () => {
    const token = "s".repeat(40);
    await addDevice(farm.context(), { requestKey: key(), name: "Mast", kind: "station", vesselId: null, token });
    const hourly = [...Array(30 * 24).keys()].map((hours) => ({
      at: hoursAgo(hours).toISOString(),
      quantity: "air",
      value: 6,
    }));
    for (let from = 0; from < hourly.length; from += 200)
      await takeReadings(farm.scratch.pool, NOW, token, { readings: hourly.slice(from, from + 200) });
    const known = await farm.vessel("Known");
    const other = await farm.vessel("Other");
    await fastExtract(known, 20);
    await cleanVessel(farm.context(), { requestKey: key(), vesselId: known });
    const [here, there] = [
      await farm.fill(known, "cultured-extract", 80, hoursAgo(72)),
      await farm.fill(other, "cultured-extract", 80, hoursAgo(72)),
    ];
    const warmth = async (batchId: number) => (await page(batchId)).batch.liquidC;
    expect(await warmth(here)).toBeGreaterThan((await warmth(there)) + 3);
  });
});

describe("what if", () => {
  it("it stood warmer: both ways, how warm by a day, and when the next would peak in fit hours; nothing is written", async () => {
    await farm.lot("potato", 10, 5);
    await farm.lot("sea-salt", 2, 1);
    await farm.lot("leaf-mould", 4, 0, "2031-03-01");
    const batchId = await farm.fill(await farm.vessel("Pail", 30), "leaf-mould-brew", 20, hoursAgo(20), {
      statedC: 16,
    });
    const asked = (await askWhatIf(farm.context(), await theFarm(), batchId, {
      placeC: 27,
      byMs: NOW.getTime() + 20 * 3_600_000,
      forPeak: true,
    }))!;
    expect(asked.changed!.window.start.p50!).toBeLessThan(asked.asIs.window.start.p50!);
    expect(asked.asIs.ribbon.length).toBeGreaterThan(100);
    // Another one, begun in a fortnight, is drawn from now to its end.
    const later = (await askWhatIf(farm.context(), await theFarm(), batchId, { laterH: 14 * 24 }))!.changed!;
    expect(later.untilMs).toBeGreaterThan(later.window.end.p50!);
    expect(later.ribbon.at(-1)!.atMs).toBeGreaterThanOrEqual(later.untilMs);
    expect(["some", "beyond"]).toContain(asked.warmthNeeded);
    for (const { peakMs, bandFromMs, bandToMs } of asked.starts) {
      expect(peakMs).toBeGreaterThanOrEqual(bandFromMs);
      expect(peakMs).toBeLessThanOrEqual(bandToMs);
    }
    expect((await page(batchId)).log).toEqual([]);
    // The method's page tells it before anything is begun; what keeps has no hour to be started for.
    const starts = await readPeakStarts(farm.context(), await theFarm(), "aerated-tea");
    expect(starts.length).toBeGreaterThan(0);
    for (const { startMs, peakMs, bandFromMs, bandToMs } of starts) {
      expect(startMs).toBeLessThan(peakMs);
      expect(bandFromMs <= peakMs && peakMs <= bandToMs).toBe(true);
    }
    expect(await readPeakStarts(farm.context(), await theFarm(), "cultured-extract")).toEqual([]);
    expect(await askWhatIf(farm.context(), await theFarm(), 4711, {})).toBeNull();
  });
});

describe("the round", () => {
  const round = async () => (await readYard(farm.context(), await theFarm())).round;
  it("has a person and a part of the day where that was said", async () => {
    const batchId = await farm.fill(await farm.vessel("One"), "cultured-extract", 80, hoursAgo(80));
    const share = (change: object = {}) =>
      shareTask(farm.context(), { requestKey: key(), batchId, act: "read-ph", personId: null, slot: null, ...change });
    expect((await refusalOf(share({ personId: 4711 }))).fields).toHaveProperty("/personId");
    const { people } = await page(batchId);
    await share({ personId: people[1]!.id, slot: "evening" });
    const task = (await round()).find(({ key: name }) => name === `${batchId}-read-ph`)!;
    expect(task.who).toBe("Ben");
    expect(new Date(task.dueMs).getUTCHours()).toBe(18);
  });
  it("asks of a batch that is on hold for the look that settles it and for its gas, and for no reading", async () => {
    const batchId = await farm.fill(await farm.vessel("Doubtful"), "cultured-extract", 80, hoursAgo(15 * 24));
    const keys = async () =>
      (await round()).flatMap(({ key: name }) =>
        name.startsWith(`${batchId}-`) ? [name.slice(`${batchId}-`.length)] : [],
      );
    expect(await keys()).toContain("read-ph");
    await farm.log(batchId, hoursAgo(7), { kind: "smell", word: "putrid" });
    const held = await keys();
    expect(held).toEqual(expect.arrayContaining(["look", "vented"]));
    expect(held).not.toContain("read-ph");
  });
  it("calls for air at once where it stopped, and one touch puts it on", async () => {
    await farm.lot("castings", 20, 10);
    const tea = await farm.fill(await farm.vessel("Air", 100, 40), "aerated-tea", 60, hoursAgo(12));
    expect((await round()).some(({ key: name }) => name === `${tea}-air`)).toBe(false);
    await farm.log(tea, hoursAgo(1), { kind: "act", act: "power-cut" });
    const task = (await round()).find(({ key: name }) => name === `${tea}-air`)!;
    expect(task).toMatchObject({ urgency: "late", touch: { type: "log-act", act: "power-back" } });
    await farm.log(tea, hoursAgo(0.5), { kind: "act", act: "power-back" });
    expect((await round()).some(({ key: name }) => name === `${tea}-air`)).toBe(false);
  });
  it("puts tomorrow's apart", async () => {
    await farm.fill(await farm.vessel("One"), "cultured-extract", 80, hoursAgo(70));
    const tasks = await round();
    expect(
      tasks.filter(({ tomorrow }) => tomorrow).every(({ dueMs }) => new Date(dueMs).getUTCDate() !== NOW.getUTCDate()),
    ).toBe(true);
  });
});
