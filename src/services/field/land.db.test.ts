import fc from "fast-check";
import { manyBeds } from "@/core/land/edit";
import { boundsOf, rectangle } from "@/core/land/ring";
import { findFarm } from "@/data/farm/farm";
import { listMarks, listPlots, listShapes } from "@/data/field";
import { select } from "@/data/db";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { changePlanting, clearPlantings, plantPlots, seeStage } from "./plantings";
import { drawLand } from "./plots";
import { exportLand, importLand, setMark } from "./marks";
import { readField } from "./readField";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
});
afterEach(() => farm.scratch.drop());

type Ring = [number, number][];
const ringOf = (x: number, y: number, width = 1.2, length = 10): Ring =>
  rectangle([x, y], width, length).map(([a, b]) => [a, b]);
const bed = (name: string, x: number, extra: object = {}) => ({
  name,
  kind: "bed" as const,
  ring: ringOf(x, 0),
  ...extra,
});
const draw = (plots: readonly object[], putAway: readonly number[] = []) =>
  drawLand(farm.context(), { requestKey: key(), plots: plots as never, putAway: [...putAway] });
const shapes = async () => (await listShapes(farm.scratch.db)).map(({ id, name }) => [id, name]);
const field = async (day = NOW) => readField(farm.context(day), (await findFarm(farm.scratch.db))!);

describe("drawing the land", () => {
  it("draws, redraws, swaps names and puts away in one go, and keeps what was", async () => {
    const { plotIds } = await draw([bed("A", 0), bed("B", 2), bed("C", 4)]);
    const [a, b, c] = plotIds as [number, number, number];
    await draw([{ ...bed("B", 0), plotId: a }, { ...bed("A", 2), plotId: b }, bed("C", 9, { kind: "lawn" })], [c]);
    expect(await shapes()).toEqual([
      [a, "B"],
      [b, "A"],
      [expect.any(Number), "C"],
    ]);
    const all = await select<{ name: string; put_away: number }>(
      farm.scratch.db,
      `select name, put_away from plot_shape where plot_id = ${c} order by id`,
    );
    expect(all).toEqual([
      { name: "C", put_away: 0 },
      { name: "C", put_away: 1 },
    ]);
  });
  it.each<[string, () => readonly object[], string, string]>([
    ["two under one name", () => [bed("A", 0), bed("a ", 2)], "name-taken", "/plots/1/name"],
    [
      "an outline that crosses itself",
      () => [
        {
          ...bed("A", 0),
          ring: [
            [0, 0],
            [2, 2],
            [2, 0],
            [0, 2],
          ],
        },
      ],
      "domain",
      "/plots/0/ring",
    ],
    ["a plot that there is none of", () => [{ ...bed("A", 0), plotId: 999 }], "not-found", "/plots/0/plotId"],
  ])("refuses %s, and draws nothing", async (_what, plots, code, path) => {
    expect(await refusalOf(draw(plots()))).toMatchObject({ code, fields: { [path]: expect.any(String) } });
    expect(await shapes()).toEqual([]);
  });
  it("refuses a name that another plot has, and to redraw what is put away", async () => {
    const [a] = (await draw([bed("A", 0), bed("B", 2)])).plotIds;
    expect(await refusalOf(draw([{ ...bed("B", 0), plotId: a! }]))).toMatchObject({
      code: "name-taken",
      fields: { "/plots/0/name": expect.any(String) },
    });
    await draw([], [a!]);
    expect(await refusalOf(draw([], [a!]))).toMatchObject({
      code: "not-found",
      fields: { "/putAway/0": expect.any(String) },
    });
    await draw([bed("A", 0)]);
    expect((await shapes()).map(([, name]) => name)).toEqual(["B", "A"]);
  });
  it("keeps what a plot got when it is drawn anew, and its cost when it is put away", async () => {
    const plotId = await farm.plot("Salad", { widthM: 2 });
    await draw([{ ...bed("Long", 30), plotId }]);
    expect((await field()).plots.map(({ id, name, areaM2 }) => [id, name, areaM2])).toEqual([[plotId, "Long", 12]]);
  });
  it("takes any beds that can be drawn at once, as they were drawn", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 2, max: 400 }),
        fc.integer({ min: 5, max: 900 }),
        fc.integer({ min: -180, max: 180 }),
        async (count, width, length, turnedDeg) => {
          const before = (await shapes()).length;
          const rings = manyBeds({
            count,
            widthM: width / 10,
            lengthM: length / 10,
            betweenM: 0.5,
            at: [0, 0],
            towards: "east",
            turnedDeg,
          });
          await draw(
            rings.map((ring, index) => ({
              name: `P${before + index}`,
              kind: "bed",
              ring: ring.map(([x, y]) => [Number(x.toFixed(3)), Number(y.toFixed(3))]),
            })),
          );
          const drawn = (await listShapes(farm.scratch.db)).slice(before);
          expect(drawn).toHaveLength(count);
          for (const { areaM2 } of drawn)
            expect(Math.abs(areaM2 - (width * length) / 100)).toBeLessThan(0.01 + (width + length) * 2e-4);
        },
      ),
      { numRuns: 8 },
    );
  });
});

