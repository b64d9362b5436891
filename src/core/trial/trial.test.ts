import { chanceFrom, type Chance } from "../chance";
import { DomainError } from "../errors";
import { analyseTrial, placeTrial, sizeTrial, type Trial, type TrialPair } from ".";
import { pairsPower } from "./power";

const whole = (chance: Chance, from: number, to: number): number => Math.floor(chance.between(from, to + 1 - 1e-9));
/** Pairs by chance; some in halves, so that values are equal now and then. */
function pairsBy(chance: Chance, n: number): TrialPair[] {
  const isCoarse = chance.uniform() < 0.4;
  const value = (): number => {
    const one = 5 + 2 * chance.normal();
    return Math.max(0.1, isCoarse ? Math.round(2 * one) / 2 : one);
  };
  const lean = chance.between(-1, 2);
  return Array.from({ length: n }, () => ({ with: Math.max(0.1, value() + lean), without: value() }));
}
const trialOf = (pairs: readonly TrialPair[], change: Partial<Trial> = {}): Trial => ({
  measure: { kind: "weight", scale: "difference" },
  looks: "one",
  applications: 4,
  pairs,
  ...change,
});
const armOf = (trial: Trial) => analyseTrial(trial).arms[0]!;
const near = (one: number | null, other: number | null, room = 1e-6): void => {
  if (one === null || other === null) return expect(one).toBe(other);
  expect(Math.abs(one - other)).toBeLessThanOrEqual(room);
};

