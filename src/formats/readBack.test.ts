/** What Ruchka prints it reads back, as it was meant; what may be two is asked; nothing left over is dropped. */
import fc from "fast-check";
import { DomainError } from "@/core/errors";
import { parseDilution, readDilutions } from "@/core/quantity/ratio";
import { readAmount } from "@/core/quantity/typed/amount";
import { readNumber } from "@/core/quantity/typed/number";
import { toBase, UNIT_NAMES } from "@/core/quantity/units";
import { sayArea, sayDilution, sayMass, sayQuantity, sayTemperature, sayVolume, type UnitSystem } from "./amounts";
import { workOutFigure } from "./figure/workOut";
import { readMeasured } from "./measured";
import { formatNumber, numberDoubt, parseNumber } from "./numbers";

const RUNS = { numRuns: 3000 };
const SYSTEMS = fc.constantFrom<UnitSystem>("metric", "us");
const amounts = fc.double({ min: 1e-3, max: 90_000, noNaN: true });
const code = (work: () => unknown): string => {
  try {
    work();
    return "read";
  } catch (error) {
    if (error instanceof DomainError) return error.code;
    throw error;
  }
};

describe("what is printed is read back", () => {
  it("a number, with its thousands parted", () =>
    fc.assert(
      fc.property(fc.double({ min: -1e9, max: 1e9, noNaN: true }), fc.integer({ min: 1, max: 6 }), (value, digits) => {
        const said = formatNumber(value, digits);
        expect([said, parseNumber(said)]).toEqual([said, Number(said.replace(/\u202f/g, ""))]);
      }),
      RUNS,
    ));
  it("volume and mass in the farm's words, within the digits that were printed", () =>
    fc.assert(
      fc.property(amounts, SYSTEMS, fc.constantFrom("L" as const, "kg" as const), (amount, units, unit) => {
        const said = unit === "L" ? sayVolume(amount, units) : sayMass(amount, units);
        const read = readMeasured(said, { itemId: "water", unit, densityKgPerL: null }, [], units);
        expect(read.type === "read" ? Math.abs(read.amount / amount - 1) <= 0.0051 : said).toBe(true);
      }),
      RUNS,
    ));
  it("area and temperature too", () =>
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1e6, noNaN: true }), SYSTEMS, (amount, units) => {
        const area = readAmount(sayArea(amount, units), units, [])!;
        expect(toBase(area.readings[0]!).value / amount).toBeCloseTo(1, 2);
        const celsius = amount % 60;
        const warmth = readAmount(sayTemperature(celsius, units), units, [])!;
        expect(Math.abs(toBase(warmth.readings[0]!).value - celsius)).toBeLessThan(0.45);
      }),
      RUNS,
    ));
  // A metric spoon or cup is never said to a US farm, whose own are meant by the same word.
  const METRIC_KITCHEN: readonly string[] = ["tbsp", "tsp", "cup"];
  it("any quantity in its own unit", () =>
    fc.assert(
      fc.property(amounts, fc.constantFrom(...UNIT_NAMES), SYSTEMS, (value, unit, units) => {
        fc.pre(units === "metric" || !METRIC_KITCHEN.includes(unit));
        const read = readAmount(sayQuantity({ value, unit }), units, [])!;
        const said = Number(formatNumber(value, 4).replace(/\u202f/g, ""));
        expect(read.rest).toBe("");
        expect(read.readings.some((one) => one.unit === unit && Math.abs(one.value - said) < 1e-9)).toBe(true);
      }),
      RUNS,
    ));
  it("every dilution", () =>
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 20_000, noNaN: true }), (partsWater) => {
        const said = sayDilution(partsWater);
        expect(parseDilution(said).partsWater / partsWater).toBeCloseTo(1, 3);
      }),
      RUNS,
    ));
  it("every answer of a figure, put back as a figure", () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 5000, noNaN: true }),
        fc.constantFrom("L", "kg", "US gal", "m2", "lb", "oz", "US fl oz"),
        SYSTEMS,
        (value, unit, units) => {
          for (const { text } of workOutFigure(`${formatNumber(value, 4)} ${unit}`, { units, measures: [] }).answers)
            if (!text.startsWith("0 "))
              expect([text, code(() => workOutFigure(text, { units, measures: [] }))]).toEqual([text, "read"]);
        },
      ),
      { numRuns: 1000 },
    ));
});

