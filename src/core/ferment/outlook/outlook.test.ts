import fc from "fast-check";
import type { FermentBatch } from "../batch";
import type { Observation } from "../evidence/observations";
import { FERMENT_MODELS, findModel } from "../models";
import { believe } from "./belief";
import { forecast, type Forecast } from "./forecast";
import { atomsOf } from "./marks";
import { quantile, quantilesOf, sortAtoms, weightUpTo } from "./quantiles";

const batch = (
  id: string,
  celsius: number,
  observations: readonly Observation[] = [],
  more: Partial<FermentBatch> = {},
): FermentBatch => ({
  model: findModel(id),
  ambientC: celsius,
  swingC: 3,
  startC: celsius,
  readings: Array.from({ length: 200 }, (_, step) => ({ hour: 3 * step, celsius })),
  observations,
  ...more,
});
const ph = (hour: number, value: number, method: "meter" | "strip" = "meter"): Observation => ({
  hour,
  type: "ph",
  value,
  method,
});
const foam = (hour: number, value: Extract<Observation, { type: "foam" }>["value"]): Observation => ({
  hour,
  type: "foam",
  value,
});
const smell = (hour: number, value: Extract<Observation, { type: "smell" }>["value"]): Observation => ({
  hour,
  type: "smell",
  value,
});
const film = (hour: number, value: Extract<Observation, { type: "film" }>["value"]): Observation => ({
  hour,
  type: "film",
  value,
});
const width = ({ start }: Forecast) => start.p90 - start.p10;
const B1 = "B1_plant_ferment";
const A1 = "A1_starch_bloom";

describe("any batch", () => {
  const observed: fc.Arbitrary<Observation> = fc.oneof(
    fc.record({
      hour: fc.double({ min: 0, max: 300, noNaN: true }),
      type: fc.constant("ph" as const),
      value: fc.double({ min: 0, max: 12, noNaN: true }),
      method: fc.constantFrom("meter" as const, "strip" as const),
    }),
    fc.record({
      hour: fc.double({ min: 0, max: 300, noNaN: true }),
      type: fc.constant("smell" as const),
      value: fc.constantFrom(
        "sweet_raw" as const,
        "yeasty" as const,
        "sour_clean" as const,
        "neutral_earthy" as const,
        "rotten" as const,
      ),
    }),
    fc.record({
      hour: fc.double({ min: 0, max: 300, noNaN: true }),
      type: fc.constant("foam" as const),
      value: fc.constantFrom("none" as const, "patches" as const, "gone" as const),
    }),
    fc.record({
      hour: fc.double({ min: 0, max: 300, noNaN: true }),
      type: fc.constant("judge" as const),
      value: fc.constantFrom("not_yet" as const, "ready" as const, "past" as const),
    }),
    fc.record({
      hour: fc.double({ min: 0, max: 300, noNaN: true }),
      type: fc.constant("film" as const),
      value: fc.constantFrom("none" as const, "coloured" as const),
    }),
  );
  it("has ordered quantiles and chances between nought and one, whatever was reported", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FERMENT_MODELS.map(({ id }) => id)),
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 500, noNaN: true }),
        fc.array(observed, { maxLength: 8 }),
        (id, celsius, nowH, observations) => {
          const times = [0, nowH, nowH + 10, nowH + 100, nowH + 1000];
          const found = forecast(batch(id, celsius, observations), nowH, { times });
          for (const { p10, p50, p90 } of [found.start, found.peak, found.end, found.crash]) {
            expect(Number.isNaN(p10 + p50 + p90)).toBe(false);
            expect(p10).toBeLessThanOrEqual(p50);
            expect(p50).toBeLessThanOrEqual(p90);
          }
          for (const share of [
            ...found.ready,
            ...found.past,
            ...found.started,
            found.readyNow,
            found.spoilage.chance,
          ]) {
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1 + 1e-9);
          }
          expect(found.nextCheckH).toBeGreaterThan(nowH);
        },
      ),
      { numRuns: 60 },
    );
  });
  it("gives the same answer to the same question, in whatever order the log was written", () => {
    const log = [ph(72, 5.6), smell(80, "yeasty"), ph(120, 5.1), ph(168, 4.5)];
    const p50 = (observations: Observation[]) => forecast(batch(B1, 22, observations), 170).start.p50;
    expect(p50(log)).toBe(p50(log));
    expect(p50(log.toReversed())).toBeCloseTo(p50(log), 6);
  });
  it("takes nothing from after now", () => {
    const later = [ph(400, 3.6)];
    expect(forecast(batch(B1, 22, later), 100).start).toEqual(forecast(batch(B1, 22), 100).start);
  });
});