describe("a trial by its placements", () => {
  const cases = Array.from({ length: 60 }, (_, seed) => seed);

  it.each(cases)("%i: word and interval agree, and p is what listing every set of signs gives", (seed) => {
    const chance = chanceFrom(seed);
    const pairs = pairsBy(chance, whole(chance, 3, 11));
    const arm = armOf(trialOf(pairs));
    const isMore = arm.p <= 0.05 + 1e-12 && arm.estimate > 0;
    expect(arm.low !== null && arm.low > 0).toBe(isMore);
    expect(arm.high !== null && arm.high < 0).toBe(arm.p <= 0.05 + 1e-12 && arm.estimate < 0);
    // Independently: each placement by its signs, by the mean difference that it would have shown.
    const differences = pairs.map((pair) => (pair.with as number) - (pair.without as number));
    const seen = differences.reduce((sum, one) => sum + one, 0);
    let [upper, lower] = [0, 0];
    for (let signs = 0; signs < 2 ** pairs.length; signs += 1) {
      const sum = differences.reduce((total, one, nth) => total + (signs & (1 << nth) ? -one : one), 0);
      if (sum >= seen - 1e-9) upper += 1;
      if (sum <= seen + 1e-9) lower += 1;
    }
    near(arm.p, Math.min(1, (2 * Math.min(upper, lower)) / 2 ** pairs.length));
  });

  it.each(cases)(
    "%i: what a block has in common, the names of the arms, the unit and the order make no difference",
    (seed) => {
      const chance = chanceFrom(1000 + seed);
      const pairs = pairsBy(chance, whole(chance, 6, 10));
      const arm = armOf(trialOf(pairs));
      const shifts = pairs.map(() => chance.between(0, 20));
      const moved = armOf(
        trialOf(
          pairs.map((pair, nth) => ({
            with: (pair.with as number) + shifts[nth]!,
            without: (pair.without as number) + shifts[nth]!,
          })),
        ),
      );
      near(moved.p, arm.p);
      near(moved.low, arm.low, 1e-5);
      const mirrored = armOf(trialOf(pairs.map((pair) => ({ with: pair.without, without: pair.with }))));
      near(mirrored.p, arm.p);
      near(mirrored.estimate, -arm.estimate);
      near(mirrored.low, arm.high === null ? null : -arm.high, 1e-5);
      const scaled = armOf(
        trialOf(pairs.map((pair) => ({ with: (pair.with as number) * 3, without: (pair.without as number) * 3 }))),
      );
      near(scaled.low, arm.low === null ? null : 3 * arm.low, 1e-5);
      const turned = armOf(trialOf(pairs.toReversed()));
      near(turned.p, arm.p);
      near(turned.high, arm.high, 1e-5);
    },
  );

  it("blocks of several: the same as listing every placement", () => {
    const values = [
      { treated: [5.1, 6.2], control: [4.4, 5.0, 4.1] },
      { treated: [7.0], control: [5.2, 6.6] },
      { treated: [3.1, 2.9], control: [3.3] },
    ];
    const readings = values.flatMap(({ treated, control }, block) => [
      ...treated.map((value) => ({ block, arm: "with", value })),
      ...control.map((value) => ({ block, arm: "without", value })),
    ]);
    const arm = armOf({ design: "blocks", measure: { kind: "number" }, looks: "one", applications: 3, readings });
    // Weighted mean difference of each placement, from nothing but the definition.
    const stats: number[] = [];
    const subsets = (size: number, of: number, from = 0): number[][] =>
      size === 0
        ? [[]]
        : Array.from({ length: of - from }, (_, nth) => from + nth).flatMap((at) =>
            subsets(size - 1, of, at + 1).map((rest) => [at, ...rest]),
          );
    const mean = (list: number[]): number => list.reduce((sum, one) => sum + one, 0) / list.length;
    const visit = (block: number, sum: number): void => {
      if (block === values.length) return void stats.push(sum);
      const { treated, control } = values[block]!;
      const all = [...treated, ...control];
      const weight = (treated.length * control.length) / all.length;
      for (const taken of subsets(treated.length, all.length)) {
        const inside = taken.map((at) => all[at]!);
        const outside = all.filter((_, at) => !taken.includes(at));
        visit(block + 1, sum + weight * (mean(inside) - mean(outside)));
      }
    };
    visit(0, 0);
    const upper = stats.filter((one) => one >= stats[0]! - 1e-9).length;
    expect(arm.arrangements).toBe(stats.length);
    near(
      arm.p,
      Math.min(1, (2 * Math.min(upper, stats.filter((one) => one <= stats[0]! + 1e-9).length)) / stats.length),
    );
  });

  it("what stands in a claim's way takes it back, and what is only noted does not", () => {
    const pairs = Array.from({ length: 8 }, (_, nth) => ({ with: 6 + nth / 10, without: 4 }));
    expect(armOf(trialOf(pairs))).toMatchObject({ seen: "more", verdict: "likely-helped" });
    expect(armOf(trialOf(pairs, { confounders: ["edge-one-side"] }))).toMatchObject({
      seen: "more",
      verdict: "cannot-tell",
    });
    expect(armOf(trialOf(pairs, { confounders: ["batches-differ"] })).verdict).toBe("likely-helped");
    expect(armOf(trialOf(pairs, { asked: 6 })).reasons).toContain("fewer-repeats-than-asked");
    expect(armOf(trialOf(pairs, { applications: 1 })).verdict).toBe("withheld");
    expect(armOf(trialOf(pairs, { measure: { kind: "pests" } })).verdict).toBe("likely-harmed");
  });

  it("a first look of several costs half, later ones are paid for, and what was seen stays in its interval", () => {
    const chance = chanceFrom(5);
    for (let nth = 0; nth < 12; nth += 1) {
      const pairs = pairsBy(chance, 10);
      const once = armOf(trialOf(pairs));
      const first = armOf(trialOf(pairs, { looks: { earlier: [] } }));
      const second = armOf(trialOf(pairs, { looks: { earlier: [7] } }));
      expect(first.low! <= once.low! + 1e-9 && first.high! >= once.high! - 1e-9).toBe(true);
      expect(second.low! <= once.low! + 1e-3 && second.high! >= once.high! - 1e-3).toBe(true);
      if (second.seen === "more") expect(second.low!).toBeGreaterThan(0);
    }
  });

  it("drawn placements agree with all of them", () => {
    const chance = chanceFrom(8);
    const pairs = pairsBy(chance, 17);
    const drawn = armOf(trialOf(pairs));
    expect(drawn.method).toBe("drawn");
    const differences = pairs.map((pair) => (pair.with as number) - (pair.without as number));
    const seen = differences.reduce((sum, one) => sum + one, 0);
    let [upper, lower] = [0, 0];
    for (let signs = 0; signs < 2 ** 17; signs += 1) {
      let sum = 0;
      for (let nth = 0; nth < 17; nth += 1) sum += signs & (1 << nth) ? -differences[nth]! : differences[nth]!;
      if (sum >= seen - 1e-9) upper += 1;
      if (sum <= seen + 1e-9) lower += 1;
    }
    const p = Math.min(1, (2 * Math.min(upper, lower)) / 2 ** 17);
    expect(drawn.pLow).toBeLessThanOrEqual(p + 1e-9);
    expect(drawn.pHigh).toBeGreaterThanOrEqual(p - 1e-9);
  });
});

