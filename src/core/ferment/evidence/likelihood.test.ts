import type { Features } from "../kinetics/trajectory";
import { findModel } from "../models";
import { chanceOf, isBelievable, MISREPORT, phSd, plainChance, randomChance, tellsOf, weightsOf } from "./likelihood";
import { FOAMS, PH_BELIEVED, SMELL_CLASSES, type Observation, type ObservationType } from "./observations";
import { FOAM_TABLE, SMELL_TABLES } from "./tables";

const ACID = findModel("B1_plant_ferment");
const AERATED = findModel("A3_tea_fungal");
const STILL = findModel("A1_starch_bloom");
const NO_MARKS = { startH: Infinity, endH: Infinity };

/** What a grower's own word is worth at an hour, between an opening and a close. */
const word = (value: "not_yet" | "ready" | "past", hour: number, marks = { startH: 40, endH: 100 }) =>
  plainChance({ type: "judge", value, hour }, ACID, {}, marks);
const WORDS = ["not_yet", "ready", "past"] as const;

describe("a grower's own word", () => {
  it("is as likely not yet as ready where the window opens, and as likely ready as past where it closes", () => {
    expect(word("not_yet", 40)).toBeCloseTo(0.5, 6);
    expect(word("ready", 40)).toBeCloseTo(0.5, 6);
    expect(word("ready", 100)).toBeCloseTo(0.5, 6);
    expect(word("past", 100)).toBeCloseTo(0.5, 6);
  });
  it("is nearly sure away from the marks, each on its side", () => {
    expect(word("not_yet", 20)).toBeGreaterThan(0.999);
    expect(word("ready", 63)).toBeGreaterThan(0.999);
    expect(word("past", 180)).toBeGreaterThan(0.999);
  });
  it("strays round a mark by an eighth of its hour: an opening at 40 h is called at 45 h by five of six", () =>
    // One sd of ln(time), 0.12, after the mark: 0.8413 of a normal spread lies before it.
    expect(word("not_yet", 40 * Math.exp(0.12))).toBeCloseTo(1 - 0.8413, 3));
  it.each([1, 39, 41, 99, 101, 400])("is one of the three at hour %p", (hour) =>
    expect(WORDS.reduce((sum, value) => sum + word(value, hour), 0)).toBeCloseTo(1, 12),
  );
  it("is never ready of what never will be, and never past of what keeps", () => {
    expect(word("not_yet", 500, NO_MARKS)).toBe(1);
    expect(word("ready", 500, NO_MARKS)).toBe(0);
    expect(word("past", 500, { startH: 40, endH: Infinity })).toBe(0);
    expect(word("ready", 500, { startH: 40, endH: Infinity })).toBeCloseTo(1, 6);
  });
  it("is ready at once of what is ready as it is made", () => {
    expect(word("ready", 0, { startH: 0, endH: 20 })).toBe(1);
    expect(word("not_yet", 0, { startH: 0, endH: 20 })).toBe(0);
  });
  it("is not yet in the first moment of all else", () => expect(word("not_yet", 0)).toBe(1));
});

describe("a reading", () => {
  const ph = (value: number, method: "meter" | "strip" = "meter"): Observation => ({
    type: "ph",
    value,
    method,
    hour: 10,
  });
  const seen = (observation: Observation, shows: Features, model = ACID) =>
    plainChance(observation, model, shows, NO_MARKS);

  it("is the meter's own error and the batch's scatter together, and a strip's is wider", () => {
    expect(phSd(ph(4) as never)).toBeCloseTo(Math.hypot(0.1, 0.12), 12);
    expect(phSd(ph(4, "strip") as never)).toBeCloseTo(Math.hypot(0.3, 0.12), 12);
    expect(phSd({ ...ph(4), sd: 0.5 } as never)).toBeCloseTo(Math.hypot(0.5, 0.12), 12);
  });
  it("is likeliest where the batch stands, and falls off by the normal law", () => {
    const sd = Math.hypot(0.1, 0.12);
    expect(seen(ph(4), { ph: 4 })).toBeCloseTo(1 / (sd * Math.sqrt(2 * Math.PI)), 9);
    expect(seen(ph(4 + sd), { ph: 4 }) / seen(ph(4), { ph: 4 })).toBeCloseTo(Math.exp(-0.5), 9);
    expect(seen(ph(4, "strip"), { ph: 4 })).toBeLessThan(seen(ph(4), { ph: 4 }));
  });
  it.each<[ObservationType, number, Features, number]>([
    ["sep", 0.6, { parted: 0.6 }, 0.12],
    ["sink", 0.6, { sunk: 0.6 }, 0.08],
    ["core", 41, { coreC: 41 }, 2.5],
  ])("of %s has its own spread", (type, value, shows, sd) => {
    const at = (x: number) => seen({ type, value: x, hour: 5 } as Observation, shows);
    expect(at(value)).toBeCloseTo(1 / (sd * Math.sqrt(2 * Math.PI)), 9);
    expect(at(value + sd) / at(value)).toBeCloseTo(Math.exp(-0.5), 6);
  });
  it("of bubbles goes by their order of size: twice and half as many are about as far off", () => {
    const bubbles = (value: number) => seen({ type: "bubbles", value, hour: 5 }, { gas: 1 });
    expect(ACID.bubblesPerMin).toBe(8);
    expect(bubbles(8)).toBeGreaterThan(bubbles(17));
    expect(bubbles(17)).toBeCloseTo(bubbles(3.5), 9);
    expect(bubbles(-3)).toBe(bubbles(0));
    expect(bubbles(5000)).toBe(bubbles(200));
  });
  it("of foam and smell is the table's at the phase, even between its rows", () => {
    expect(seen({ type: "foam", value: "full_head", hour: 5 }, { foamPhase: 3 }, STILL)).toBe(FOAM_TABLE[3]![3]);
    expect(seen({ type: "foam", value: "full_head", hour: 5 }, { foamPhase: 2.5 }, STILL)).toBeCloseTo(
      (FOAM_TABLE[2]![3]! + FOAM_TABLE[3]![3]!) / 2,
      12,
    );
    expect(seen({ type: "smell", value: "sour_clean", hour: 5 }, { phase: 2 })).toBe(SMELL_TABLES.B[2]![2]);
  });
  it("of a film says nothing of how far it is", () =>
    expect(seen({ type: "film", value: "coloured", hour: 5 }, {})).toBe(1 / 4));
});

