import fc from "fast-check";
import { findRecipe } from "@/core/book";
import { DomainError } from "@/core/errors";
import { convert } from "@/core/quantity/convert";
import { readAmount } from "@/core/quantity/typed/amount";
import { sayVolume } from "../amounts";
import { FIGURE_EXAMPLES, workOutFigure } from "./workOut";
import { sayDomain } from "@/words/domain";

const METRIC = { units: "metric", measures: [] } as const;
const answersOf = (text: string, options: Parameters<typeof workOutFigure>[1] = METRIC) =>
  workOutFigure(text, options).answers.map(({ label, text: said }) => `${label}: ${said}`);
const hintOf = (text: string, options: Parameters<typeof workOutFigure>[1] = METRIC) => {
  try {
    workOutFigure(text, options);
  } catch (error) {
    if (error instanceof DomainError) return sayDomain(error);
    throw error;
  }
  return "it was worked out";
};

describe("a figure as a person types it", () => {
  it.each(FIGURE_EXAMPLES)("%s, an example, has answers and a working", (text) => {
    const figure = workOutFigure(text, METRIC);
    expect(figure.answers.length).toBeGreaterThan(0);
    expect(figure.working.length).toBeGreaterThan(5);
  });
  it("gives both readings of a mix: the whole, and the water", () => {
    expect(answersOf("18 L at 1:300")).toEqual([
      "concentrate, if 18 L is the whole mix: 59.8 mL in 17.94 L of water",
      "concentrate, if 18 L is the water: 60 mL, 18.06 L in all",
    ]);
  });
  it.each([
    ["1:300 in 18 L", "18 L at 1:300"],
    ["1:300 for an 18 L knapsack", "18 L at 1:300"],
    ["2 tbsp per gal in 40 us gal", "40 us gal at 2 tbsp per gal"],
    ["1 in 500 in 16 L", "16 L at 1 in 500"],
  ])("%s is the same, turned round", (turned, plain) => expect(answersOf(turned)).toEqual(answersOf(plain)));
  it("gives both gallons where the word alone does not tell, and one where it does", () => {
    expect(answersOf("12 gal in L")).toEqual(["12 US gal is: 45.42 L", "12 imp gal is: 54.55 L"]);
    expect(answersOf("12 imp gal in L")).toEqual(["12 imp gal is: 54.55 L"]);
  });
  it("says a dose as mL to the litre, as a ratio and as a share", () => {
    expect(answersOf("12 fl oz in 3 us gal")).toEqual([
      "to a litre of water: 31.3 mL/L",
      "ratio: 1:32",
      "share of the mix: 3.03 %",
    ]);
  });
  it("multiplies a rate by an area, in either's own unit", () => {
    expect(answersOf("0.4 ha at 120 L/ha")).toEqual(["in all: 48 L"]);
    expect(answersOf("2 acres at 10 us gal per acre")[0]).toBe("in all: 75.71 L");
    expect(answersOf("25 m2 at 4 L/m2")).toEqual(["in all: 100 L"]);
  });
  it("scales a recipe by a name people use, by its cautious school", () => {
    const figure = workOutFigure("200 L drum of castings tea", METRIC);
    expect(figure.assumed[0]).toContain("bacterial-leaning");
    expect(figure.answers.map(({ label }) => label)).toEqual(["water", "molasses", "worm castings"]);
  });
  it("tells look-alikes apart rather than guess", () => {
    const hint = hintOf("20 L plant");
    expect(hint).toContain("cultured plant extract");
    expect(hint).toContain("sugar-drawn plant juice");
    expect(hint).toContain("they are not the same");
  });
  it("knows the farm's own measures before the book's", () => {
    const pails = { units: "metric", measures: [{ name: "pail", quantity: { value: 11.5, unit: "L" } }] } as const;
    expect(answersOf("7 pails", pails)[0]).toBe("7 pail is: 80.5 L");
    expect(answersOf("7 pails")[0]).toBe("likely: 105 L");
  });
  it("turns temperatures, below nothing too when asked in a unit", () => {
    expect(answersOf("64 F")).toEqual(["64 °F is: 17.78 °C"]);
  });
  it("reads commas, halves and fractions", () => {
    expect(readAmount("1 1/2 cups", "metric", [])?.value).toBe(1.5);
    expect(readAmount("½ L", "metric", [])?.value).toBe(0.5);
    expect(readAmount("2,5 kg", "metric", [])?.value).toBe(2.5);
    expect(readAmount("3/0 L", "metric", [])).toBeNull();
  });
  it("means a US cup and spoon on a farm that talks US", () => {
    const unit = (units: "metric" | "us") => readAmount("2 tbsp", units, [])?.readings[0]?.unit;
    expect([unit("metric"), unit("us")]).toEqual(["tbsp", "US tbsp"]);
  });
  it("turns any amount there and back", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9999 }),
        fc.constantFrom("L", "kg", "ha", "lb", "US gal"),
        (value, unit) => {
          for (const { quantity } of workOutFigure(`${value} ${unit}`, METRIC).answers) {
            expect(convert(quantity!, unit).value).toBeCloseTo(value, 6);
          }
        },
      ),
    );
  });
});