describe("a number as people type it", () => {
  it.each([
    ["1,500", [1.5, 1500]],
    ["1.500", [1.5, 1500]],
    ["1.234", [1.234]],
    ["1 000", [1000]],
    ["1\u202f412.5", [1412.5]],
    ["12 345,6", [12345.6]],
    ["1,234.5", [1234.5]],
    ["1.234,5", [1234.5]],
    ["1,234,567", [1234567]],
    ["1'000", [1000]],
    ["3,5", [3.5]],
    [".5", [0.5]],
    ["0,125", [0.125]],
    ["1234,567", [1234.567]],
    ["2 1/2", [2.5]],
    ["2½", [2.5]],
    ["¾", [0.75]],
    ["1,2,3", []],
    ["1 00", []],
    ["1.2.3", []],
    ["two", []],
    ["1/0", []],
    ["", []],
  ])("%p", (typed, values) => expect(readNumber(typed)).toEqual(values));
  it("asks about what may be two", () => {
    expect(numberDoubt("1,500")).toBe("1,500 may be 1500 or 1.5. Write it that way.");
    expect(numberDoubt("15")).toBeNull();
    expect(parseNumber("1,500")).toBeNull();
  });
});

describe("amounts and ratios as growers write them", () => {
  const litres = (text: string, units: UnitSystem = "metric") => {
    const read = readAmount(text, units, [])!;
    return [toBase(read.readings[0]!).value, read.rest];
  };
  it.each([
    ["2 lb 4 oz", "us", 2.25 * 0.45359237],
    ["1 gal 2 qt", "us", 1.5 * 3.785411784],
    ["2 kg 300 g", "metric", 2.3],
    ["2 T", "us", (2 * 3.785411784) / 256],
    ["2 Tbsp", "metric", 0.03],
    ["1 c", "us", 3.785411784 / 16],
    ["1 c", "metric", 0.25],
    ["40 sq ft", "us", 40 * 0.3048 ** 2],
    ["1 500 L", "metric", 1500],
    [".5 L", "metric", 0.5],
    ["30ml", "metric", 0.03],
    ["3 pts", "us", (3 * 3.785411784) / 8],
  ] as const)("%s on a %s farm", (text, units, value) => {
    expect(litres(text, units)[0]).toBeCloseTo(value, 9);
    expect(litres(text, units)[1]).toBe("");
  });
  it.each([
    ["2 Tbsp/gal", "us", 128],
    ["2 tbsp per gal", "us", 128],
    ["1 oz/gal", "us", 128],
    ["30ml per 4 L", "metric", 133.333],
    ["1 in 500", "metric", 499],
    ["1/500", "metric", 499],
    ["1:1 000", "metric", 1000],
    ["1 to 20", "metric", 20],
    ["0,5 %", "metric", 199],
  ] as const)("%s on a %s farm", (text, units, parts) =>
    expect(parseDilution(text, [], "/ratio", units).partsWater).toBeCloseTo(parts, 2),
  );
  it.each([
    ["1:1,000", [1, 1000]],
    ["500:1", [1 / 500, 500]],
    ["1:1.500", [1.5, 1500]],
  ])("%s is asked about, not taken in silence", (text, parts) => {
    expect(readDilutions(text).map(({ partsWater }) => partsWater)).toEqual(parts);
    expect(code(() => parseDilution(text))).toBe("ratio-ambiguous");
  });
  it("drops nothing that is left over", () => {
    for (const text of ["12 fl oz in 3 gal of soup", "3 L and a bit", "16 L moonwater at 1:500", "5 gal gal in L"])
      expect([text, code(() => workOutFigure(text, { units: "us", measures: [] }))]).toEqual([
        text,
        "figure-unreadable",
      ]);
    expect(
      readMeasured("2 kg or so", { itemId: "castings", unit: "kg", densityKgPerL: 0.65 }, [], "metric"),
    ).toMatchObject({
      type: "unreadable",
      why: '"or so" is left over: 2 kg was read before it.',
    });
  });
  it("offers both readings of a figure", () => {
    const texts = (text: string) =>
      workOutFigure(text, { units: "metric", measures: [] }).answers.map(({ text: said }) => said);
    expect(texts("1,500 ml in L")).toEqual(["0.0015 L", "1.5 L"]);
    expect(texts("16 L at 1:1,000")).toHaveLength(4);
  });
  it("knows growers' short names, and asks where one may mean two", () => {
    const label = (text: string) => workOutFigure(text, { units: "metric", measures: [] }).assumed[0];
    expect(label("20 L LAB")).toContain("Lactic serum");
    expect(label("20 L fpj")).toContain("Sugar-drawn plant juice");
    expect(code(() => workOutFigure("20 L worm tea", { units: "metric", measures: [] }))).toBe("figure-unreadable");
  });
  it("parts a recipe's ratio over what was filled", () => {
    const { answers } = workOutFigure("1:1:1:100 in 5 gal", { units: "us", measures: [] });
    expect(answers.map(({ text }) => text)).toEqual(["6.21 US fl oz", "6.21 US fl oz", "6.21 US fl oz", "4.85 US gal"]);
  });
  it("takes the US gallon alone on a US farm, and asks on a metric one", () => {
    const of = { itemId: "water", unit: "L", densityKgPerL: 1 } as const;
    expect(readMeasured("2 gal", of, [], "us")).toMatchObject({ type: "read", amount: 7.570823568 });
    expect(readMeasured("2 gal", of, [], "metric")).toMatchObject({ type: "unreadable" });
  });
});
