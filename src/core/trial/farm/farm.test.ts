import { addDays } from "../../calendar";
import { chanceFrom } from "../../chance";
import { CONTROL, placeTrial } from "..";
import {
  agreement,
  armsByDay,
  scoringOrder,
  standingOf,
  type TrialRecords,
  type TrialRound,
  type TrialTerms,
  type UnitApplication,
  type UnitReading,
} from ".";
import { guessedRight } from "./scoring";

const TERMS: TrialTerms = {
  question: "Does it help?",
  inputs: [{ arm: "with", name: "Tea", methodId: "aerated-tea" }],
  ...{ useId: "drench-growing", kind: "height", scale: "difference", unit: "cm", smallest: 2, card: [] },
  ...{ isChange: false, looks: "several", decidingOn: "2031-06-20", asked: 3 },
};
const DRAWN_ON = "2031-04-01";
function roundOf(pairs: number, seed: number, roundNo = 1, decidingOn = TERMS.decidingOn): TrialRound {
  const units = Array.from({ length: 2 * pairs }, (_, nth) => ({
    ...{ unit: `${roundNo}${nth}`, plotId: nth + 1, strip: null, strips: 1, x: nth, y: 0, edge: false, areaM2: 8 },
  }));
  const placement = placeTrial({ units: units.map(({ unit, ...rest }) => ({ id: unit, ...rest })), seed });
  return { roundNo, units, placement, draws: 1, drawnOn: DRAWN_ON, decidingOn };
}
const placed = (rounds: readonly TrialRound[]) =>
  rounds.flatMap(({ placement }) => placement.blocks.flatMap(({ units }) => units));
/** Readings of every unit on a day, by a law of its arm. */
const readOn = (rounds: readonly TrialRound[], on: string, valueOf: (arm: string, nth: number) => number, from = 1) =>
  placed(rounds).map(({ unit, arm }, nth): UnitReading => ({
    ...{ unit, on, id: from + nth, value: valueOf(arm, nth), isBlind: true, isAgain: false },
  }));
const putOn = (rounds: readonly TrialRound[], days: readonly string[]): UnitApplication[] =>
  days.flatMap((on) =>
    placed(rounds).flatMap(({ unit, arm }) =>
      arm === CONTROL ? [] : [{ unit, on, arm, batchId: 4, isWeak: false, isRainedOn: false }],
    ),
  );
const THREE = ["2031-04-10", "2031-04-24", "2031-05-08"];
function recordsOf(change: Partial<TrialRecords> = {}): TrialRecords {
  const rounds = change.rounds ?? [roundOf(8, 5)];
  const chance = chanceFrom(9);
  return {
    ...{ terms: TERMS, isSwitched: false, notes: [], looks: [], today: "2031-06-21" },
    readings: readOn(rounds, "2031-06-20", (arm) => 30 + (arm === "with" ? 6 : 0) + chance.normal()),
    applications: putOn(rounds, THREE),
    ...change,
    rounds,
  };
}
const verdictOf = (records: TrialRecords) => standingOf(records).answer?.arms[0]?.verdict;

