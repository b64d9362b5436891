import fc from "fast-check";
import { CAUTIONS } from "@/core/book/cautions";
import { METHODS } from "@/core/book";
import { inUnits } from "./bookText";

describe("a text of the book", () => {
  it.each([
    ["at 20 to 28 °C.", "at 68 to 82 °F."],
    ["Over 25 kg takes two.", "Over 55 lb takes two."],
    ["30 L or less", "7.9 US gal or less"],
    ["Start low, at 4 mL/L; up to 30 mL/L", "Start low, at 0.51 US fl oz per US gal; up to 3.8 US fl oz per US gal"],
    ["a layer of 2 cm", "a layer of 0.79 in"],
    ["1:500, pH 4.0, 14 days, 5 min", "1:500, pH 4.0, 14 days, 5 min"],
    ["5 growers, 3 large tubs, 2 mL of it", "5 growers, 3 large tubs, 0.068 US fl oz of it"],
    ["1.2 g/L and 12 g/m²", "0.16 oz per US gal and 12 g/m²"],
    ["2-3 kg", "4.4-6.6 lb"],
    ["down to -5 °C", "down to 23 °F"],
    ["2,5 L", "0.66 US gal"],
    ["1,000 L, 1 000 L and 1\u202f000 L", "1,000 L, 1 000 L and 1\u202f000 L"],
  ])("%s", (metric, us) => {
    expect(inUnits(metric, "us")).toBe(us);
    expect(inUnits(metric, "metric")).toBe(metric);
  });
  it("leaves no figure of the book in litres, kilograms or Celsius, and says none twice over", () => {
    const texts = [
      ...Object.values(CAUTIONS),
      ...METHODS.flatMap(({ steps }) => steps.flatMap(({ text, why }) => [text, why])),
    ];
    for (const text of texts) {
      const us = inUnits(text, "us");
      expect(us).not.toMatch(/\d ?(?:°C|kg|mL|L)(?![\w/²])/);
      expect(inUnits(us, "us")).toBe(us);
    }
  });
  it("keeps whatever has no figure", () =>
    fc.assert(fc.property(fc.stringMatching(/^[a-zA-Z .,:;]*$/), (text) => inUnits(text, "us") === text)));
});