describe("what is reported", () => {
  const start = (observations: Observation[], nowH = 168) => forecast(batch(B1, 22, observations), nowH).start;
  it("moves the forecast by how much it tells: a meter more than a strip, a strip more than a nose", () => {
    const none = start([]).p50;
    const moved = (observation: Observation) => Math.abs(none - start([observation]).p50);
    expect(moved(ph(168, 4.4))).toBeGreaterThan(moved(ph(168, 4.4, "strip")));
    expect(moved(ph(168, 4.4, "strip"))).toBeGreaterThan(moved(smell(168, "sour_clean")));
  });
  it("of foam counts most in a still brew and least in a fungal tea", () => {
    const narrowing = (id: string, hour: number) =>
      width(forecast(batch(id, 22, [foam(hour, "patches")]), hour)) / width(forecast(batch(id, 22), hour));
    expect(narrowing(A1, 36)).toBeLessThan(narrowing("A3_tea_fungal", 30));
  });
  it("narrows as readings agree and widens where two contradict", () => {
    const one = forecast(batch(B1, 22, [ph(150, 5)]), 170);
    const agree = forecast(batch(B1, 22, [ph(150, 5), ph(168, 4.7)]), 170);
    const clash = forecast(batch(B1, 22, [ph(150, 4.1), ph(168, 5.4)]), 170);
    expect(width(agree)).toBeLessThan(width(one));
    expect(width(clash)).toBeGreaterThan(width(agree));
    expect([clash.contradictory, agree.contradictory]).toEqual([true, false]);
  });
  it("ten times in an hour counts as about twice", () => {
    const sd = (count: number) =>
      forecast(
        batch(
          B1,
          22,
          Array.from({ length: count }, (_, index) => ph(165 + index / 10, 4.5)),
        ),
        170,
      ).u.sd;
    expect(sd(10)).toBeGreaterThan(0.5 * sd(1));
    expect(sd(10)).toBeLessThan(sd(1));
  });
  it("that can't be is refused with a word, and that says nothing here is named", () => {
    const found = forecast(batch(B1, 22, [ph(100, 1.2), foam(100, "gone")]), 168);
    expect(found.refused).toEqual([ph(100, 1.2)]);
    expect(found.surprises).toEqual([{ type: "foam", hour: 100, ignored: true }]);
  });
  it("is not certain on one word", () => {
    for (const value of ["ready", "past", "not_yet"] as const) {
      const found = forecast(batch("C1_sugar_extract", 22, [{ hour: 130, type: "judge", value }]), 132);
      expect(Math.max(found.readyNow, found.pastNow)).toBeLessThan(0.99);
    }
  });
});

describe("temperature", () => {
  it("not known widens the window; known narrows it", () => {
    const known = forecast(batch(B1, 22), 168);
    const unknown = forecast({ model: findModel(B1) }, 168);
    expect(width(unknown)).toBeGreaterThan(1.2 * width(known));
  });
  it("a start that is not known widens it too, and keeps its middle", () => {
    const sharp = forecast(batch(A1, 24), 30);
    const vague = forecast(batch(A1, 24, [], { startSdH: 8 }), 30);
    expect(width(vague)).toBeGreaterThan(width(sharp));
    expect(Math.abs(vague.start.p50 - sharp.start.p50)).toBeLessThan(4);
  });
  it("gives codes for cold, heat, a stalled fall, and a slow one", () => {
    expect(forecast(batch(B1, 6), 96).stuck.codes).toContain("cold");
    expect(forecast(batch(A1, 13), 48).stuck.codes).toContain("cold_no_bloom");
    expect(forecast(batch(B1, 43.5), 96).stuck.codes).toContain("too_hot_now");
    const stalled = forecast(batch(B1, 24, [ph(240, 4.7), ph(360, 4.6), ph(480, 4.6)]), 480);
    expect(stalled.stuck).toMatchObject({ codes: expect.arrayContaining(["high_asymptote"]) });
    expect(stalled.stuck.chanceNever).toBeGreaterThan(0.5);
    expect(forecast(batch(B1, 22, [ph(200, 5.95), ph(260, 5.9)]), 270).stuck.codes).toContain("slow");
    expect(forecast(batch(B1, 22), 96).stuck.codes).toEqual([]);
  });
});

