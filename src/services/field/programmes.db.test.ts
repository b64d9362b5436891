import { A_PHOTO } from "@/testing/photo";
import { findFarm } from "@/data/farm";
import { readYard } from "../yard";
import { hoursAgo, key, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { readPhoto } from "../photo";
import { applyStore } from "./applyStore";
import { seePlot } from "./looks";
import { startPatchTest, seePatchTest } from "./patchTests";
import { plantPlots } from "./plantings";
import { readProgrammes, setProgramme } from "./programmes";
import { readPlot } from "./readPlot";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
});
afterEach(() => farm.scratch.drop());

const farmRow = async () => (await findFarm(farm.scratch.db))!;
const line = (change: object = {}) => ({
  methodId: "cultured-extract",
  use: "drench-growing" as const,
  everyD: 14,
  from: "growing" as const,
  to: "fruiting" as const,
  ...change,
});
const set = (change: object = {}) =>
  setProgramme(farm.context(), { requestKey: key(), name: "Leeks", crops: ["leeks"], steps: [line()], ...change });
const leeksOn = async (name: string) => {
  const id = await farm.plot(name, { stage: "bare" });
  await plantPlots(farm.context(), {
    requestKey: key(),
    plotIds: [id],
    crop: "winter leeks",
    plantedOn: "2031-02-01",
    sown: false,
    harvestFrom: null,
  });
  return id;
};
const view = async () => readProgrammes(farm.context(), await farmRow());

describe("a programme", () => {
  it("is told, told anew and put away; what it asks for stands in the calendar, on the plot and in the round", async () => {
    const plot = await leeksOn("Leek bed");
    await farm.plot("Empty");
    const { programmeId } = await set();
    const { programmes, plots } = await view();
    expect(programmes).toEqual([
      { id: programmeId, name: "Leeks", crops: ["leeks"], steps: [line({ partsWater: null, mixLPerM2: null })] },
    ]);
    expect(
      plots
        .find(({ id }) => id === plot)!
        .dues.slice(0, 2)
        .map(({ day }) => day),
    ).toEqual(["2031-03-20", "2031-04-03"]);
    expect((await readPlot(farm.context(), await farmRow(), plot))!.due[0]).toMatchObject({ day: "2031-03-20" });
    const { round } = await readYard(farm.context(), await farmRow());
    expect(round).toContainEqual(
      expect.objectContaining({ does: "put-on", title: "Cultured plant extract: on 1 bed", urgency: "now" }),
    );
    await set({ programmeId, name: "All leeks", crops: [], steps: [line({ everyD: 7 })] });
    expect((await view()).programmes).toMatchObject([{ id: programmeId, name: "All leeks", crops: [] }]);
    await set({ programmeId, putAway: true });
    expect((await view()).programmes).toEqual([]);
    expect((await refusalOf(set({ programmeId }))).fields["/programmeId"]).toContain("no such programme");
  });
  it("refuses at its line what the book does not know", async () => {
    expect((await refusalOf(set({ steps: [line(), line({ use: "seed-mix" })] }))).fields["/steps/1/use"]).toContain(
      "no known use",
    );
    expect((await refusalOf(set({ steps: [line({ methodId: "moon-water" })] }))).fields).toHaveProperty(
      "/steps/0/methodId",
    );
    expect((await refusalOf(set({ steps: [line({ everyD: 0 })] }))).fields).toHaveProperty("/steps/0/everyD");
  });
});

it("a patch stands in the round from a day after it was treated until somebody has looked", async () => {
  const plot = await farm.plot("Bed 3");
  const storeId = await farm.strained();
  const test = { requestKey: key(), storeId, plotId: plot, useId: "foliar", ratio: "1:50" };
  const { patchTestId } = await startPatchTest(farm.context(), test);
  const patches = async (at: Date) =>
    (await readYard(farm.context(at), await farmRow())).round.filter(({ key: task }) => task.startsWith("patch-"));
  expect(await patches(hoursAgo(-10))).toEqual([]);
  expect(await patches(hoursAgo(-30))).toMatchObject([{ title: "Bed 3: look at the patch", urgency: "now" }]);
  await seePatchTest(farm.context(hoursAgo(-30)), { requestKey: key(), patchTestId, result: "clear", note: "" });
  expect(await patches(hoursAgo(-31))).toEqual([]);
});

it("a bed is looked at after what went on, with a picture; the round asks until it is done", async () => {
  const plot = await farm.plot("Bed 3");
  const storeId = await farm.strained();
  await applyStore(farm.context(), {
    requestKey: key(),
    storeId,
    useId: "drench-growing",
    ratio: "1:250",
    mixRateL: 2,
    mixRatePer: "m2",
    toolId: await farm.can(),
    plotIds: [plot],
    labourMin: 10,
    water: { sourceId: RAIN_ID },
  });
  const asked = async (at: Date) =>
    (await readYard(farm.context(at), await farmRow())).round.filter(({ key: task }) => task === "look-at-beds");
  const page = async (at: Date) => (await readPlot(farm.context(at), await farmRow(), plot))!;
  expect(await asked(hoursAgo(-2))).toEqual([]);
  expect(await asked(hoursAgo(-26))).toMatchObject([
    { title: "Look at 1 bed", touch: { href: `/field/plots/${plot}` } },
  ]);
  expect((await page(hoursAgo(-26))).lookDue).toMatchObject({ afterD: 1, signs: ["leaf-colour", "stance"] });
  const look = { requestKey: key(), plotId: plot, signs: { "leaf-colour": "pale" }, note: " soft ", jpeg: A_PHOTO };
  await seePlot(farm.context(hoursAgo(-26)), look);
  expect(await asked(hoursAgo(-27))).toEqual([]);
  const { looks } = await page(hoursAgo(-27));
  expect(looks).toMatchObject([{ signs: { "leaf-colour": "pale" }, note: "soft" }]);
  expect(await readPhoto(farm.context(), looks[0]!.photo!)).toBeInstanceOf(Buffer);
  expect((await page(hoursAgo(-8 * 24))).lookDue).toMatchObject({ afterD: 7 });
  const nothing = seePlot(farm.context(), { requestKey: key(), plotId: plot, signs: {}, note: " " });
  expect((await refusalOf(nothing)).fields["/signs"]).toContain("Say what you see");
});
