import fc from "fast-check";
import { findModel, FERMENT_MODELS } from "../models";
import type { AcidModel, BloomModel, ShellModel } from "../models/types";
import { courseOf } from "../temperature/course";
import type { FermentBatch, VesselEvent } from "../batch";
import { fallOf, phAfter, thermalDaysToPh } from "./acid";
import { fallingFoamPhase, risingFoamPhase } from "./bloomPhases";
import { runnerFor } from "./runner";
import { doseOf, sealedCarbonDioxide, vinegarPh } from "./shell";
import { ripePhase } from "./soak";

const steady = (id: string, celsius: number, more: Partial<FermentBatch> = {}): FermentBatch => ({
  model: findModel(id),
  ambientC: celsius,
  swingC: 0,
  startC: celsius,
  ...more,
});
const runAt = (batch: FermentBatch, hours: readonly number[] = [], u = 0, v = 0) =>
  runnerFor(batch, courseOf(batch, 0))(u, v, hours);
const everyModel = FERMENT_MODELS.map(({ id }) => [id] as const);

describe.each(everyModel)("%s", (id) => {
  const model = findModel(id);
  const referenceC = model.temperatures.referenceC;
  it("has its marks in order, whatever the pace and the warmth", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 32, noNaN: true }),
        fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        (celsius, u, v) => {
          const { startH, peakH, endH, crashH } = runAt(steady(id, celsius), [], u, v);
          expect(startH).toBeLessThanOrEqual(peakH);
          expect(peakH).toBeLessThanOrEqual(endH);
          expect(endH).toBeLessThanOrEqual(crashH);
        },
      ),
      { numRuns: 15 },
    );
  });
  it("comes in twice as soon at twice the pace, as near as its own lag lets it", () => {
    const plain = runAt(steady(id, referenceC)).startH;
    const twice = runAt(steady(id, referenceC), [], Math.LN2).startH;
    expect(twice).toBeLessThan(0.72 * plain);
    expect(twice).toBeGreaterThan(0.4 * plain);
  });
  it("never comes in colder or hotter than it lives", () => {
    if (!("maxC" in model.temperatures)) return;
    const { minC, maxC } = model.temperatures;
    for (const celsius of [minC - 1, maxC + 1]) expect(runAt(steady(id, celsius)).startH).toBe(Infinity);
  });
  it("shows shares between nought and one and phases between nought and five, at any hour", () => {
    const hours = Array.from({ length: 40 }, (_, step) => step * (model.daysRuleH / 12));
    for (const shows of runAt(steady(id, 22), hours).features) {
      for (const name of ["parted", "sunk", "charged", "extent"] as const)
        if (shows[name] !== undefined) {
          expect(shows[name]).toBeGreaterThanOrEqual(0);
          expect(shows[name]).toBeLessThanOrEqual(1 + 1e-9);
        }
      expect(shows.phase).toBeGreaterThanOrEqual(0);
      expect(shows.phase).toBeLessThanOrEqual(5);
    }
  });
});

