import type { FermentBatch, VesselEvent } from "../batch";
import { findModel } from "../models";
import { airSeries } from "./airSeries";
import { courseOf } from "./course";
import { hourOfValue, locate, valueAt } from "./grid";
import { rateAt } from "./rate";
import { heatingKPerH, stepLiquid, warmingTimeH } from "./vessel";

const B1 = findModel("B1_plant_ferment");
const batchAt = (celsius: number, more: Partial<FermentBatch> = {}): FermentBatch => ({
  model: B1,
  volumeL: 200,
  ambientC: celsius,
  swingC: 0,
  ...more,
});
const liquid = (batch: FermentBatch, hour: number, nowH = 0) => {
  const course = courseOf(batch, nowH);
  return valueAt(course.hours, course.liquidC, hour);
};
const tea = { referenceC: 24, minC: -3, optimumC: 35, maxC: 43 };

describe("the rate", () => {
  it("is one at the reference, nought outside the cardinal temperatures, greatest at the optimum", () => {
    expect(rateAt(24, tea)).toBeCloseTo(1, 12);
    expect([rateAt(-3, tea), rateAt(43, tea), rateAt(60, tea)]).toEqual([0, 0, 0]);
    for (const celsius of [10, 20, 30, 40]) expect(rateAt(35, tea)).toBeGreaterThan(rateAt(celsius, tea));
  });
  it("of a chemical reaction follows its activation energy", () => {
    const shell = { referenceC: 20, activationJPerMol: 38_000 };
    // exp(38000/8.314·(1/293.15 − 1/303.15)) = 1.672
    expect(rateAt(30, shell)).toBeCloseTo(1.672, 2);
    expect(rateAt(20, shell)).toBeCloseTo(1, 12);
  });
});

describe("the vessel", () => {
  it("follows a step in the air by the closed-form exponential, in one step as in many", () => {
    const tauH = warmingTimeH(200, "plain");
    expect(tauH).toBeCloseTo(17.3, 1);
    let many = 15;
    for (let step = 0; step < 48; step += 1) many = stepLiquid(many, 25, 25, 0.5, tauH);
    expect(stepLiquid(15, 25, 25, 24, tauH)).toBeCloseTo(25 - 10 * Math.exp(-24 / tauH), 9);
    expect(many).toBeCloseTo(stepLiquid(15, 25, 25, 24, tauH), 9);
  });
  it("lags behind a day's wave of the air and damps it, as the exact response says", () => {
    const batch = batchAt(20, { swingC: 6, startHour: 9 });
    const { hours, liquidC, tauH } = courseOf(batch, 0);
    const omega = (2 * Math.PI) / 24;
    const damping = 1 / Math.sqrt(1 + (omega * tauH) ** 2);
    const lag = Math.atan(omega * tauH);
    for (const hour of [300, 307, 314])
      expect(valueAt(hours, liquidC, hour)).toBeCloseTo(20 + 6 * damping * Math.cos(omega * (9 + hour - 15) - lag), 1);
  });
  it("stands in the place it was moved to, and in its own again when moved back", () => {
    const events: VesselEvent[] = [
      { hour: 24, type: "moved", meanC: 26, swingC: 0 },
      { hour: 240, type: "moved_back" },
    ];
    expect(liquid(batchAt(12, { events }), 23)).toBeCloseTo(12, 6);
    expect(liquid(batchAt(12, { events }), 200)).toBeCloseTo(26, 1);
    expect(liquid(batchAt(12, { events }), 500)).toBeCloseTo(12, 1);
  });
  it("is warmed by a heater as fast as its watts allow, up to the thermostat, and cools when the power goes", () => {
    const events: VesselEvent[] = [
      { hour: 10, type: "heater_on", setC: 24, watts: 500 },
      { hour: 100, type: "heater_off" },
    ];
    const at = (hour: number) => liquid(batchAt(12, { events }), hour);
    expect(at(11) - 12).toBeCloseTo(heatingKPerH(500, 200), 0);
    expect(at(60)).toBeCloseTo(24, 6);
    expect(at(200)).toBeLessThan(13);
  });
  it("keeps its warmth longer when wrapped", () => {
    const warm = (events: VesselEvent[]) => liquid(batchAt(10, { startC: 25, events }), 24);
    expect(warm([{ hour: 0, type: "wrapped" }])).toBeGreaterThan(warm([]) + 4);
  });
  it("takes the mix of both when it is topped up", () => {
    const events: VesselEvent[] = [{ hour: 12, type: "topped_up", litres: 100, ofL: 100, celsius: 10 }];
    expect(liquid(batchAt(20, { events }), 12)).toBeCloseTo(15, 6);
  });
  it("takes a reading in the liquid over what was worked out, at its own minute", () => {
    const readings = [{ hour: 10.5, celsius: 30, where: "liquid" as const }];
    const tauH = warmingTimeH(200, "plain");
    expect(liquid(batchAt(15, { readings }), 11, 20)).toBeCloseTo(15 + 15 * Math.exp(-0.5 / tauH), 6);
    expect(courseOf(batchAt(15, { readings }), 20).basis).toBe("read");
    expect(courseOf(batchAt(15, { readings }), 9).basis).toBe("stated");
    expect(courseOf({ model: B1 }, 0).basis).toBe("guessed");
  });
});

