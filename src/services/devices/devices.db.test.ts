import { findFarm } from "@/data/farm/farm";
import { listForecastsOfBatch } from "@/data/batch/forecasts";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { readBatch } from "../batch/readBatch";
import { readYard } from "../yard/readYard";
import { addDevice, placeDevice, retireDevice } from "./devices";
import { importLogger } from "./importLogger";
import { readDevices } from "./readDevices";
import { takeReadings } from "./takeReadings";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const HOUR_MS = 3_600_000;
const tokenOf = (letter: string) => letter.repeat(40);
const theFarm = async () => (await findFarm(farm.scratch.db))!;
const post = (token: string, readings: object[], more: object = {}) =>
  takeReadings(farm.scratch.pool, NOW, token, { readings, ...more });
const figure = (hours: number, quantity: string, value: number) => ({
  at: hoursAgo(hours).toISOString(),
  quantity,
  value,
});
const probeIn = async (vesselId: number, token = tokenOf("p")) =>
  (await addDevice(farm.context(), { requestKey: key(), name: `Probe ${token[0]}`, kind: "probe", vesselId, token }))
    .deviceId;
const extractIn = async (vessel: number, daysAgo: number) => {
  await farm.lot("molasses", 5, 10);
  await farm.lot("lactic-culture", 5, 10);
  return farm.fill(vessel, "cultured-extract", 80, hoursAgo(daysAgo * 24));
};

describe("a probe that posts", () => {
  it("is taken once, however often it posts the same, and late hours are welcome", async () => {
    await probeIn(await farm.vessel("Drum"));
    const hours = [3, 2, 1].map((ago) => figure(ago, "liquid", 20));
    expect(await post(tokenOf("p"), hours)).toEqual({ taken: 3, known: 0, setAside: [] });
    expect(await post(tokenOf("p"), hours)).toEqual({ taken: 0, known: 3, setAside: [] });
    expect(await post(tokenOf("p"), [...hours, figure(0, "liquid", 20), figure(0, "liquid", 20)])).toMatchObject({
      taken: 1,
      known: 4,
    });
    expect(await post(tokenOf("p"), [figure(100, "liquid", 18)])).toMatchObject({ taken: 1 });
  });
  it("has what can't be kept apart, with why, and never used", async () => {
    const deviceId = await probeIn(await farm.vessel("Drum"));
    const { taken, setAside } = await post(tokenOf("p"), [
      figure(3, "liquid", 20),
      figure(2, "liquid", 85),
      figure(1, "liquid", 20.2),
      figure(0.5, "ph", 0.4),
      figure(-20, "liquid", 20),
    ]);
    expect(taken).toBe(2);
    expect(setAside.map(({ code }) => code)).toEqual(["impossible", "impossible", "clock-ahead"]);
    const view = await readDevices(farm.context(), await theFarm());
    const device = view.devices.find(({ id }) => id === deviceId)!;
    expect(device.setAside).toHaveLength(3);
    expect(device.series.map(({ value }) => value)).toEqual([20, 20.2]);
    expect(device.quiet).toBe(false);
  });
  it("is refused without its token, with a wrong one, after it was taken out of use, and with what is no reading", async () => {
    const deviceId = await probeIn(await farm.vessel("Drum"));
    expect((await refusalOf(post(tokenOf("x"), []))).code).toBe("not-found");
    expect(
      (await refusalOf(post(tokenOf("p"), [{ at: "yesterday", quantity: "liquid", value: 20 }]))).fields,
    ).toHaveProperty("/readings/0/at");
    await retireDevice(farm.context(), { requestKey: key(), deviceId });
    expect((await refusalOf(post(tokenOf("p"), []))).code).toBe("not-found");
  });
  it("carries the batch's forecast: the liquid as read, its pH as a reading", async () => {
    const drum = await farm.vessel("Drum");
    await farm.place(drum, "cellar");
    const batchId = await extractIn(drum, 9);
    await probeIn(drum);
    const before = (await readBatch(farm.context(), await theFarm(), batchId))!.batch;
    expect(before.basis).not.toBe("read");
    await post(
      tokenOf("p"),
      [...Array(100).keys()].map((ago) => figure(ago, "liquid", 26)),
    );
    const warm = (await readBatch(farm.context(), await theFarm(), batchId))!.batch;
    expect(warm.basis).toBe("read");
    expect(warm.liquidC).toBeCloseTo(26, 0);
    expect(warm.window.start.p50!).toBeLessThan(before.window.start.p50!);
    await post(tokenOf("p"), [figure(1, "ph", 5.4)]);
    const read = (await readBatch(farm.context(), await theFarm(), batchId))!.batch;
    expect(read.reasons.join(" ")).toContain("pH 5.4");
  });
  it("read what it read where it hung then, also when it was moved since", async () => {
    const [one, two] = [await farm.vessel("One"), await farm.vessel("Two")];
    const batchId = await extractIn(one, 9);
    const deviceId = await probeIn(one);
    await placeDevice(farm.context(), { requestKey: key(), deviceId, vesselId: two, at: hoursAgo(24).toISOString() });
    await post(tokenOf("p"), [
      ...[30, 29, 28].map((ago) => figure(ago, "liquid", 27)),
      ...[3, 2, 1].map((ago) => figure(ago, "liquid", 11)),
    ]);
    const page = (await readBatch(farm.context(), await theFarm(), batchId))!;
    expect(page.progress.temperatures.map(({ celsius }) => celsius)).toEqual([27, 27, 27]);
  });
  it("that has fallen silent is asked after", async () => {
    await probeIn(await farm.vessel("Drum"));
    await post(tokenOf("p"), [figure(9, "liquid", 20)]);
    const [device] = (await readDevices(farm.context(), await theFarm())).devices;
    expect(device).toMatchObject({ quiet: true, lastMs: hoursAgo(9).getTime() });
  });
  it("needs a vessel, and a name of its own", async () => {
    const add = (change: object) =>
      addDevice(farm.context(), {
        requestKey: key(),
        name: "Probe",
        kind: "probe",
        vesselId: null,
        token: tokenOf("q"),
        ...change,
      });
    expect((await refusalOf(add({}))).fields).toHaveProperty("/vesselId");
    expect((await refusalOf(add({ vesselId: 4711 }))).fields).toHaveProperty("/vesselId");
    const vesselId = await farm.vessel("Drum");
    await add({ vesselId });
    expect((await refusalOf(add({ vesselId, token: tokenOf("r") }))).fields).toHaveProperty("/name");
    expect((await refusalOf(add({ token: "short" }))).fields).toHaveProperty("/token");
  });
});