describe("blooms", () => {
  const off = (hour: number): VesselEvent => ({ hour, type: "air_off" });
  it.each([
    ["A2_tea_sugar", 24, 24, 36],
    ["A3_tea_fungal", 24, 36, 54],
    ["A4_tea_chitin", 24, 48, 72],
    ["A5_leachate", 24, 40, 60],
    ["A1_starch_bloom", 24, 40, 50],
    ["A1_starch_bloom", 18, 72, 96],
  ])("%s at %d °C opens after %d to %d h, as growers say", (id, celsius, from, to) => {
    const { startH } = runAt(steady(id, celsius));
    expect(startH).toBeGreaterThanOrEqual(from);
    expect(startH).toBeLessThanOrEqual(to);
  });
  it("lose their quality within hours once the air stops, sugar-fed ones sooner", () => {
    const drop = (id: string) => {
      const { peakH } = runAt(steady(id, 24));
      const batch = steady(id, 24, { events: [off(peakH)] });
      const [before, after] = runAt(batch, [peakH, peakH + 4]).features;
      return after!.viability! / before!.viability!;
    };
    expect(drop("A2_tea_sugar")).toBeLessThan(0.65);
    expect(drop("A3_tea_fungal")).toBeGreaterThan(drop("A2_tea_sugar") + 0.1);
  });
  it("fall back by a power cut and come again when the air does", () => {
    const cut = steady("A2_tea_sugar", 24, { events: [off(12), { hour: 16, type: "air_on" }] });
    const { startH } = runAt(cut);
    expect(startH).toBeGreaterThan(runAt(steady("A2_tea_sugar", 24)).startH);
    expect(Number.isFinite(startH)).toBe(true);
  });
  it("fail if the air stops for good before they peak", () =>
    expect(runAt(steady("A2_tea_sugar", 24, { events: [off(10)] })).startH).toBe(Infinity));
  it("are thinned by a top-up, which costs hours", () => {
    const topped = steady("A1_starch_bloom", 24, {
      events: [{ hour: 20, type: "topped_up", litres: 6, ofL: 19, celsius: 24 }],
    });
    expect(runAt(topped).peakH).toBeGreaterThan(runAt(steady("A1_starch_bloom", 24)).peakH + 0.3);
  });
  it("head up sooner with more culture, and lower with less food", () => {
    const plain = runAt(steady("A1_starch_bloom", 24), [48]);
    expect(runAt(steady("A1_starch_bloom", 24, { inoculum: 3 })).peakH).toBeLessThan(plain.peakH - 3);
    expect(runAt(steady("A1_starch_bloom", 24, { sugar: 0.5 })).peakH).toBeLessThan(plain.peakH);
  });
  it("read a head by its phase: up through ring, patches and full, down through collapse to gone", () => {
    expect([0.02, 0.1, 0.35, 0.8, 2].map(risingFoamPhase)).toEqual([0, 1, 2, 3, 3].map((n) => expect.closeTo(n, 9)));
    expect([1, 0.95, 0.6, 0.1, 0.01].map(fallingFoamPhase)).toEqual([3, 3, 4, 5, 5]);
  });
  it("does not call the best of a weak scum a full head", () => {
    const [shows] = runAt(steady("A1_starch_bloom", 13), [175]).features;
    expect(shows!.foamPhase).toBeLessThan(2.5);
  });
  it("keep food, cells and gas in balance: cells never exceed what the food can make", () => {
    const model = findModel("A2_tea_sugar") as BloomModel;
    const { features } = runAt(steady("A2_tea_sugar", 24), [20, 30, 40, 80]);
    for (const { viability } of features)
      expect(viability! * model.reference.cells).toBeLessThanOrEqual(1 + model.startingCells);
  });
});

