import fc from "fast-check";
import { findRecipe, METHODS } from "../book";
import { USES } from "../book/uses";
import { expectedYield } from "../recipe/expectedYield";
import { scaleRecipe } from "../recipe/scale";
import { batchContent } from "../recipe/composition";
import {
  addBrought,
  BROUGHT,
  broughtPerL,
  CEILINGS,
  ceilingCautions,
  filledBy,
  NOTHING_BROUGHT,
  timesBrought,
} from "./brought";
import { estimateMix } from "./mixEstimate";
import { isSolid, litresForParts, partsOfBed } from "./solids";
import { ELSEWHERE_KINDS, rateFor, usesOn } from "./elsewhere";

const RECIPES = METHODS.map(({ id }) => findRecipe(id)).filter(({ yieldUnit }) => yieldUnit === "L");
const amounts = fc.record({
  n: fc.double({ min: 0, max: 50, noNaN: true }),
  k2o: fc.double({ min: 0, max: 50, noNaN: true }),
  salt: fc.double({ min: 0, max: 50, noNaN: true }),
  sugar: fc.double({ min: 0, max: 50, noNaN: true }),
  acid: fc.double({ min: 0, max: 50, noNaN: true }),
});

describe("what adds up on a plot", () => {
  it("adds in any order, and a larger plot is less full", () => {
    fc.assert(
      fc.property(amounts, amounts, fc.double({ min: 0.5, max: 500, noNaN: true }), (a, b, areaM2) => {
        const sum = addBrought(a, b);
        for (const what of BROUGHT) {
          expect(sum[what]).toBeCloseTo(addBrought(b, a)[what], 9);
          const share = (m2: number) => filledBy(sum, m2).find((one) => one.what === what)!.share;
          expect(share(areaM2 * 2)).toBeCloseTo(share(areaM2) / 2, 9);
        }
      }),
    );
  });
  it("speaks exactly where a ceiling is passed by what is added, and names the fullest plot", () => {
    fc.assert(
      fc.property(amounts, amounts, (soFarG, addsG) => {
        const plots = [
          { name: "near", areaM2: 10, soFarG, addsG },
          { name: "far", areaM2: 20, soFarG, addsG },
        ];
        const spoken = ceilingCautions(plots);
        for (const what of BROUGHT) {
          const gPerM2 = (soFarG[what] + addsG[what]) / 10;
          const passes = gPerM2 > CEILINGS[what].gPerM2 && addsG[what] / 10 >= 0.01 * CEILINGS[what].gPerM2;
          expect(spoken.some((one) => one.what === what)).toBe(passes);
        }
        for (const { plot } of spoken) expect(plot).toBe("near");
      }),
    );
  });
  it("does not bar a thin dose from a bed that is full for another reason", () => {
    const full = { name: "bed", areaM2: 10, soFarG: { ...NOTHING_BROUGHT, salt: 900 }, addsG: NOTHING_BROUGHT };
    expect(ceilingCautions([full])).toEqual([]);
    expect(ceilingCautions([{ ...full, addsG: { ...NOTHING_BROUGHT, salt: 20 } }])).toMatchObject([
      { what: "salt", gPerM2: 92, ceilingGPerM2: 45, source: "irrigation-water" },
    ]);
  });
  it("is not filled up by what the book itself proposes, once, on a bed that got nothing yet", () => {
    for (const recipe of RECIPES) {
      const scaled = scaleRecipe({
        recipe,
        vesselL: 200,
        stated: recipe.ingredients
          .filter(({ amount }) => amount.type === "unknown")
          .map(({ ingredient }) => ({ ingredient, amount: 0.01 })),
      });
      const content = batchContent(
        recipe,
        scaled.lines,
        expectedYield(recipe, scaled.basisAmount, scaled.lines).default,
      );
      for (const { use, partsWater } of recipe.uses.filter((rate) => rate.use !== "compost")) {
        const litres = (USES[use].mixLPerM2?.default ?? 0) / (1 + partsWater.default);
        const full = filledBy(timesBrought(broughtPerL(content, isSolid(recipe)), litres), 1)[0]!;
        expect({ method: recipe.id, use, what: full.what, over: full.share > 1 }).toMatchObject({ over: false });
      }
    }
  });
  it("counts salt by its sodium", () => {
    const content = batchContent(findRecipe("lactic-serum"), [{ ingredient: "sea-salt", amount: 1 }], 100);
    // A kilogram of sea salt in 100 L is about 10 g to the litre.
    expect(broughtPerL(content, false).salt).toBeGreaterThan(8);
    expect(broughtPerL(content, false).salt).toBeLessThan(11);
    expect(timesBrought(broughtPerL(content, false), 2).salt).toBeCloseTo(broughtPerL(content, false).salt * 2, 9);
  });
});