describe("waters and other marks", () => {
  const stream = {
    kind: "stream" as const,
    name: "Brook",
    line: [
      [-5, 8],
      [20, 8],
    ] as Ring,
    bufferM: 5,
  };
  it("bar the ground beside them, until they are no more", async () => {
    await draw([bed("A", 0)]);
    const { markId } = await setMark(farm.context(), { requestKey: key(), ...stream });
    const [plot] = (await field()).plots;
    expect(plot).toMatchObject({ areaM2: 12, treatableM2: expect.closeTo(3.6, 2), nearWater: ["Brook"] });
    await setMark(farm.context(), { requestKey: key(), markId, ...stream, bufferM: 0 });
    expect((await field()).plots[0]).toMatchObject({ treatableM2: 12, treatablePieces: null });
    await setMark(farm.context(), { requestKey: key(), markId, ...stream, putAway: true });
    expect(await listMarks(farm.scratch.db)).toEqual([]);
    expect(await refusalOf(setMark(farm.context(), { requestKey: key(), markId, ...stream }))).toMatchObject({
      code: "not-found",
    });
  });
});

describe("GeoJSON", () => {
  it("out and into another farm is the same land", async () => {
    await draw([bed("A", 0), bed("B", 3, { kind: "row" })]);
    await setMark(farm.context(), { requestKey: key(), kind: "tap", name: "Tap", line: [[2, -3]], bufferM: 0 });
    const text = JSON.stringify(await exportLand(farm.context(), (await findFarm(farm.scratch.db))!));
    const other = await TestFarm.make();
    try {
      const put = () => importLand(other.context(), { requestKey: key(), text, fileName: "land.geojson" });
      expect(await put()).toEqual({
        shapeIds: [expect.any(Number), expect.any(Number)],
        markRowIds: [expect.any(Number)],
      });
      const back = await listShapes(other.scratch.db);
      expect(back.map(({ name, kind, areaM2 }) => [name, kind, Math.round(areaM2 * 10) / 10])).toEqual([
        ["A", "bed", 12],
        ["B", "row", 12],
      ]);
      const { minX, maxX } = boundsOf(back.flatMap(({ ring }) => ring));
      expect(maxX - minX).toBeCloseTo(4.2, 1);
      expect((await readField(other.context(), (await findFarm(other.scratch.db))!)).origin).toMatchObject({
        source: "file land.geojson",
      });
      // Again, beside what is there: names are counted on.
      await put();
      expect((await listShapes(other.scratch.db)).map(({ name }) => name)).toEqual(["A", "B", "A 1", "B 1"]);
    } finally {
      await other.scratch.drop();
    }
  });
  it.each([
    ["no JSON", "{oops"],
    ["nothing in it", '{"type":"FeatureCollection","features":[]}'],
  ])("refuses %s", async (_what, text) =>
    expect(await refusalOf(importLand(farm.context(), { requestKey: key(), text, fileName: "x.json" }))).toMatchObject({
      code: "domain",
      fields: { "/text": expect.any(String) },
    }),
  );
});