describe("acid ferments", () => {
  const model = findModel("B1_plant_ferment") as AcidModel;
  it("begin exactly at their pH, never fall below their floor, and invert their own curve", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.3, max: 0.45, noNaN: true }),
        fc.double({ min: 0.2, max: 1.6, noNaN: true }),
        (shift, sugar) => {
          const fall = fallOf({ model, sugar }, model, shift);
          expect(phAfter(fall, 0)).toBeCloseTo(6, 9);
          expect(phAfter(fall, 400)).toBeGreaterThanOrEqual(fall.floorPh - 1e-9);
          for (const ph of [5.5, 4.8, 4.6])
            if (ph > fall.floorPh + 0.01) expect(phAfter(fall, thermalDaysToPh(fall, ph))).toBeCloseTo(ph, 6);
        },
      ),
    );
  });
  it("sour sooner with more culture, and not so far with little sugar or hard water", () => {
    const floor = (more: object) => fallOf({ model, ...more }, model, 0).floorPh;
    expect(floor({ sugar: 0.2 })).toBeGreaterThan(floor({}) + 0.3);
    expect(floor({ buffer: 2 })).toBeGreaterThan(floor({}) + 0.2);
    expect(runAt(steady(model.id, 25, { inoculum: 5 })).startH).toBeLessThan(runAt(steady(model.id, 25)).startH - 40);
  });
  it("say so when they settle above the target", () => {
    const high = runAt(steady(model.id, 25), [], 0, 0.9);
    expect(high).toMatchObject({ settlesHigh: true, startH: Infinity });
    expect(runAt(steady(model.id, 25)).settlesHigh).toBe(false);
  });
  it("of milk wait for the curd after they are sour", () => {
    const { startH, features } = runAt(steady("B4_milk", 22.5), [60, 140]);
    expect(startH / 24).toBeGreaterThan(4.5);
    expect(features[1]!.parted!).toBeGreaterThan(0.75);
    expect(features[0]!.parted!).toBeLessThan(0.3);
  });
  it("of rice wash part by their pH", () => {
    const [early, late] = runAt(steady("B3_ricewash", 25), [12, 60]).features;
    expect(early!.parted!).toBeLessThan(0.05);
    expect(late!.parted!).toBeGreaterThan(0.6);
  });
  it("lose for good what they were overheated by", () => {
    const hot = steady(model.id, 25, { readings: [{ hour: 10, celsius: 50, where: "liquid" }] });
    const course = courseOf(hot, 20);
    expect(course.overheatCH.at(-1)!).toBeGreaterThan(12);
    expect(runnerFor(hot, course)(0, 0, []).startH).toBeGreaterThan(1.3 * runAt(steady(model.id, 25)).startH);
  });
});

describe("shell in vinegar", () => {
  const model = findModel("D1_shell_acid") as ShellModel;
  it("balances: calcium, gas and shell come from the same acid", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 3, max: 10, noNaN: true }),
        (lPerKg, acidPercent) => {
          const dose = doseOf({ model, lPerKg, acidPercent }, model);
          const molCa = dose.calciumGPerL / 40.078;
          expect(molCa).toBeCloseTo(dose.carbonDioxideMolPerL, 9);
          const dissolvedG = molCa * 100.087;
          expect(dose.shellLeft).toBeCloseTo(1 - dissolvedG / dose.shellGPerL, 6);
          expect(dose.shellLeft).toBeGreaterThanOrEqual(1 - model.purity - 1e-9);
        },
      ),
    );
  });
  it("5 % vinegar holds 16.4 g of calcium a litre whichever school, and 22.8 L a kilogram dissolve all", () => {
    expect(doseOf({ model, lPerKg: 4 }, model).calciumGPerL).toBeCloseTo(16.35, 2);
    expect(doseOf({ model, lPerKg: 22 }, model).acidRatio).toBeLessThan(1);
    expect(doseOf({ model, lPerKg: 23.9 }, model).acidRatio).toBeGreaterThan(1);
  });
  it("runs faster with finer shell, and stops where the shell is gone", () => {
    const start = (sizeFactor: number) => runAt(steady(model.id, 20, { sizeFactor })).startH;
    expect(start(3)).toBeLessThan(start(1) / 2);
    const lean = runAt(steady(model.id, 20, { lPerKg: 30 }), [2000]).features[0]!;
    expect(lean.extent).toBeCloseTo(1, 1);
    expect(lean.shellLeft!).toBeLessThan(0.1);
  });
  it("turns from vinegar's pH to that of its salt", () => {
    expect(vinegarPh(0.8326, 1)).toBeLessThan(2.5);
    expect(vinegarPh(0.8326, 0.02)).toBeGreaterThan(6);
  });
  it("would burst any bottle that is shut: the more headspace, the less", () => {
    const at = (headL: number) => sealedCarbonDioxide(1.63, 4, headL, 20).overpressureBar;
    expect(at(1)).toBeGreaterThan(5);
    expect(at(20)).toBeLessThan(at(1) / 2);
  });
});