describe("a start that nobody wrote down", () => {
  const unsure = (startSdH: number, observations: readonly Observation[] = []) =>
    forecast(batch(A1, 24, observations, { startSdH }), 36);
  it("widens the window on both sides, and leaves its middle about where it was", () => {
    const [sure, vague] = [unsure(0), unsure(8)];
    expect(width(vague)).toBeGreaterThan(1.1 * width(sure));
    expect(Math.abs(vague.start.p50 - sure.start.p50)).toBeLessThan(3);
    expect(vague.start.p10).toBeLessThan(sure.start.p10);
    expect(vague.start.p90).toBeGreaterThan(sure.start.p90);
  });
  it("is told by what is usual: a head already means that it began sooner, and is ready sooner by the record's own hours", () => {
    const head = foam(30, "full_head");
    const [sure, vague] = [unsure(0, [head]), unsure(8, [head])];
    expect(vague.start.p50).toBeLessThan(sure.start.p50);
    const still = [foam(30, "none"), foam(35, "none")];
    expect(unsure(8, still).start.p50).toBeGreaterThan(unsure(0).start.p50);
    // A report from its first hour stands even where the start may have come after it.
    expect(Number.isFinite(unsure(8, [foam(1, "none")]).start.p50)).toBe(true);
  });
  it("moves all that was recorded with it, so that readings and the hour of the day stay where they were", () => {
    const events = [{ hour: 5, type: "air_off" }] as const;
    const { starts } = believe(batch(A1, 24, [], { startSdH: 2, startHour: 6, events }), 12);
    expect(starts.map(({ shiftH }) => shiftH)).toEqual(
      [-2, 0, 2].map((z) => expect.closeTo(z * (z === 0 ? 0 : Math.sqrt(3)), 9)),
    );
    for (const { shiftH, batch: there } of starts) {
      expect(there.startHour! + shiftH).toBeCloseTo(6, 9);
      expect(there.readings![3]!.hour - shiftH).toBeCloseTo(9, 9);
      expect(there.events![0]!.hour - shiftH).toBeCloseTo(5, 9);
    }
  });
  it("moves the clock of the day with it", () => {
    const byDay = (startSdH: number) =>
      forecast({ model: findModel(A1), ambientC: 20, swingC: 8, startC: 20, startHour: 6, startSdH }, 12).start.p50;
    // Begun at six in the morning or at an unsure hour about it: much the same day of warmth lies ahead.
    expect(Math.abs(byDay(3) - byDay(0))).toBeLessThan(3);
  });
});

describe("a report that can't be", () => {
  it("is told with its hour and not used", () => {
    const found = forecast(batch(B1, 24, [ph(100.04, 1.5), ph(90, 11)]), 200);
    expect(found.refused).toEqual([ph(100.04, 1.5), ph(90, 11)]);
    const bubbles = { hour: 50, type: "bubbles", value: NaN } as const;
    expect(forecast(batch(B1, 24, [bubbles]), 200).refused).toEqual([bubbles]);
    expect(forecast(batch(B1, 24, [ph(90, 11)]), 200).start).toEqual(forecast(batch(B1, 24), 200).start);
  });
});