describe("a trial out of the farm's records", () => {
  it("is judged where a difference is plain, and by no more than was said", () => {
    expect(standingOf(recordsOf())).toMatchObject({ judged: 8, isEarly: false, applications: 3, confounders: [] });
    expect(verdictOf(recordsOf())).toBe("likely-helped");
  });
  it("takes whoever sees all of it for a scorer who may lean: the trial with no effect is never called helped by the records alone", () => {
    const calls = Array.from({ length: 40 }, (_, seed) => {
      const chance = chanceFrom(seed + 100);
      const rounds = [roundOf(8, seed + 1)];
      return verdictOf(recordsOf({ rounds, readings: readOn(rounds, "2031-06-20", () => 30 + chance.normal()) }));
    });
    expect(calls.filter((verdict) => verdict === "likely-helped" || verdict === "likely-harmed").length).toBeLessThan(
      6,
    );
    expect(new Set(calls)).not.toContain("withheld");
  });
  it("waits for a pair until both its strips were read on one day, and takes no day before the one that was named", () => {
    const rounds = [roundOf(8, 5)];
    const [first] = rounds[0]!.placement.blocks[0]!.units;
    const all = readOn(rounds, "2031-06-20", () => 30);
    const apart = all.map((one) => (one.unit === first!.unit ? { ...one, on: "2031-06-22" } : one));
    const { judged, blocks } = standingOf(recordsOf({ rounds, readings: apart }));
    expect(judged).toBe(7);
    expect(blocks.filter(({ isApart }) => isApart)).toHaveLength(1);
    expect(standingOf(recordsOf({ rounds, readings: readOn(rounds, "2031-06-10", () => 30) })).judged).toBe(0);
    expect(standingOf(recordsOf({ rounds, readings: readOn(rounds, "2031-06-18", () => 30) })).judged).toBe(8);
  });
  it("lets the last that was written of a day stand, and what came up twice in one scoring as it was seen first", () => {
    const rounds = [roundOf(6, 5)];
    const good = readOn(rounds, "2031-06-20", (arm) => (arm === "with" ? 40 : 30));
    const slip = good.map((one) => ({ ...one, value: 1, id: one.id - 100 }));
    const again = good.map((one) => ({ ...one, value: 99, id: one.id + 100, isAgain: true }));
    const { asked } = standingOf(recordsOf({ rounds, readings: [...again, ...good, ...slip] }));
    expect(asked!.pairs!.every((pair) => pair.with === 40 && pair.without === 30)).toBe(true);
  });
  it("says nothing after one application, and counts what the strip that got least has had", () => {
    const rounds = [roundOf(8, 5)];
    expect(verdictOf(recordsOf({ rounds, applications: putOn(rounds, THREE.slice(0, 1)) }))).toBe("withheld");
    const one = putOn(rounds, THREE);
    const missing = one.filter(({ unit, on }) => !(unit === one[0]!.unit && on !== THREE[0]));
    expect(standingOf(recordsOf({ rounds, applications: missing })).applications).toBe(1);
  });
  it.each<[string, Partial<TrialRecords>, string]>([
    ["lots drawn three times", { rounds: [{ ...roundOf(8, 5), draws: 3 }] }, "placement-chosen"],
    ["what is measured changed", { isSwitched: true }, "measure-switched"],
    [
      "a scorer who knew",
      { readings: recordsOf().readings.map((one) => ({ ...one, isBlind: false })) },
      "unblinded-measure",
    ],
    ["guesses that were right", { notes: [{ type: "guesses", right: 15, wrong: 1 }] }, "scorer-guessed-right"],
    ["a word by hand", { notes: [{ type: "confounder", code: "control-got-no-water" }] }, "control-got-no-water"],
    [
      "a batch past its hours",
      { applications: recordsOf().applications.map((one) => ({ ...one, isWeak: true })) },
      "weak-batch",
    ],
    [
      "rain",
      { applications: recordsOf().applications.map((one) => ({ ...one, isRainedOn: true })) },
      "rain-washed-off",
    ],
    [
      "two batches",
      { applications: recordsOf().applications.map((one, nth) => ({ ...one, batchId: nth % 2 })) },
      "batches-differ",
    ],
    ["too few times", { applications: putOn([roundOf(8, 5)], THREE.slice(1)) }, "fewer-repeats-than-asked"],
  ])("says of %s that it may mislead", (_what, change, code) => {
    const { answer } = standingOf(recordsOf(change));
    expect(answer!.arms[0]!.reasons).toContain(code);
  });
  it("says of guesses that chance could make nothing", () => {
    expect(standingOf(recordsOf({ notes: [{ type: "guesses", right: 5, wrong: 3 }] })).confounders).toEqual([]);
    expect(guessedRight(0, 0)).toBe(false);
  });
  it("finds what else went on one side, on both, and the input where it was to be left away", () => {
    const records = recordsOf();
    const other = (units: readonly string[]): UnitApplication[] =>
      units.map((unit) => ({ unit, on: "2031-05-01", arm: null, batchId: 7, isWeak: false, isRainedOn: false }));
    const [one, two] = records.rounds[0]!.placement.blocks[0]!.units;
    const found = (more: readonly UnitApplication[]) =>
      standingOf({ ...records, applications: [...records.applications, ...more] }).confounders;
    expect(found(other([one!.unit]))).toEqual(["other-input-one-side"]);
    expect(found(other([one!.unit, two!.unit]))).toEqual(["other-input-both"]);
    const control = [one!, two!].find(({ arm }) => arm === CONTROL)!;
    expect(found([{ ...other([control.unit])[0]!, arm: "with" }])).toContain("other-input-one-side");
    // What came after everything was read changed nothing of it.
    expect(found(other([one!.unit]).map((late) => ({ ...late, on: "2031-07-01" })))).toEqual([]);
  });
  it("leaves a pair out by its reason, and says so where they are many", () => {
    const left = (count: number): TrialRecords["notes"] =>
      Array.from({ length: count }, (_, nth) => ({
        type: "left-out",
        block: `1.${nth + 1}`,
        side: "both",
        reason: "slugs",
      }));
    const some = standingOf(recordsOf({ notes: left(1) }));
    expect([some.judged, some.answer!.left, some.confounders]).toEqual([7, [{ id: "1.1", reason: "slugs" }], []]);
    expect(standingOf(recordsOf({ notes: left(2) })).confounders).toEqual(["strips-lost"]);
  });
  it("goes on with pairs that joined later, by their own day, the earlier look paid for", () => {
    const rounds = [roundOf(7, 5), roundOf(7, 6, 2, "2031-08-20")];
    const early = readOn(rounds.slice(0, 1), "2031-06-20", (arm) => 30 + (arm === "with" ? 2 : 0));
    const late = readOn(rounds.slice(1), "2031-08-20", (arm) => 30 + (arm === "with" ? 2 : 0), 100);
    const applications = putOn(rounds, THREE);
    const first = standingOf(recordsOf({ rounds, readings: early, applications }));
    expect([first.judged, first.asked!.looks]).toEqual([7, { earlier: [] }]);
    const looks = [{ on: "2031-06-20", blocks: 7 }];
    const both = standingOf(recordsOf({ rounds, readings: [...early, ...late], applications, looks }));
    expect([both.judged, both.asked!.looks]).toEqual([14, { earlier: [7] }]);
  });
  it("judges a change by what was read before the first application", () => {
    const rounds = [roundOf(8, 5)];
    const before = readOn(rounds, "2031-04-09", (_arm, nth) => 10 + nth);
    const after = readOn(rounds, "2031-06-20", (arm, nth) => 10 + nth + (arm === "with" ? 5 : 0), 50);
    const { asked, answer } = standingOf(
      recordsOf({ rounds, terms: { ...TERMS, isChange: true }, readings: [...before, ...after] }),
    );
    expect(asked!.design).toBe("baci");
    expect(answer!.arms[0]!.estimate).toBeCloseTo(5);
    expect(standingOf(recordsOf({ rounds, terms: { ...TERMS, isChange: true }, readings: after })).judged).toBe(0);
  });
  it("compares several inputs with one control, and yields by the area of their strips", () => {
    const units = Array.from({ length: 18 }, (_, nth) => ({
      ...{ unit: `1${nth}`, plotId: nth, strip: null, strips: 1, x: nth, y: 0, edge: false, areaM2: 1 + (nth % 3) },
    }));
    const placement = placeTrial({
      units: units.map(({ unit, x, y }) => ({ id: unit, x, y })),
      arms: ["with", "second", CONTROL],
      seed: 3,
    });
    const round: TrialRound = {
      roundNo: 1,
      units,
      placement,
      draws: 1,
      drawnOn: DRAWN_ON,
      decidingOn: TERMS.decidingOn,
    };
    const perM2 = { with: 4, second: 2, [CONTROL]: 2 } as Record<string, number>;
    const readings = readOn([round], "2031-06-20", () => 0).map((one) => {
      const { areaM2 } = units.find(({ unit }) => unit === one.unit)!;
      const { arm } = placed([round]).find(({ unit }) => unit === one.unit)!;
      return { ...one, value: areaM2 * perM2[arm]! };
    });
    const terms: TrialTerms = {
      ...{ ...TERMS, kind: "yield", scale: "ratio" },
      inputs: [TERMS.inputs[0]!, { arm: "second", name: "Bought tea", methodId: null }],
    };
    const { answer } = standingOf(recordsOf({ rounds: [round], terms, readings, applications: putOn([round], THREE) }));
    const [first, second] = ["with", "second"].map((arm) => answer!.arms.find((one) => one.arm === arm)!.estimate);
    expect(first).toBeCloseTo(1);
    expect(second).toBeCloseTo(0);
  });
  it("draws both arms by day, once half of an arm was read", () => {
    const rounds = [roundOf(4, 5)];
    const readings = [...readOn(rounds, "2031-05-01", () => 20), ...readOn(rounds, "2031-05-15", () => 25).slice(0, 1)];
    expect(armsByDay({ rounds, readings })).toEqual([
      { on: "2031-05-01", afterD: 30, means: { with: 20, [CONTROL]: 20 } },
    ]);
    expect(addDays(DRAWN_ON, 30)).toBe("2031-05-01");
  });
});

describe("scoring by codes", () => {
  const codes = Array.from({ length: 16 }, (_, nth) => `AB${nth}`);
  it.each(Array.from({ length: 25 }, (_, seed) => seed))(
    "%i: meets each once, one in eight again, never at once",
    (seed) => {
      const order = scoringOrder(codes, seed);
      const firsts = order.filter(({ isAgain }) => !isAgain).map(({ code }) => code);
      const agains = order.filter(({ isAgain }) => isAgain).map(({ code }) => code);
      expect(firsts.toSorted()).toEqual(codes.toSorted());
      expect(agains).toHaveLength(2);
      for (const code of agains)
        expect(order.findLastIndex((one) => one.code === code) - firsts.indexOf(code)).toBeGreaterThan(2);
    },
  );
  it("tells a card that is hard to read", () => {
    expect(agreement([])).toBeNull();
    expect(
      agreement([
        { first: 1, again: 3 },
        { first: 2, again: 2 },
      ]),
    ).toMatchObject({ within: 1, of: 2, isHard: true });
    expect(
      agreement([
        { first: 4, again: 3 },
        { first: 2, again: 2 },
      ]),
    ).toMatchObject({ isHard: false });
  });
});
