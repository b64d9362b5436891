import fc from "fast-check";
import { findMethod, findRecipe, findSchool, METHODS } from "../book";
import { DomainError } from "../errors";
import { occupiedLitres } from "./room";
import { scaleRecipe, type ScaleRequest } from "./scale";

const requestFor = (methodId: string, schoolId: string | undefined, vesselL: number): ScaleRequest => ({
  recipe: findRecipe(methodId, schoolId),
  vesselL,
});
const amountOf = (request: ScaleRequest, ingredient: string, part = "mix") =>
  scaleRecipe(request).lines.find((line) => line.ingredient === ingredient && line.part === part)!.amount;
const codeOf = (run: () => unknown) => {
  try {
    run();
    return "no refusal";
  } catch (error) {
    return error instanceof DomainError ? error.code : "not a DomainError";
  }
};
const schools = METHODS.flatMap((method) => method.schools.map((school) => [method.id, school.id] as const));

describe("scaling", () => {
  it.each(schools)("%s, %s: 20, 200 and 1000 L keep their headspace", (methodId, schoolId) => {
    for (const vesselL of [20, 200, 1000]) {
      const recipe = scaleRecipe(requestFor(methodId, schoolId, vesselL));
      expect(recipe.occupiedL).toBeLessThanOrEqual(recipe.fillLineL + 1e-9);
      expect(recipe.limitedBy).toBe("vessel");
      expect(recipe.headspaceL).toBeGreaterThan(0.09 * vesselL);
    }
  });

  it.each(schools)("%s, %s: keeps its ratios at any size", (methodId, schoolId) => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 5000, noNaN: true }), (vesselL) => {
        const mixOf = (size: number) => {
          const recipe = scaleRecipe(requestFor(methodId, schoolId, size));
          return recipe.lines
            .filter(({ follows }) => follows === "batch")
            .map(({ amount }) => amount / recipe.basisAmount);
        };
        mixOf(vesselL).forEach((ratio, index) => expect(ratio).toBeCloseTo(mixOf(200)[index]!, 9));
      }),
    );
  });

  it("follows the ingredient that runs out first, and names it", () => {
    const recipe = scaleRecipe({
      ...requestFor("aerated-tea", "bacterial", 200),
      limits: [
        { ingredient: "castings", amount: 4 },
        { ingredient: "molasses", amount: 0.6 },
      ],
    });
    expect(recipe.limitedBy).toBe("castings");
    expect(recipe.basisAmount).toBeCloseTo(100, 9);
  });

  it("never breaks a limit", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 0.01, max: 20, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (vesselL, castings, molasses) => {
          const recipe = scaleRecipe({
            ...requestFor("aerated-tea", "bacterial", vesselL),
            limits: [
              { ingredient: "castings", amount: castings },
              { ingredient: "molasses", amount: molasses },
            ],
          });
          const used = (id: string) =>
            recipe.lines.filter(({ ingredient }) => ingredient === id).reduce((sum, line) => sum + line.amount, 0);
          expect(used("castings")).toBeLessThanOrEqual(castings * (1 + 1e-9));
          expect(used("molasses")).toBeLessThanOrEqual(molasses * (1 + 1e-9));
          expect(recipe.occupiedL).toBeLessThanOrEqual(recipe.fillLineL * (1 + 1e-9));
        },
      ),
    );
  });

  it("grows the sugar cap with the vessel's width, not with the batch", () => {
    const whole = requestFor("plant-juice", "equal-weight", 30);
    const half = { ...whole, limits: [{ ingredient: "plant" as const, amount: 2 }] };
    expect(amountOf(whole, "brown-sugar", "cap")).toBeCloseTo(amountOf(half, "brown-sugar", "cap"), 12);
    // A jar of 30 L, 1.4 times as high as wide, is 0.301 m across: 5 mm over it is 0.356 L, 0.303 kg at 0.85 kg/L.
    expect(amountOf(whole, "brown-sugar", "cap")).toBeCloseTo(0.303, 3);
  });

  it("counts the room that amounts changed by hand take up", () => {
    const recipe = scaleRecipe(requestFor("aerated-tea", "bacterial", 200));
    expect(occupiedLitres(findRecipe("aerated-tea"), recipe.lines)).toBeCloseTo(recipe.occupiedL, 9);
  });

  it("swaps sugars by their sugar, and nothing else", () => {
    const swapped = scaleRecipe({
      ...requestFor("cultured-extract", undefined, 200),
      targetBasis: 100,
      substitutes: [{ instead: "molasses", use: "white-sugar" }],
    });
    // 1 L of molasses at 1.4 kg/L and 62 % sugar holds 0.868 kg.
    expect(swapped.lines.find(({ ingredient }) => ingredient === "white-sugar")!.amount).toBeCloseTo(0.868, 9);
    expect(
      codeOf(() =>
        scaleRecipe({
          ...requestFor("cultured-extract", undefined, 200),
          substitutes: [{ instead: "molasses", use: "vinegar" }],
        }),
      ),
    ).toBe("no-substitute");
  });

  it.each([
    ["a drum of five million litres", { vesselL: 5_000_000 }, "out-of-range"],
    ["no vessel", { vesselL: 0 }, "out-of-range"],
    ["a vessel of less than nothing", { vesselL: -20 }, "out-of-range"],
    ["more headspace than vessel", { headspaceL: 300 }, "no-room"],
    ["headspace below nothing", { headspaceL: -1 }, "negative"],
    ["more water than the vessel takes", { targetBasis: 190 }, "over-brim"],
    ["no water wanted", { targetBasis: 0 }, "not-positive"],
    ["a limit of nothing", { limits: [{ ingredient: "molasses" as const, amount: 0 }] }, "not-positive"],
    [
      "a limit on what is no part of it",
      { limits: [{ ingredient: "vinegar" as const, amount: 1 }] },
      "ingredient-not-in-method",
    ],
  ])("refuses %s", (_what, change, code) => {
    expect(codeOf(() => scaleRecipe({ ...requestFor("cultured-extract", undefined, 200), ...change }))).toBe(code);
  });
});

describe("the usual", () => {
  it.each(METHODS.map((method) => [method.id, method] as const))(
    "%s names only words, uses and schools that exist, in ranges that hold their default",
    (_id, method) => {
      expect(method.schools.map(({ id }) => id)).toContain(method.cautiousSchool);
      for (const school of method.schools) {
        for (const { amount } of school.ingredients) {
          if (amount.type === "unknown") {
            expect(amount.ask).toMatch(/\?/);
            continue;
          }
          const range =
            amount.type === "per-basis" ? amount.perBasis : amount.type === "fixed" ? amount.amount : amount.thicknessM;
          expect(range.low).toBeLessThanOrEqual(range.default);
          expect(range.default).toBeLessThanOrEqual(range.high);
        }
        for (const { partsWater } of school.uses) {
          expect(partsWater.strongest).toBeLessThanOrEqual(partsWater.default);
          expect(partsWater.default).toBeLessThanOrEqual(partsWater.weakest);
        }
      }
      expect(method.cautions).toContain("not-for-people");
    },
  );
  it("refuses a school that does not exist, and lists those that do", () => {
    expect(() => findSchool(findMethod("plant-juice"), "quarter-weight")).toThrow(
      'unknown-school {"id":"quarter-weight","method":"plant-juice","known":["equal-weight","half-weight"]}',
    );
  });
});
