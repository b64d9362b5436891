import fc from "fast-check";
import { askDrill, trickOf } from "@/words/said";
import { CAUTIONS } from "../book/cautions";
import { findMethod } from "../book";
import { drawCautionCard } from "./cautionCards";
import { DRILL_KINDS, DRILL_LEVELS, drawDrill, isRightAnswer, levelAfter } from "./drills";

const aDrill = fc
  .tuple(
    fc.constantFrom(...DRILL_KINDS),
    fc.constantFrom(...DRILL_LEVELS),
    fc.constantFrom("metric", "us" as const),
    fc.integer({ min: 1, max: 999_999 }),
  )
  .map(([kind, level, system, seed]) => drawDrill(kind, level, system as "metric" | "us", seed));

describe("sums in the head", () => {
  it("have one answer, which is taken; what is a fifth off is not", () => {
    fc.assert(
      fc.property(aDrill, (drill) => {
        expect(drill.answer).toBeGreaterThan(0);
        expect(isRightAnswer(drill, drill.answer)).toBe(true);
        expect(isRightAnswer(drill, drill.answer * 1.2 + (drill.unit === "cans" ? 1 : 0))).toBe(false);
        expect(isRightAnswer(drill, 0)).toBe(false);
      }),
    );
  });
  it("are asked and explained in the farm’s own units, in figures", () => {
    fc.assert(
      fc.property(aDrill, (drill) => {
        for (const text of [askDrill(drill), trickOf(drill)]) {
          expect(text).not.toMatch(/NaN|undefined|Infinity/);
          if (drill.system === "us") expect(text).not.toMatch(/\d (L|mL|m)\b/);
          else expect(text).not.toMatch(/\b(gal|fl oz|ft)\b/);
        }
      }),
    );
  });
  it("cans enough for the whole bed, and not one too many", () => {
    for (let seed = 1; seed < 300; seed += 1)
      for (const level of DRILL_LEVELS) {
        const { figures, answer } = drawDrill("cans-for-bed", level, "metric", seed);
        const litres = figures.long! * figures.wide! * figures.litresPerM2!;
        expect(answer * figures.can!).toBeGreaterThanOrEqual(litres - 1e-6);
        expect((answer - 1) * figures.can!).toBeLessThan(litres);
      }
  });
  it("get harder after two right ones and easier after a wrong one", () => {
    expect(levelAfter(1, [true])).toBe(1);
    expect(levelAfter(1, [true, true])).toBe(2);
    expect(levelAfter(5, [true, true])).toBe(5);
    expect(levelAfter(3, [true, true, false])).toBe(2);
    expect(levelAfter(1, [false])).toBe(1);
  });
});

describe("safety cards", () => {
  it("ask for one caution of the method among two that are not its", () => {
    for (let seed = 1; seed < 500; seed += 1) {
      const { methodId, options, right } = drawCautionCard(seed);
      const { cautions } = findMethod(methodId);
      expect(new Set(options).size).toBe(3);
      expect(options.filter((caution) => cautions.includes(caution))).toEqual([right]);
      expect(Object.keys(CAUTIONS)).toEqual(expect.arrayContaining([...options]));
    }
  });
});
