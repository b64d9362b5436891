import { readMeasured, sayMeasured, type Measurable } from "./measured";

const CASTINGS: Measurable = { itemId: "castings", unit: "kg", densityKgPerL: 0.65 };
const MOLASSES: Measurable = { itemId: "molasses", unit: "L", densityKgPerL: 1.4 };
const UNKNOWN: Measurable = { itemId: "other-solid", unit: "kg", densityKgPerL: null };
const own = (measure: string, ingredientId: string, mean: number, least = mean, most = mean, weighings = 1) => ({
  measure,
  ingredientId,
  mean,
  least,
  most,
  weighings,
});
const OURS = [own("scoop", "castings", 0.65, 0.6, 0.7, 3), own("jerry can", "water", 20), own("cap", "molasses", 0.02)];

const amount = (text: string, of: Measurable, system: "metric" | "us" = "metric") => {
  const read = readMeasured(text, of, OURS, system);
  return read.type === "read" ? Number(read.amount.toPrecision(6)) : read.why;
};

describe("reading what wet hands type", () => {
  it.each([
    ["2,5", CASTINGS, 2.5],
    ["2.5 kg", CASTINGS, 2.5],
    ["500 g", CASTINGS, 0.5],
    ["2 lb", CASTINGS, 0.907185],
    ["1 1/2 cups", MOLASSES, 0.375],
    ["8 oz", CASTINGS, 0.226796],
    ["8 oz", MOLASSES, 0.236588],
    ["10 L", CASTINGS, 6.5],
    ["1,4 kg", MOLASSES, 1],
    ["3 scoops", CASTINGS, 1.95],
    ["1 jerry can", CASTINGS, 13],
    ["2 jerry cans", MOLASSES, 40],
    ["4 caps", MOLASSES, 0.08],
  ] as const)("%s", (text, of, expected) => expect(amount(text, of)).toBe(expected));
  it("tells the second gallon from the first, where the farm's units don't", () => {
    expect(amount("2 gal", MOLASSES)).toBe("Which gallon? US gal makes 7.57 L, imp gal 9.09 L.");
    expect(amount("2 US gal", MOLASSES)).toBe(7.57082);
    expect(amount("2 imp gal", MOLASSES)).toBe(9.09218);
    expect(amount("2 gal", MOLASSES, "us")).toBe(7.57082);
  });
  it("says what is missing where it can't read", () => {
    expect(amount("", CASTINGS)).toBe("How much?");
    expect(amount("some", CASTINGS)).toMatch(/^A number, please/);
    expect(amount("3 scoops", MOLASSES)).toBe("Our scoop was not weighed with this yet. Type L, or weigh one.");
    expect(amount("3 wheelbarrows", CASTINGS)).toBe(
      '"wheelbarrows" is no unit, nor one of our measures (scoop, jerry can, cap). Type kg, or weigh one.',
    );
    expect(amount("1 L", UNKNOWN)).toMatch(/^Nobody has said what a litre of it weighs/);
    expect(amount("1 jerry can", UNKNOWN)).toMatch(/was not weighed with this yet/);
    expect(amount("-3", CASTINGS)).toBe("No amount is below nothing.");
  });
  it("weighs the farm's own kind as what it counts as, where it was not weighed itself", () => {
    const ours = { itemId: "own-3", unit: "kg", densityKgPerL: 0.65, ingredientId: "castings" } as const;
    expect(amount("2 scoops", ours)).toBe(1.3);
    const weighed = [...OURS, own("scoop", "own-3", 0.5)];
    expect(readMeasured("2 scoops", ours, weighed, "metric")).toMatchObject({ amount: 1 });
  });
  it("shows the spread of a measure that was weighed more than once", () =>
    expect(readMeasured("2 scoops", CASTINGS, OURS, "metric")).toMatchObject({
      how: "1.3 kg, between 1.2 kg and 1.4 kg",
    }));
  it("says nothing of what is plain", () => {
    expect(readMeasured("2 kg", CASTINGS, OURS, "metric")).toMatchObject({ how: null });
    expect(readMeasured("2", CASTINGS, OURS, "metric")).toMatchObject({ how: null });
  });
});

describe("saying an amount in our measures", () => {
  it.each([
    [1.95, CASTINGS, "3 scoops"],
    [2.3, CASTINGS, "3½ scoops"],
    [0.65, CASTINGS, "1 scoop"],
    [15, CASTINGS, "1 jerry can"],
    [0.05, MOLASSES, "2½ caps"],
    [0.001, MOLASSES, null],
    [5, UNKNOWN, null],
  ] as const)("%s", (value, of, expected) => expect(sayMeasured(value, of, OURS)).toBe(expected));
});