describe("soaks, juices, char and beds", () => {
  it("soaks begin sooner with more starter, juices keep longer with more sugar", () => {
    expect(runAt(steady("E1_plant_soak", 25, { inoculum: 4 })).startH).toBeLessThan(
      runAt(steady("E1_plant_soak", 25)).startH - 8,
    );
    const end = (sugar: number) => runAt(steady("C1_sugar_extract", 22, { sugar })).endH;
    expect(end(1)).toBeGreaterThan(end(0.5));
  });
  it("a sack in a drum is closed after two warm weeks, and later in the cold", () => {
    expect(runAt(steady("E3_sack_drum", 25)).sealH! / 24).toBeCloseTo(14, 1);
    expect(runAt(steady("E3_sack_drum", 17)).sealH! / 24).toBeGreaterThan(20);
    expect(runAt(steady("E1_plant_soak", 25)).sealH).toBeUndefined();
  });
  it("phases go 0 raw, 2 ready, 3 old", () => {
    expect([0, 5, 10, 30, 300].map((days) => ripePhase(days, 10, 120))).toEqual([0, 1, 2, 3, 3]);
  });
  it("char sinks as it fills and is never over", () => {
    const { endH, features } = runAt(steady("F1_char_charge", 22), [0, 336, 672]);
    expect(endH).toBe(Infinity);
    expect(features.map(({ sunk }) => sunk)).toEqual([0.15, expect.closeTo(0.8, 1), expect.closeTo(0.89, 1)]);
    expect(features.map(({ charged }) => charged)).toEqual([0, expect.closeTo(0.8, 2), expect.closeTo(0.96, 2)]);
  });
  it("a bed warms itself, a larger one more, and cools when it is opened", () => {
    const core = (more: Partial<FermentBatch>) => runAt(steady("G1_bran_starter", 22, more), [72]).features[0]!.coreC!;
    expect(core({})).toBeGreaterThan(25);
    expect(core({ volumeL: 150 })).toBeGreaterThan(core({}) + 1);
    expect(core({ events: [{ hour: 70, type: "opened" }] })).toBeLessThan(core({}) - 1);
  });
});

