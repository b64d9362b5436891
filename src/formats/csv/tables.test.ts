import {
  cellsOf,
  FILE_COLUMNS,
  FILE_KINDS,
  ingredientOfName,
  readAmountCell,
  readDay,
  readHeads,
  readNumberCell,
  sameName,
} from "./tables";

describe("the heads of a file", () => {
  it.each(FILE_KINDS)("reads its own heads: %s", (kind) => {
    const names = FILE_COLUMNS[kind].map(({ name }) => name);
    expect(readHeads(kind, names)).toEqual({
      type: "read",
      at: Object.fromEntries(names.map((name, index) => [name, index])),
      unknown: [],
    });
  });
  it("reads them in any order, by other names, with a mark in front", () =>
    expect(readHeads("lots", ["\uFEFFQty", " Item ", "UNITS", "Received-On", "colour"])).toEqual({
      type: "read",
      at: { amount: 0, ingredient: 1, unit: 2, received_on: 3 },
      unknown: ["colour"],
    }));
  it("names what is missing", () =>
    expect(readHeads("lots", ["ingredient", "amount"])).toEqual({
      type: "wrong",
      missing: ["unit", "received_on"],
      found: ["ingredient", "amount"],
    }));
});

describe("cells", () => {
  it("gives back what a spreadsheet was kept from running", () =>
    expect(cellsOf(["'=1+1", " x "], { a: 0, b: 1, c: 9 })).toEqual({ a: "=1+1", b: "x", c: "" }));
  it.each([
    ["2031-03-20", "2031-03-20"],
    ["20.3.2031", "2031-03-20"],
    ["29.2.2032", "2032-02-29"],
  ])("reads the day %s", (text, day) => expect(readDay(text)).toEqual({ value: day }));
  it.each(["29.2.2031", "2031-13-01", "3/4/2031", "soon", ""])("does not take %p for a day", (text) =>
    expect(readDay(text)).toHaveProperty("fault"),
  );
  it("reads numbers with a comma, and none below nothing", () => {
    expect(readNumberCell("2,5")).toEqual({ value: 2.5 });
    expect(readNumberCell("-2")).toEqual({ fault: { code: "below-zero" } });
    expect(readNumberCell("two")).toEqual({ fault: { code: "no-number", typed: "two" } });
  });
  it("turns an amount into the stock unit, and tells what is wrong where it is", () => {
    const molasses = { itemId: "molasses", unit: "L", densityKgPerL: 1.4 } as const;
    expect(readAmountCell("7", "kg", molasses)).toEqual({ value: 5 });
    expect(readAmountCell("500", "mL", molasses)).toEqual({ value: 0.5 });
    expect(readAmountCell("5", "", molasses)).toEqual({ fault: { code: "which-unit" }, of: "unit" });
    expect(readAmountCell("", "L", molasses)).toEqual({ fault: { code: "how-much" } });
    expect(readAmountCell("5", "bags", molasses)).toHaveProperty("fault");
  });
  it("knows an ingredient by its name or its id, however it is written", () => {
    expect(ingredientOfName(" Brown  SUGAR")).toBe("brown-sugar");
    expect(ingredientOfName("brown_sugar")).toBe("brown-sugar");
    expect(ingredientOfName("stardust")).toBeNull();
    expect(sameName("Pond-weed", "pond weed")).toBe(true);
  });
});