describe("a report drawn at random", () => {
  it("is even over the words there are, or over what an instrument may show", () => {
    const of = (observation: Partial<Observation>) => randomChance(observation as Observation);
    expect(of({ type: "foam" })).toBeCloseTo(1 / FOAMS.length, 12);
    expect(of({ type: "smell" })).toBeCloseTo(1 / SMELL_CLASSES.length, 12);
    expect(of({ type: "judge" })).toBeCloseTo(1 / 3, 12);
    expect(of({ type: "film" })).toBeCloseTo(1 / 4, 12);
    expect(of({ type: "ph" })).toBeCloseTo(1 / (PH_BELIEVED.max - PH_BELIEVED.min), 12);
    expect(of({ type: "core" })).toBe(1 / 50);
    expect(of({ type: "sep" })).toBe(1);
    expect(of({ type: "sink" })).toBe(1);
    expect(of({ type: "bubbles" })).toBeCloseTo(1 / Math.log(201), 12);
  });
  it("stands for a share of all reports, so that no single one decides", () => {
    const impossible: Observation = { type: "judge", value: "past", hour: 1 };
    expect(chanceOf(impossible, ACID, {}, NO_MARKS)).toBeCloseTo(MISREPORT / 3, 12);
    expect(chanceOf({ ...impossible, eps: 0.3 }, ACID, {}, NO_MARKS)).toBeCloseTo(0.1, 12);
    expect(chanceOf({ ...impossible, value: "not_yet" }, ACID, {}, NO_MARKS)).toBeCloseTo(0.95 + 0.05 / 3, 12);
  });
});

describe("what tells of a batch", () => {
  const TYPES = ["ph", "foam", "smell", "bubbles", "sep", "sink", "core", "judge", "film"] as const;
  const telling = (id: string) => TYPES.filter((type) => tellsOf({ type } as Observation, findModel(id)));
  it.each([
    ["A1_starch_bloom", ["foam", "smell", "bubbles", "judge"]],
    ["A3_tea_fungal", ["foam", "smell", "judge"]],
    ["B1_plant_ferment", ["ph", "smell", "bubbles", "judge"]],
    ["B3_ricewash", ["ph", "smell", "bubbles", "sep", "judge"]],
    ["B4_milk", ["ph", "smell", "bubbles", "sep", "judge"]],
    ["C1_sugar_extract", ["smell", "bubbles", "sep", "judge"]],
    ["D1_shell_acid", ["ph", "bubbles", "judge"]],
    ["E1_plant_soak", ["smell", "judge"]],
    ["F1_char_charge", ["sink", "judge"]],
    ["G1_bran_starter", ["smell", "bubbles", "core", "judge"]],
  ])("goes by its kind: %s", (id, types) => expect(telling(id)).toEqual(types));
  it("believes no meter beyond what a brew can be, its ends included, and no figure that is none", () => {
    const ph = (value: number) => isBelievable({ type: "ph", value, method: "meter", hour: 1 });
    expect([1.9, PH_BELIEVED.min, 4, PH_BELIEVED.max, 9.1].map(ph)).toEqual([false, true, true, true, false]);
    expect(isBelievable({ type: "core", value: NaN, hour: 1 })).toBe(false);
    expect(isBelievable({ type: "bubbles", value: 4, hour: 1 })).toBe(true);
    expect(isBelievable({ type: "foam", value: "none", hour: 1 })).toBe(true);
  });
});

describe("how much each report counts", () => {
  const foam = (hour: number): Observation => ({ type: "foam", value: "full_head", hour });
  const smell = (hour: number): Observation => ({ type: "smell", value: "yeasty", hour });
  it("one alone counts whole; foam less where air is blown in", () => {
    expect(weightsOf([smell(5)], AERATED)).toEqual([1]);
    expect(weightsOf([foam(5)], STILL)).toEqual([1]);
    expect(weightsOf([foam(5)], AERATED)).toEqual([0.3]);
    expect(weightsOf([foam(5)], ACID)).toEqual([1]);
  });
  it("two of one hour repeat in part; far apart they add up; another kind takes nothing away", () => {
    expect(weightsOf([smell(5), smell(5)], STILL)).toEqual([1 / 1.5, 1 / 1.5]);
    expect(weightsOf([smell(5), smell(5 + STILL.repeatSpanH)], STILL)[0]).toBeCloseTo(1 / (1 + 0.5 / Math.E), 12);
    expect(weightsOf([smell(5), smell(5000)], STILL)[0]).toBeCloseTo(1, 9);
    expect(weightsOf([smell(5), foam(5)], STILL)).toEqual([1, 1]);
  });
  it("ten of one hour count as about two", () => {
    const all = weightsOf(
      Array.from({ length: 10 }, () => smell(5)),
      STILL,
    );
    expect(all.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(10 / 5.5, 9);
  });
});