describe("what a batch shows, worked out anew from the equations", () => {
  // Held at its reference temperature the rate is one, and thermal days are days.
  const share = (value: number) => Math.min(1, Math.max(0, value));
  it("of an acid ferment: its gas while it falls, its phase to ready and then by age", () => {
    const model = findModel("B1_plant_ferment") as AcidModel;
    const [u, hours] = [0.2, [24, 120, 168, 240, 400, 900]];
    const { features } = runAt(steady(model.id, 25), hours, u);
    const fall = fallOf(steady(model.id, 25), model, 0);
    const startD = thermalDaysToPh(fall, 4);
    hours.forEach((hour, index) => {
      const eta = (Math.exp(u) * hour) / 24;
      const x = 1 / (1 + Math.exp(-(eta - 6.93) / 1.5));
      const ph = phAfter(fall, eta);
      expect(features[index]!.gas!).toBeCloseTo(4 * x * (1 - x) * Math.exp(u), 3);
      expect(features[index]!.phase!).toBeCloseTo(
        eta < startD ? 2 * share((6 - ph) / 2) : 2 + share((eta - startD) / 20),
        3,
      );
    });
  });
  it.each([
    ["E1_plant_soak", 26, 9, 120],
    ["E2_dung_sugar", 27, 6, 14],
    ["E3_sack_drum", 25, 28, 180],
  ])("of %s: raw to ready by its days, then old by three times them or its end", (id, celsius, startD, endD) => {
    const days = [startD / 3, startD - 0.01, startD + 1, startD + 4, 4 * startD];
    const { features } = runAt(
      steady(id, celsius),
      days.map((day) => 24 * day),
    );
    days.forEach((day, index) => {
      const old = (day - startD) / Math.max(1, Math.min(endD, 3 * startD) - startD);
      expect(features[index]!.phase!).toBeCloseTo(day < startD ? (2 * day) / startD : 2 + share(old), 2);
    });
  });
  it("of a sugar-drawn juice: its gas once its fifth day is past, and what has parted", () => {
    const model = findModel("C1_sugar_extract");
    const [u, days] = [0.15, [1, 4, 5, 6, 9]];
    const { features } = runAt(
      steady(model.id, model.temperatures.referenceC),
      days.map((day) => 24 * day),
      u,
    );
    days.forEach((day, index) => {
      const eta = Math.exp(u) * day;
      expect(features[index]!.gas!).toBeCloseTo(Math.exp(u) / (1 + Math.exp(-(eta - 5) / 0.8)), 2);
    });
    expect(features.map(({ parted }) => parted!)).toEqual(
      features.map(({ parted }) => parted!).toSorted((a, b) => a - b),
    );
  });
  it("of a cool starch brew: cells, food and foam as small steps of its equations have them", () => {
    const model = findModel("A1_starch_bloom") as BloomModel;
    const batch = steady(model.id, 19);
    const course = courseOf(batch, 0);
    const hours = [20, 50, 70, 90, 110];
    const u = 0.1;
    const { features } = runnerFor(batch, course)(u, 0, hours);
    const [rate, pace, stepH] = [course.rate[0]!, Math.exp(u), 0.005];
    expect(rate).toBeLessThan(0.8);
    let [x, s, f] = [model.startingCells, 1, 0];
    const seen: { foam: number; cells: number }[] = [];
    for (let step = 0; seen.length < hours.length; step += 1) {
      if (step * stepH >= hours[seen.length]!)
        seen.push({ foam: f / model.reference.foam, cells: x / model.reference.cells });
      const awake = 1 / (1 + (Math.exp(model.lag) - 1) * Math.exp(-model.growthPerH * pace * rate * step * stepH));
      const food = s / (model.halfFood + s);
      const grown = model.growthPerH * pace * rate * awake * food;
      const kept = model.maintenancePerH * pace * rate * food;
      const death = model.deathPerH * model.deathQ10 ** ((19 - 24) / 10) * (1 + model.starvedDeath * (1 - food));
      const gas = ((grown + kept) * x) / model.reference.gasPerH;
      f += stepH * model.foamPerH * (gas - f);
      s -= stepH * (grown + kept) * x;
      x += stepH * (grown - death) * x;
    }
    hours.forEach((_, index) => {
      expect(features[index]!.foam!).toBeCloseTo(seen[index]!.foam, 1.5);
      expect(features[index]!.viability!).toBeCloseTo(seen[index]!.cells, 1.5);
    });
    expect(Math.max(...seen.map(({ foam }) => foam))).toBeGreaterThan(0.5);
  });
  it("of char: its phase by its days, three when it is old", () => {
    const { features } = runAt(steady("F1_char_charge", 22), [7 * 24, 14 * 24, 60 * 24]);
    expect(features.map(({ phase }) => Number(phase!.toFixed(2)))).toEqual([1, 2, 3]);
  });
  it("of shell: its gas by the free acid and what is left of the shell, its phase to the start of use", () => {
    const model = findModel("D1_shell_acid") as ShellModel;
    const u = 0.1;
    const { features } = runAt(steady(model.id, 20), [12, 72, 240], u);
    const { acidRatio } = doseOf(steady(model.id, 20), model);
    for (const { extent, gas, phase } of features) {
      const z = 1 - extent! * 0.98;
      const left = 1 - (1 - z) * acidRatio;
      expect(gas!).toBeCloseTo((Math.exp(u) * left ** 0.666667 * (z - 0.02)) / 0.98, 3);
      expect(phase!).toBeCloseTo(2 * share(extent! / 0.9), 6);
    }
  });
  it("of a starch brew with next to no food: no bloom to speak of", () => {
    const { startH, peakH, endH } = runAt(steady("A1_starch_bloom", 24, { sugar: 0.02 }));
    expect([startH, peakH, endH]).toEqual([Infinity, Infinity, Infinity]);
    expect(runAt(steady("A1_starch_bloom", 24, { sugar: 0.6 })).peakH).toBeLessThan(60);
  });
  it("of a brew that still heads up at the end of its horizon: nothing that can be told", () => {
    const cold = steady("A1_starch_bloom", 11);
    expect(runAt(cold).startH).toBe(Infinity);
    expect(runAt(cold, [190]).features[0]!.foamPhase!).toBeGreaterThan(0);
  });
});