describe("a weather station", () => {
  const station = async () => {
    await addDevice(farm.context(), {
      requestKey: key(),
      name: "Mast",
      kind: "station",
      vesselId: null,
      token: tokenOf("s"),
    });
    const hours = [...Array(240).keys()];
    return post(
      tokenOf("s"),
      hours.map((ago) => figure(ago, "air", 9)),
      {
        forecast: {
          issuedAt: NOW.toISOString(),
          hours: hours.map((ahead) => ({
            at: new Date(NOW.getTime() + (ahead + 1) * HOUR_MS).toISOString(),
            airC: 30,
            rainMm: 2,
          })),
        },
      },
    );
  };
  it("is the farm's air from then on: measured, and expected", async () => {
    const drum = await farm.vessel("Drum");
    await farm.place(drum, "shade");
    const batchId = await extractIn(drum, 9);
    const before = (await readBatch(farm.context(), await theFarm(), batchId))!.batch;
    // Nobody makes weather up: until something tells it the climate stands in, and says so.
    expect(before.basis).toBe("climate");
    const mute = await readYard(farm.context(), await theFarm());
    expect(mute.air.every(({ usual }) => usual)).toBe(true);
    expect(mute.bands[0]).toMatchObject({ because: "unknown" });
    expect((await station()).taken).toBe(240);
    const after = (await readBatch(farm.context(), await theFarm(), batchId))!.batch;
    expect(after.liquidC).toBeCloseTo(9, 0);
    expect(after.basis).toBe("place");
    expect(after.window.start.p50).not.toBe(before.window.start.p50);
    const { air } = await readYard(farm.context(), await theFarm());
    expect(air.some(({ airC, usual }) => airC === 30 && !usual)).toBe(true);
    // Past the end of its forecast the air is what it usually is.
    expect(air.at(-1)).toMatchObject({ usual: true });
  });
  it("has every forecast that it moves kept, once, and none of those it leaves", async () => {
    const batchId = await extractIn(await farm.vessel("Drum"), 9);
    await station();
    const kept = () => listForecastsOfBatch(farm.scratch.db, batchId);
    const said = (hoursLater: number, airC: number) => {
      const now = new Date(NOW.getTime() + hoursLater * HOUR_MS);
      const hours = [...Array(200).keys()].map((ahead) => ({
        at: new Date(now.getTime() + (ahead + 1) * HOUR_MS).toISOString(),
        airC,
      }));
      return takeReadings(farm.scratch.pool, now, tokenOf("s"), {
        readings: [],
        forecast: { issuedAt: now.toISOString(), hours },
      });
    };
    const atStart = (await kept()).length;
    await said(1, 12);
    const moved = await kept();
    expect(moved).toHaveLength(atStart + 1);
    expect(moved.at(-1)).toMatchObject({ entryId: null });
    expect(moved.at(-1)!.start.p50?.getTime() ?? Infinity).toBeGreaterThan(moved[0]!.start.p50!.getTime());
    await said(1.5, 12);
    expect(await kept()).toHaveLength(atStart + 1);
  });
  it("may expect the air alone: rain and wind are then not known", async () => {
    await station();
    const at = new Date(NOW.getTime() + HOUR_MS);
    const hours = [...Array(48).keys()].map((ahead) => ({
      at: new Date(at.getTime() + ahead * HOUR_MS).toISOString(),
      airC: 17,
    }));
    await takeReadings(farm.scratch.pool, at, tokenOf("s"), {
      readings: [],
      forecast: { issuedAt: at.toISOString(), hours },
    });
    const { bands } = await readYard(farm.context(), await theFarm());
    expect(bands[0]).toMatchObject({ because: "unknown", windMPerS: null });
  });
  it("whose clock is years ahead does not silence the honest ones", async () => {
    await station();
    const hours = [{ at: new Date(NOW.getTime() + HOUR_MS).toISOString(), airC: 3 }];
    const issuedAt = "2099-12-31T00:00:00Z";
    expect(await post(tokenOf("s"), [], { forecast: { issuedAt, hours } })).toMatchObject({
      setAside: [{ at: issuedAt, quantity: "forecast", code: "clock-ahead" }],
    });
    // One that an earlier Ruchka let in gives way to the next honest one.
    await farm.scratch.pool.query("update air_forecast set issued_at = '2099-01-01', air_c = -7");
    const far = new Date(NOW.getTime() + 500 * 24 * HOUR_MS).toISOString();
    const honest = { issuedAt: hoursAgo(1).toISOString(), hours: [...hours, { at: far, airC: 3 }] };
    expect((await post(tokenOf("s"), [], { forecast: honest })).setAside).toEqual([
      { at: far, quantity: "forecast", code: "too-far" },
    ]);
    const { air } = await readYard(farm.context(), await theFarm());
    expect(air.some(({ airC }) => airC === 3)).toBe(true);
  });
  it("has a newer forecast take an older one's place, not the other way round", async () => {
    await station();
    const issue = (hours: number, airC: number) =>
      post(tokenOf("s"), [], {
        forecast: {
          issuedAt: hoursAgo(hours).toISOString(),
          hours: [{ at: new Date(NOW.getTime() + HOUR_MS).toISOString(), airC }],
        },
      });
    await issue(5, 1);
    const { air } = await readYard(farm.context(), await theFarm());
    expect(air.some(({ airC }) => airC === 1)).toBe(false);
    await issue(-0.01, 17);
    expect((await readYard(farm.context(), await theFarm())).air.some(({ airC }) => airC === 17)).toBe(true);
  });
});