describe("a figure that can't be worked out gets a hint", () => {
  it.each([
    ["", "Type a figure, such as 16 L at 1:500"],
    ["lots", "starts with no number"],
    ["16", "Add a unit"],
    ["3 smoots", '"smoots" is not a unit'],
    ["0 L", "must be above nothing"],
    ["5000000000 L", "more than any farm has"],
    ["16 L at 1:0", 'Write "undiluted"'],
    ["16 L at noon", "After “at” comes a ratio"],
    ["2 kg in 3 L", "Both must be volumes"],
    ["3 kg at 1:20", "A ratio needs a volume"],
    ["2 L at 5 L/ha", "measure different things"],
    ["5 L in kg", "measure different things"],
    ["200 L moon juice", "is no method, unit or measure that Ruchka knows"],
    ["200 kg cultured extract", "give its volume"],
    ["900000 L cultured extract", "must lie between 100 mL and 20\u202f000 L"],
  ])("%p", (text, words) => expect(hintOf(text)).toContain(words));
  it("never crashes on whatever is typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        expect(typeof hintOf(text)).toBe("string");
      }),
      { numRuns: 300 },
    );
  });
});

describe("an ingredient in the hand", () => {
  const metric = { units: "metric", measures: [] } as const;
  it("serves so much water in each method that is counted by water, to the thinnest that growers go", () => {
    const { answers } = workOutFigure("15 lb castings", metric);
    const tea = answers.find(({ label }) => label === "water for aerated castings tea")!;
    const { low, default: usual } = (
      findRecipe("aerated-tea").ingredients.find(({ ingredient }) => ingredient === "castings")!.amount as {
        perBasis: { low: number; default: number };
      }
    ).perBasis;
    expect(tea.quantity!.value).toBeCloseTo((15 * 0.45359237) / usual, 6);
    expect(tea.text).toContain(`to ${sayVolume((15 * 0.45359237) / low, "metric")}`);
    expect(workOutFigure("6.8 kg of worm castings", metric).answers.length).toBeGreaterThan(0);
  });
  it("leaves a volume of a method a recipe, and says of what is neither that it knows it not", () => {
    expect(workOutFigure("200 L cultured extract", metric).answers.some(({ label }) => label === "molasses")).toBe(
      true,
    );
    expect(() => workOutFigure("5 kg moonlight", metric)).toThrow("moonlight");
  });
  it.each([
    ["1 tbsp per litre of sea salt", 18, null],
    ["1 tbsp of sea salt per litre", 18, null],
    ["2 Tbsp sea salt per L in 20 L", 36, 0.72],
    ["15 g sea salt per litre in 10 L", 15, 0.15],
  ] as const)("%s is grams to the litre", (text, gPerL, kg) => {
    const { answers } = workOutFigure(text, metric);
    expect(answers[0]!.quantity!.value).toBeCloseTo(gPerL, 6);
    if (kg !== null) expect(answers[1]!.quantity!.value).toBeCloseTo(kg, 6);
  });
  it("does not swallow a rate or a dose that names no ingredient", () => {
    expect(workOutFigure("2 mL per L", metric).answers[0]!.label).not.toContain("to the litre");
    expect(() => workOutFigure("1 tbsp per litre of moonlight", metric)).toThrow();
  });
});
