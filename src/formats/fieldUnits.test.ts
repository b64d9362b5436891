import fc from "fast-check";
import { toBase } from "@/core/quantity/units";
import {
  inMixUnit,
  litresOfMix,
  readInField,
  sayFieldUnit,
  sayKgPerArea,
  sayMixRate,
  sayPricePer,
  valueInField,
  type FieldMeasure,
  type MixPer,
} from "./fieldUnits";

const MEASURES: readonly FieldMeasure[] = ["m", "cm", "m2"];
const value = (text: string, measure: FieldMeasure, system: "metric" | "us") => {
  const read = readInField(text, measure, system);
  return read.type === "read" ? Number(read.value.toPrecision(6)) : read.type;
};

describe("lengths and areas as they are typed", () => {
  it.each([
    ["4", "m", "us", 1.2192],
    ["4", "m", "metric", 4],
    ["1,2", "m", "metric", 1.2],
    ["4 ft", "m", "metric", 1.2192],
    ["5 ft 6 in", "m", "metric", 1.6764],
    ["30", "cm", "us", 0.762],
    ["58", "cm", "metric", 0.58],
    ["58 cm", "cm", "us", 0.58],
    ["5380 sq ft", "m2", "metric", 499.818],
    ["1000", "m2", "us", 92.903],
    ["1 acre", "m2", "metric", 4046.86],
    ["", "m", "us", "nothing"],
    ["knee-high", "cm", "metric", "unreadable"],
    ["3 kg", "m", "metric", "unreadable"],
    ["4 ft wide", "m", "us", "unreadable"],
    ["1,500", "m2", "us", "unreadable"],
    ["3 m2", "m", "metric", "unreadable"],
  ] as const)("%s in a field of %s, %s", (text, measure, system, expected) =>
    expect(value(text, measure, system)).toBe(expected),
  );
  it("says how another unit was read, and nothing of its own", () => {
    expect(readInField("4 ft", "m", "metric")).toMatchObject({ how: "1.219 m" });
    expect(readInField("4 ft", "m", "us")).toMatchObject({ how: null });
    expect(readInField("5 ft 6 in", "m", "us")).toMatchObject({ how: "5.5 ft" });
  });
  it("marks what can't be read, and takes nothing for nothing", () => {
    expect(valueInField(" ", "m", "us")).toBeNull();
    expect(valueInField("wide", "m", "us")).toBeNaN();
  });
  it("takes any bare number in the unit that stands beside the field", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 99_999 }),
        fc.constantFrom(...MEASURES),
        fc.constantFrom("metric", "us"),
        (tenths, measure, system) => {
          const unit = sayFieldUnit(measure, system as "metric" | "us").replace("²", "2");
          const typed = String(tenths / 10);
          const meant = toBase({ value: tenths / 10, unit }).value;
          expect(Math.abs((value(typed, measure, system as "metric" | "us") as number) / meant - 1)).toBeLessThan(1e-5);
        },
      ),
    );
  });
});

describe("what is spread", () => {
  it("is told on the area that the farm thinks in", () => {
    expect(sayKgPerArea(0.5, "metric")).toBe("0.5 kg on the square metre");
    expect(sayKgPerArea(0.5, "us")).toBe("10 lb on 100 ft²");
  });
});

describe("prices", () => {
  it.each([
    [200, "kg", "metric", "2.00 crowns per kg"],
    [200, "kg", "us", "0.91 crowns per lb"],
    [100, "L", "us", "3.79 crowns per US gal"],
    [10, "m2", "us", "0.93 crowns per 100 ft²"],
    [10, "m2", "metric", "0.10 crowns per m²"],
  ] as const)("%d a %s, %s", (minor, of, system, said) => expect(sayPricePer(minor, of, "crowns", system)).toBe(said));
});

describe("how much of a mix", () => {
  it("is typed in what growers of either system think in", () => {
    expect(sayMixRate(2, "m2", "metric")).toBe("2 L per m²");
    // 2 L/m² × 9.290304 m² ÷ 3.785411784 L = 4.908 US gal on 100 ft².
    expect(sayMixRate(2, "m2", "us")).toBe("4.91 US gal per 100 ft²");
    expect(sayMixRate(0.25, "plant", "us")).toBe("8.45 US fl oz per plant");
  });
  it("comes back as it was, within the last digit shown", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 50, noNaN: true }),
        fc.constantFrom<MixPer>("m2", "plant"),
        fc.constantFrom("metric" as const, "us" as const),
        (litres, per, system) => {
          const back = litresOfMix(inMixUnit(litres, per, system), per, system);
          expect(Math.abs(back / litres - 1)).toBeLessThan(0.006);
        },
      ),
    );
  });
});
