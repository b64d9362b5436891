import fc from "fast-check";
import { findRecipe, METHODS } from "../book";
import { COMPOSITION, NUTRIENT_IDS, WITHOUT_COMPOSITION } from "../book/composition";
import { recipeOf } from "../book/recipe";
import { batchContent, mixContent, soilLoad } from "./composition";
import { scaleRecipe } from "./scale";

const TEA = findRecipe("aerated-tea");
const recipes = METHODS.flatMap((method) =>
  method.schools.map((school) => [method.id, school.id, recipeOf(method, school)] as const),
);

describe("ordinary analyses", () => {
  it.each(Object.entries(COMPOSITION))(
    "%s: spans that hold their usual figure, and no more than itself in all",
    (_id, made) => {
      for (const { low, default: usual, high } of Object.values(made)) {
        expect(low).toBeGreaterThanOrEqual(0);
        expect(low).toBeLessThanOrEqual(usual);
        expect(usual).toBeLessThanOrEqual(high);
      }
      expect(Object.values(made).reduce((sum, { default: usual }) => sum + usual, 0)).toBeLessThanOrEqual(100);
    },
  );
  it("say of what they have no figures", () => expect(WITHOUT_COMPOSITION).toContain("lactic-culture"));
});

describe("what is in a batch", () => {
  it("adds up over what went in", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            ingredient: fc.constantFrom(
              "molasses" as const,
              "castings" as const,
              "sea-salt" as const,
              "kelp-meal" as const,
            ),
            amount: fc.double({ min: 0.01, max: 50, noNaN: true }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (used) => {
          const whole = batchContent(TEA, used, 100).gPerL;
          for (const nutrient of NUTRIENT_IDS) {
            const parts = used.reduce((sum, line) => sum + batchContent(TEA, [line], 100).gPerL[nutrient].default, 0);
            expect(whole[nutrient].default).toBeCloseTo(parts, 8);
            expect(whole[nutrient].low).toBeLessThanOrEqual(whole[nutrient].default);
            expect(whole[nutrient].default).toBeLessThanOrEqual(whole[nutrient].high);
          }
        },
      ),
    );
  });
  it.each(recipes)(
    "%s, %s: holds no more of anything than went in, and as much to the litre at any size",
    (_m, _s, recipe) => {
      const at = (vesselL: number) => {
        const { lines, basisAmount } = scaleRecipe({ recipe, vesselL });
        return batchContent(
          recipe,
          lines.filter(({ follows }) => follows === "batch"),
          basisAmount * recipe.yieldPerBasis.default,
        );
      };
      for (const nutrient of NUTRIENT_IDS) {
        expect(at(20).gPerL[nutrient].default).toBeCloseTo(at(1000).gPerL[nutrient].default, 6);
        expect(at(200).gPerL[nutrient].high).toBeLessThan(1500);
      }
    },
  );
  it("takes liquids and salt whole, of solids what the process draws out, of sugar what is left", () => {
    const n = batchContent(TEA, [{ ingredient: "castings", amount: 10 }], 100).gPerL.n.default;
    // 10 kg of castings at 1 % are 100 g of nitrogen; the tea draws its share out of them, into 100 L.
    expect(n).toBeCloseTo((100 * TEA.drawsOut.minerals.default) / 100, 9);
    const na = batchContent(TEA, [{ ingredient: "sea-salt", amount: 1 }], 100).gPerL.na.default;
    expect(na).toBeCloseTo(3.8, 9);
    const sugar = batchContent(TEA, [{ ingredient: "white-sugar", amount: 1 }], 100).gPerL.sugar.default;
    expect(sugar).toBeCloseTo(10 * TEA.drawsOut.sugarLeft.default, 9);
  });
  it("takes the calcium of shell in vinegar from its chemistry: 16.7 g to the litre of 5 %", () => {
    const used = [
      { ingredient: "vinegar" as const, amount: 4 },
      { ingredient: "eggshell" as const, amount: 1 },
    ];
    const { ca } = batchContent(findRecipe("shell-calcium"), used, 3.7).gPerL;
    expect(ca.default).toBeCloseTo(16.7, 1);
    expect(ca.low).toBeCloseTo(13.3, 1);
  });
  it("lets a laboratory's figure stand in place of its own", () => {
    const content = batchContent(TEA, [{ ingredient: "castings", amount: 10 }], 100, { n: 0.42 });
    expect(content.gPerL.n).toEqual({ low: 0.42, default: 0.42, high: 0.42 });
    expect(content.measured).toEqual(["n"]);
  });
  it("names what it has no figures for, and refuses a yield of nothing", () => {
    expect(batchContent(TEA, [{ ingredient: "lactic-culture", amount: 1 }], 10).unknown).toEqual(["lactic-culture"]);
    expect(() => batchContent(TEA, [], 0)).toThrow('not-positive {"what":"yield"');
  });
});

describe("what reaches the ground", () => {
  const salty = batchContent(findRecipe("leaf-mould-brew"), [{ ingredient: "sea-salt", amount: 0.09 }], 100);
  it("is the mix's share, times what is poured", () => {
    const mix = mixContent(salty, 19);
    expect(mix.gPerL.na.default).toBeCloseTo(salty.gPerL.na.default / 20, 12);
    expect(soilLoad(salty, 19, 2).sodiumGPerM2.default).toBeCloseTo(mix.gPerL.na.default * 2, 12);
  });
  it("says sodium as common salt: 90 g in 100 L poured neat at 2 L/m² leave about 1.7 g", () =>
    expect(soilLoad(salty, 0, 2).saltGPerM2.default).toBeCloseTo(1.74, 2));
  it("is less the weaker it goes on", () =>
    expect(soilLoad(salty, 100, 2).saltGPerM2.high).toBeLessThan(soilLoad(salty, 10, 2).saltGPerM2.low));
});