describe("spoilage", () => {
  const spoil = (id: string, observations: Observation[], nowH = 240, more: Partial<FermentBatch> = {}) =>
    forecast(batch(id, 24, observations, more), nowH).spoilage;
  it("holds on one rotten smell and discards on two apart", () => {
    expect(spoil(B1, [smell(200, "rotten")]).level).toBe("hold");
    expect(spoil(B1, [smell(200, "rotten"), smell(239, "rotten")]).level).toBe("discard");
    expect(spoil(B1, [smell(200, "rotten"), smell(201, "rotten")]).level).not.toBe("ok");
  });
  it("holds what hardly ever spoils on one rotten smell too, until it is smelt again and clean", () => {
    for (const id of ["D1_shell_acid", "F1_char_charge"]) {
      expect(spoil(id, [smell(200, "rotten")])).toMatchObject({ level: "hold" });
      expect(spoil(id, [smell(200, "rotten"), smell(230, "neutral_earthy")]).level).not.toBe("hold");
      expect(spoil(id, [smell(200, "neutral_earthy")]).level).toBe("ok");
    }
    // A soak stinks half-way: that alone is no reason.
    expect(spoil("E1_plant_soak", [smell(120, "rotten")], 130).level).not.toBe("hold");
  });
  it("discards mould with colours and rot together, whatever is smelt later", () => {
    const found = spoil(B1, [
      film(100, "coloured"),
      smell(120, "rotten"),
      smell(200, "sour_clean"),
      smell(230, "sour_clean"),
    ]);
    expect(found).toMatchObject({ level: "discard", hard: ["coloured-film-and-rotten"] });
  });
  it("discards what rots, is long due and has not soured", () =>
    expect(spoil(B1, [ph(60, 5.7), smell(510, "rotten")], 640).hard).toContain("rotten-and-not-sour"));
  it("discards an aerated brew that rots without air", () => {
    const events = [{ hour: 20, type: "air_off" as const }];
    expect(spoil("A2_tea_sugar", [smell(29, "rotten")], 30, { events }).hard).toEqual(["rotten-without-air"]);
    expect(spoil("A2_tea_sugar", [smell(23, "rotten")], 24, { events }).hard).toEqual([]);
  });
  it("lets good news age, and bad news not", () => {
    const fresh = spoil(B1, [smell(235, "sour_clean")]).chance;
    const aged = spoil(B1, [smell(160, "sour_clean")]).chance;
    expect(fresh).toBeLessThan(aged);
    expect(spoil(B1, [smell(20, "rotten")]).chance).toBeGreaterThan(0.1);
    expect(aged).toBeLessThanOrEqual(findModel(B1).spoilChance + 1e-9);
  });
  it("grows a little with every opening and much with flies", () => {
    const plain = spoil(B1, []).chance;
    const opened = spoil(B1, [], 240, { events: [{ hour: 10, type: "opened" }] }).chance;
    const flies = spoil(B1, [], 240, { events: [{ hour: 10, type: "insects" }] }).chance;
    expect(opened).toBeGreaterThan(plain);
    expect(flies).toBeGreaterThan(0.1);
    expect(spoil(B1, [], 240, { events: [{ hour: 900, type: "insects" }] }).chance).toBeCloseTo(plain, 9);
  });
  it("asks for a smell where none is fresh", () => {
    expect(spoil(B1, []).needsSmellCheck).toBe(true);
    expect(spoil(B1, [smell(230, "sour_clean")]).needsSmellCheck).toBe(false);
    expect(spoil(A1, [smell(30, "yeasty")], 40).needsSmellCheck).toBe(true);
  });
  it("tolerates that dung smells rotten in its first days", () =>
    expect(spoil("E2_dung_sugar", [smell(6, "rotten")], 12).chance).toBeLessThan(
      spoil("E2_dung_sugar", [smell(160, "rotten")], 170).chance,
    ));
});

describe("the next look", () => {
  it("comes sooner near the window, and never later than a day for a bloom", () => {
    const gap = (hour: number) => forecast(batch(A1, 24), hour).nextCheckH - hour;
    expect(gap(2)).toBeGreaterThan(10);
    expect(gap(38)).toBeLessThan(6);
    expect(gap(2)).toBeLessThanOrEqual(24);
    // Where nothing is in sight it is looked at again after two of the usual gaps.
    const cold = forecast(batch(A1, 3), 30);
    expect(cold.start.p50).toBe(Infinity);
    expect(cold.nextCheckH - 30).toBeGreaterThan(1);
    expect(cold.nextCheckH - 30).toBeLessThanOrEqual(24);
  });
});

describe("weighted hours", () => {
  it("sort with their weights, Infinity last", () => {
    const atoms = sortAtoms([30, Infinity, 10], [0.3, 0.2, 0.5]);
    expect([...atoms.hours]).toEqual([10, 30, Infinity]);
    expect([...atoms.upTo].map((sum) => sum.toFixed(6))).toEqual(["0.500000", "0.800000", "1.000000"]);
  });
  it("count what lies at or before an hour", () => {
    const atoms = sortAtoms([10, 20, 30], [0.2, 0.3, 0.5]);
    expect([5, 10, 25, 99].map((hour) => weightUpTo(atoms, hour))).toEqual(
      [0, 0.2, 0.5, 1].map((n) => expect.closeTo(n, 9)),
    );
  });
  it("have quantiles between the middles, the ends beyond them, and never out of the infinite", () => {
    const atoms = sortAtoms([10, 20, Infinity], [0.25, 0.25, 0.5]);
    expect(quantile(atoms, 0.01)).toBe(10);
    expect(quantile(atoms, 0.25)).toBeCloseTo(15, 9);
    expect(quantile(atoms, 0.6)).toBe(Infinity);
    expect(quantilesOf(sortAtoms([7], [1]))).toEqual({ p10: 7, p50: 7, p90: 7 });
  });
  it("of what lies behind are points, of what lies ahead spread out", () => {
    const belief = believe(batch(A1, 24), 60);
    const behind = [...atomsOf(belief, "startH").hours].filter((hour) => hour <= 60);
    expect(behind.length).toBeLessThanOrEqual(belief.ways.length);
    expect(atomsOf(believe(batch(A1, 24), 10), "startH").hours.length).toBeGreaterThan(5 * 40);
  });
});