describe("the draw", () => {
  const units = Array.from({ length: 10 }, (_, nth) => ({ id: `s${nth}`, x: nth, y: 0, edge: nth === 0 || nth === 9 }));
  it("gives each strip each arm alike over seeds, and each block each arm once", () => {
    const seeds = 2000;
    const got = new Map<string, number>();
    for (let seed = 0; seed < seeds; seed += 1)
      for (const block of placeTrial({ units, seed }).blocks) {
        expect(block.units.map(({ arm }) => arm).toSorted()).toEqual(["with", "without"]);
        for (const { unit, arm } of block.units) if (arm === "with") got.set(unit, (got.get(unit) ?? 0) + 1);
      }
    const room = 4 * Math.sqrt(seeds * 0.25);
    for (const count of got.values()) expect(Math.abs(count - seeds / 2)).toBeLessThan(room);
    expect(got.size).toBe(10);
  });
  it("is the same for its seed, tells no look-alikes in its codes, and refuses what can't be drawn", () => {
    expect(placeTrial({ units, seed: 3 })).toEqual(placeTrial({ units, seed: 3 }));
    const { codes } = placeTrial({ units, seed: 3 });
    expect(new Set(Object.values(codes)).size).toBe(10);
    for (const code of Object.values(codes)) expect(code).toMatch(/^[A-HJKMNPR-RT-Y]{2}[2-9]$/);
    for (const bad of [
      { units },
      { units, seed: 1, arms: ["with", "with", "without"] },
      { units: units.slice(0, 1), seed: 1 },
    ])
      expect(() => placeTrial(bad)).toThrow(DomainError);
  });
});

describe("how many", () => {
  it.each([
    [8, 1, 0.05],
    [9, 0.75, 0.025],
    [12, 1, 0.025],
    [16, 0.5, 0.05],
  ])("%i pairs at a difference of %d spreads: the chance that the very test sees it", (n, shift, level) => {
    const chance = chanceFrom(n);
    // Every placement of sixteen pairs is gone through each time.
    const runs = n > 12 ? 120 : 1500;
    let seen = 0;
    for (let run = 0; run < runs; run += 1) {
      const pairs = Array.from({ length: n }, () => ({ with: 100 + shift + chance.normal(), without: 100 }));
      if (armOf(trialOf(pairs)).p <= level + 1e-12) seen += 1;
    }
    expect(Math.abs(seen / runs - pairsPower(n, shift, level))).toBeLessThan(0.015 + 4 * Math.sqrt(0.25 / runs));
  });
  it("says null where sixty pairs are not enough, and more for a chance that is higher", () => {
    expect(sizeTrial({ difference: 0.05, spread: 1 }).pairs).toBeNull();
    const [usual, sure] = [
      sizeTrial({ difference: 1, spread: 1 }),
      sizeTrial({ difference: 1, spread: 1, chance: 0.95 }),
    ];
    expect(sure.pairs!).toBeGreaterThan(usual.pairs!);
    expect(usual.strips).toBe(2 * usual.pairs!);
    const longer = sizeTrial({ difference: 1, spread: 1, stripTimes: 4 });
    expect(longer.spread).toBeCloseTo(4 ** -0.25, 9);
    expect(longer.assumed).toContain("smith");
  });
});