describe("a logger's file", () => {
  const lines = [...Array(48).keys()].map(
    (hour) =>
      `${String(18 + Math.floor(hour / 24)).padStart(2, "0")}.03.2031 ${String(hour % 24).padStart(2, "0")}:00;${(20 + hour / 100).toFixed(2).replace(".", ",")}`,
  );
  const read = (change: object = {}) =>
    importLogger(farm.context(), {
      requestKey: key(),
      name: "Pen logger",
      vesselId: null,
      text: `Serial;77\nDate Time;Temp °C\n${lines.join("\n")}\n`,
      zone: "UTC",
      column: "Temp °C",
      unit: "°C",
      ...change,
    });
  it("is read in as a device of its own, and again adds only what is new", async () => {
    const vesselId = await farm.vessel("Drum");
    expect(await read({ vesselId })).toEqual({ taken: 48, known: 0, setAside: 0 });
    expect(await read({ vesselId })).toEqual({ taken: 0, known: 48, setAside: 0 });
    const [device] = (await readDevices(farm.context(), await theFarm())).devices;
    expect(device).toMatchObject({ kind: "logger", vesselName: "Drum", quiet: false });
  });
  it("is refused where no time is found, the column has no figure, or the name is a probe's", async () => {
    expect((await refusalOf(read({ text: "a;b\n1;2\n3;4\n" }))).fields).toHaveProperty("/text");
    expect((await refusalOf(read({ column: "Humidity" }))).fields).toHaveProperty("/column");
    await probeIn(await farm.vessel("Drum"));
    expect((await refusalOf(read({ name: "Probe p" }))).fields).toHaveProperty("/name");
  });
});