describe("the air", () => {
  const options = { startHour: 9, nowH: 48, ambientC: undefined, swingC: 4 };
  const at = (hours: number[], readings: { hour: number; celsius: number }[], forecast: typeof readings = []) =>
    airSeries(hours, readings, forecast, options);
  it("drops what can't be and lets the later of two readings of one minute win", () => {
    const { celsius } = at(
      [10],
      [
        { hour: 10, celsius: 18 },
        { hour: 10, celsius: 19 },
        { hour: NaN, celsius: 3 },
        { hour: 11, celsius: 99 },
      ],
    );
    expect(celsius[0]).toBe(19);
  });
  it("grows unsure in a long gap, never more than 3 K, and bridges a short one evenly", () => {
    const readings = [0, 4, 40].map((hour) => ({ hour, celsius: 20 }));
    const { celsius, sdC } = at([2, 22], readings);
    expect(celsius[0]).toBe(20);
    expect(sdC[0]).toBe(0.5);
    expect(sdC[1]).toBeGreaterThan(1.5);
    expect(at([400], readings).sdC[0]).toBeLessThanOrEqual(3);
  });
  it("takes off what a forecast misses now, and lets that fade", () => {
    const readings = [{ hour: 48, celsius: 25 }];
    const forecast = Array.from({ length: 60 }, (_, step) => ({ hour: 49 + step, celsius: 20 }));
    const { celsius } = at([49, 100], readings, forecast);
    expect(celsius[0]).toBeCloseTo(20 + 5 * Math.exp(-1 / 12), 6);
    expect(celsius[1]).toBeLessThan(20.1);
  });
});

describe("the grid", () => {
  const hours = Float64Array.from([0, 1, 2, 4, 8]);
  it("finds an hour and the share of the way to the next, and is held at either end", () => {
    expect(locate(hours, 3)).toEqual({ index: 2, share: 0.5 });
    expect(locate(hours, -1)).toEqual({ index: 0, share: 0 });
    expect(locate(hours, 9)).toEqual({ index: 4, share: 0 });
  });
  it("inverts: the hour at which a value is reached has that value", () => {
    const values = Float64Array.from([0, 2, 2, 5, 11]);
    for (const level of [0.5, 2, 3, 10.9])
      expect(valueAt(hours, values, hourOfValue(hours, values, level))).toBeCloseTo(level, 9);
    expect(hourOfValue(hours, values, 12)).toBe(Infinity);
    expect(hourOfValue(hours, values, Infinity)).toBe(Infinity);
    expect(hourOfValue(hours, values, -1)).toBe(0);
  });
  it("puts a node at every switch of the air of a bloom", () => {
    const { hours: nodes } = courseOf(
      { model: findModel("A2_tea_sugar"), events: [{ hour: 33.3, type: "air_off" }] },
      0,
    );
    expect([...nodes]).toContain(33.3);
  });
});
