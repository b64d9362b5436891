import fc from "fast-check";
import { shellCalcium } from "./shellCalcium";

const school = (litresPerKg: number) => shellCalcium({ vinegarL: litresPerKg, aceticPercent: 5, shellKg: 1 });

describe("shell in vinegar", () => {
  it("is limited by the acid in both schools, four and ten litres to the kilogram", () => {
    for (const litres of [4, 10]) expect(school(litres).limiting).toBe("acid");
    // 5 % holds 0.833 mol/L: at most 41.7 g of carbonate, 16.7 g of calcium and about 10 L of gas to the litre.
    expect(school(4).calciumGPerL).toBeCloseTo(16.7, 1);
    expect(school(4).carbonDioxideL / 4).toBeCloseTo(10, 0);
    expect(1 - school(4).shellLeftKg).toBeCloseTo(0.18, 2);
  });
  it("turns over at about 23 litres to the kilogram", () => {
    expect(school(4).vinegarNeededForAllL).toBeCloseTo(22.8, 1);
    expect([school(22).limiting, school(24).limiting]).toEqual(["acid", "shell"]);
  });
  it("balances: what dissolves and what is left are what went in, and twice the acid dissolves twice the shell", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0.01, max: 100, noNaN: true }),
        (vinegarL, aceticPercent, shellKg) => {
          const found = shellCalcium({ vinegarL, aceticPercent, shellKg });
          expect(found.dissolvedKg + found.shellLeftKg).toBeCloseTo(shellKg, 6);
          expect(found.dissolvedKg).toBeLessThanOrEqual(shellKg + 1e-9);
          // One mole of gas for each of calcium.
          expect((found.calciumGPerL * vinegarL) / 40.078).toBeCloseTo(found.carbonDioxideL / 24.055, 6);
        },
      ),
    );
    expect(shellCalcium({ vinegarL: 2, aceticPercent: 10, shellKg: 50 }).dissolvedKg).toBeCloseTo(
      2 * shellCalcium({ vinegarL: 2, aceticPercent: 5, shellKg: 50 }).dissolvedKg,
      9,
    );
  });
  it.each([
    { vinegarL: 0, aceticPercent: 5, shellKg: 1 },
    { vinegarL: 1, aceticPercent: 0, shellKg: 1 },
    { vinegarL: 1, aceticPercent: 99, shellKg: 1 },
    { vinegarL: 1, aceticPercent: 5, shellKg: -1 },
    { vinegarL: 1, aceticPercent: 5, shellKg: 1, purity: 2 },
  ])("refuses %j", (request) => expect(() => shellCalcium(request)).toThrow());
});