describe("what grows", () => {
  const plant = (plotIds: readonly number[], extra: object = {}) =>
    plantPlots(farm.context(), { requestKey: key(), plotIds: [...plotIds], crop: "leeks", ...extra });
  it("goes onto many plots at once, is changed, seen, cleared; and the past stays", async () => {
    const { plotIds } = await draw([bed("A", 0), bed("B", 2)]);
    const { plantingIds } = await plant(plotIds, { plantedOn: "2031-02-01", harvestFrom: "2031-09-01", plants: 60 });
    const on = async (day: string) =>
      (await listPlots(farm.scratch.db, day)).map(({ crop, stage, plants }) => [crop, stage, plants]);
    expect(await on("2031-01-20")).toEqual([
      ["", "bare", null],
      ["", "bare", null],
    ]);
    expect(await on("2031-02-05")).toEqual([
      ["leeks", "seedling", 60],
      ["leeks", "seedling", 60],
    ]);
    expect(await on("2031-03-20")).toEqual([
      ["leeks", "growing", 60],
      ["leeks", "growing", 60],
    ]);
    await seeStage(farm.context(), {
      requestKey: key(),
      plantingIds: [plantingIds[0]!],
      stage: "flowering",
      on: "2031-03-15",
    });
    await changePlanting(farm.context(), {
      requestKey: key(),
      plantingId: plantingIds[1]!,
      crop: "leeks",
      plantedOn: "2031-02-01",
      plants: 44,
      endedOn: null,
    });
    expect(await on("2031-03-20")).toEqual([
      ["leeks", "flowering", 60],
      ["leeks", "growing", 44],
    ]);
    await clearPlantings(farm.context(), { requestKey: key(), plantingIds: [...plantingIds], on: "2031-03-18" });
    expect(await on("2031-03-20")).toEqual([
      ["", "bare", null],
      ["", "bare", null],
    ]);
    expect(await on("2031-03-01")).toEqual([
      ["leeks", "growing", 60],
      ["leeks", "growing", 44],
    ]);
    await clearPlantings(farm.context(), { requestKey: key(), plantingIds: [plantingIds[0]!], on: null });
    expect((await on("2031-03-20"))[0]).toEqual(["leeks", "flowering", 60]);
  });
  it("is followed by the next, which the field already knows", async () => {
    const { plotIds } = await draw([bed("A", 0)]);
    await plant(plotIds, { crop: "peas", plantedOn: "2031-01-01", harvestFrom: "2031-03-01", harvestTo: "2031-03-25" });
    await plant(plotIds, { crop: "kale", plantedOn: "2031-05-01" });
    const [plot] = (await field()).plots;
    expect(plot).toMatchObject({ crop: "peas", stage: "fruiting", next: { crop: "kale", plantedOn: "2031-05-01" } });
  });
  it.each<[string, object, string, string]>([
    [
      "a harvest before the planting",
      { plantedOn: "2031-03-01", harvestFrom: "2031-02-01" },
      "harvest-before-planting",
      "/harvestFrom",
    ],
    [
      "a harvest that ends before it begins",
      { harvestFrom: "2031-08-01", harvestTo: "2031-07-01" },
      "harvest-ends-early",
      "/harvestTo",
    ],
    ["a plot that there is none of", { plotIds: [99] }, "not-found", "/plotIds/0"],
  ])("refuses %s", async (_what, extra, code, path) => {
    const { plotIds } = await draw([bed("A", 0)]);
    const asked = { plotIds, ...extra } as { plotIds: number[] };
    expect(await refusalOf(plant(asked.plotIds, extra))).toMatchObject({
      code,
      fields: { [path]: expect.any(String) },
    });
  });
  it("is neither seen nor cleared on a day that has not been", async () => {
    const { plotIds } = await draw([bed("A", 0)]);
    const { plantingIds } = await plant(plotIds);
    const ids = [...plantingIds];
    expect(
      await refusalOf(
        seeStage(farm.context(), { requestKey: key(), plantingIds: ids, stage: "rest", on: "2031-04-20" }),
      ),
    ).toMatchObject({ code: "day-ahead" });
    expect(
      await refusalOf(clearPlantings(farm.context(), { requestKey: key(), plantingIds: ids, on: "2031-04-20" })),
    ).toMatchObject({ code: "day-ahead" });
    expect(
      await refusalOf(seeStage(farm.context(hoursAgo(1)), { requestKey: key(), plantingIds: [77], stage: "rest" })),
    ).toMatchObject({ code: "not-found" });
  });
});
