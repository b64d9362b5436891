import fc from "fast-check";
import { DomainError } from "../errors";
import { convert } from "./convert";
import { dilute } from "./dilute";
import { mlPerLitreOfWater, parseDilution, parseParts, percentOfMix } from "./ratio";
import { UNIT_NAMES, UNITS } from "./units";
import { sayDomain } from "@/words/domain";

const refusal = (run: () => unknown): string => {
  try {
    run();
  } catch (error) {
    if (error instanceof DomainError) return `${error.code} at "${error.path}": ${sayDomain(error)}`;
    throw error;
  }
  return "no refusal";
};

describe("convert", () => {
  it("tells the US gallon from the imperial one", () => {
    expect(convert({ value: 1, unit: "US gal" }, "L").value).toBeCloseTo(3.785411784, 12);
    expect(convert({ value: 1, unit: "imp gal" }, "L").value).toBeCloseTo(4.54609, 12);
  });
  it("meets fixed points of temperature, and -40 is the same in both", () => {
    expect(convert({ value: 212, unit: "°F" }, "°C").value).toBeCloseTo(100, 12);
    expect(convert({ value: -40, unit: "°C" }, "°F").value).toBeCloseTo(-40, 12);
  });
  it("goes there and back within rounding, in every unit of a dimension", () => {
    const unit = fc.constantFrom(...UNIT_NAMES);
    fc.assert(
      fc.property(unit, unit, fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (from, to, value) => {
        fc.pre(UNITS[from].dimension === UNITS[to].dimension);
        const back = convert(convert({ value, unit: from }, to), from).value;
        expect(Math.abs(back - value)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(value)));
      }),
    );
  });
  it("goes from volume to mass and back by density", () => {
    const options = { ingredient: "molasses", densityKgPerL: 1.4 };
    expect(convert({ value: 2, unit: "L" }, "kg", options).value).toBeCloseTo(2.8, 12);
    expect(convert({ value: 2.8, unit: "kg" }, "L", options).value).toBeCloseTo(2, 12);
  });
  it("says why it refuses", () => {
    expect(refusal(() => convert({ value: 1, unit: "L" }, "kg"))).toMatchInlineSnapshot(
      `"density-unknown at "/ingredient": Turning a volume into a mass needs an ingredient, for its density."`,
    );
    expect(refusal(() => convert({ value: 1, unit: "L" }, "m2"))).toMatchInlineSnapshot(
      `"dimension-mismatch at "/to": An amount of volume can't be turned into area (m2): they measure different things."`,
    );
    expect(refusal(() => convert({ value: 1, unit: "bucket" }, "L"))).toMatchInlineSnapshot(
      `"unknown-unit at "/quantity/unit": "bucket" is not a unit Ruchka knows, nor one of the farm's own measures."`,
    );
    expect(
      refusal(() =>
        convert({ value: 1, unit: "L" }, "L", { measures: [{ name: "L", quantity: { value: 2, unit: "L" } }] }),
      ),
    ).toContain("measure-shadows-unit");
    expect(
      refusal(() =>
        convert({ value: 1, unit: "can" }, "L", { measures: [{ name: "can", quantity: { value: 0, unit: "L" } }] }),
      ),
    ).toContain("not-positive");
  });
});

describe("ratios in growers' notations", () => {
  it.each([
    ["1:500", 500],
    ["2:1", 0.5],
    ["1 : 20", 20],
    ["2 mL/L", 500],
    ["1 US fl oz/US gal", 128],
    ["1 US fl oz per US gal", 128],
    ["0,5 %", 199],
    ["neat", 0],
    ["10 mL/2 L", 200],
    ["2 cap/can", 1000],
  ])("%s", (text, partsWater) => {
    const measures = [
      { name: "cap", quantity: { value: 5, unit: "mL" } },
      { name: "can", quantity: { value: 10, unit: "L" } },
    ];
    expect(parseDilution(text, measures).partsWater).toBeCloseTo(partsWater, 9);
  });
  it("says the same dilution as a dose and as a share of the mix", () => {
    expect(mlPerLitreOfWater({ partsWater: 128 })).toBeCloseTo(7.8125, 9);
    expect(percentOfMix({ partsWater: 1 })).toBe(50);
  });
  it("reads parts in order", () => expect(parseParts("1:1:1:100")).toEqual([1, 1, 1, 100]));
  it.each(["1:0", "0:5", "a lot", "", "5 kg/L", "100 %", "0 %", "1:"])("refuses %p with a reason", (text) => {
    expect(refusal(() => parseDilution(text))).not.toBe("no refusal");
  });
  it("tells a neat use from a slip", () => expect(refusal(() => parseDilution("1:0"))).toContain('Write "undiluted"'));
});

describe("dilute", () => {
  it("has an inverse: any two of its amounts give back the third and the ratio", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 1e4, noNaN: true }),
        fc.double({ min: 0.01, max: 2000, noNaN: true }),
        (totalL, partsWater) => {
          const mix = dilute({ totalL, dilution: { partsWater } });
          expect(mix.concentrateL + mix.waterL).toBeCloseTo(totalL, 6);
          const back = dilute({ concentrateL: mix.concentrateL, waterL: mix.waterL });
          expect(back.waterL / back.concentrateL / partsWater).toBeCloseTo(1, 9);
          expect(dilute({ waterL: mix.waterL, dilution: { partsWater } }).totalL / totalL).toBeCloseTo(1, 9);
        },
      ),
    );
  });
  it("refuses what does not add up", () => {
    expect(refusal(() => dilute({ totalL: 5 }))).toContain("dilution-underdetermined");
    expect(refusal(() => dilute({ totalL: 5, waterL: 1, dilution: { partsWater: 1 } }))).toContain(
      "dilution-overdetermined",
    );
    expect(refusal(() => dilute({ totalL: 5, waterL: 6 }))).toContain("total-below-part");
    expect(refusal(() => dilute({ totalL: -5, dilution: { partsWater: 1 } }))).toContain("not-positive");
  });
});