describe("what a mix is about", () => {
  const serum = batchContent(findRecipe("lactic-serum"), [{ ingredient: "sea-salt", amount: 1.5 }], 100);
  const read = { content: serum, ph: 3.6 };
  it("nears water as it is thinned, whatever it is made of, and stays between the two", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...RECIPES.map(({ id }) => id)),
        fc.double({ min: 3, max: 8, noNaN: true }),
        fc.integer({ min: 0, max: 900 }),
        (id, ph, partsWater) => {
          const content = batchContent(findRecipe(id), [], 100);
          const at = (parts: number) => estimateMix({ content, ph }, parts, "soil");
          const [strong, weak] = [at(partsWater), at(partsWater * 2 + 1)];
          const toWater = (ec: number) => Math.abs(ec - at(1e7).ecMsPerCm.default);
          expect(toWater(weak.ecMsPerCm.default)).toBeLessThanOrEqual(toWater(strong.ecMsPerCm.default) + 1e-9);
          for (const range of [strong.ph, strong.ecMsPerCm]) {
            expect(range.low).toBeLessThanOrEqual(range.default + 1e-6);
            expect(range.default).toBeLessThanOrEqual(range.high + 1e-6);
          }
          expect(at(100_000).ph.default).toBeCloseTo(7.5, 1);
          expect(at(0).ph.default).toBeCloseTo(ph, 1);
        },
      ),
    );
  });
  it("warns of a sour mix on leaves, and of a salty one on seedlings first", () => {
    expect(estimateMix(read, 1, "leaves").warnings.map(({ code }) => code)).toContain("sour-mix");
    expect(estimateMix(read, 1000, "leaves").warnings).toEqual([]);
    const salty = { content: serum, ph: 6 };
    expect(estimateMix(salty, 20, "seedlings").warnings.map(({ code }) => code)).toContain("salty-mix");
    expect(estimateMix(salty, 20, "soil").warnings.map(({ code }) => code)).not.toContain("salty-mix");
  });
});

describe("solids by volume", () => {
  it("turn litres to the square metre into parts of the bed and back", () => {
    expect(partsOfBed(4, 0.15)).toBe(37.5);
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0.01, max: 0.6, noNaN: true }),
        (litres, depthM) => expect(litresForParts(partsOfBed(litres, depthM), depthM)).toBeCloseTo(litres, 9),
      ),
    );
  });
});

describe("where nothing is drawn", () => {
  it("offers no use without a strength, and never a stronger one than the like of it", () => {
    for (const recipe of RECIPES)
      for (const kind of ELSEWHERE_KINDS)
        for (const use of usesOn(recipe, [kind])) {
          const rate = rateFor(recipe, use)!;
          expect(rate.partsWater.strongest).toBeLessThanOrEqual(rate.partsWater.default);
          expect(rate.partsWater.default).toBeLessThanOrEqual(rate.partsWater.weakest);
        }
  });
  it("gives pots indoors what seedlings get, or the weakest drench", () => {
    const extract = findRecipe("cultured-extract");
    const drench = extract.uses.find(({ use }) => use === "drench-growing")!;
    const seedling = extract.uses.find(({ use }) => use === "seedling");
    expect(rateFor(extract, "houseplants")!.partsWater.default).toBe(
      seedling?.partsWater.default ?? drench.partsWater.weakest,
    );
  });
});
