import fc from "fast-check";
import { METHODS } from "../book";
import { findIngredient, type IngredientId } from "../book/ingredients";
import { recipeOf, type Recipe } from "../book/recipe";
import { substitutesFor } from "../book/substitutes";
import { DomainError } from "../errors";
import { occupiedLitres, roomLPerUnit } from "./room";
import { scaleRecipe, VESSEL_L } from "./scale";
import { splitOver } from "./split";

const RECIPES = METHODS.flatMap((method) => method.schools.map((school) => recipeOf(method, school)));
const anyRecipe = fc.constantFrom(...RECIPES);
const anyVessel = fc.double({ min: 2, max: 5000, noNaN: true });
/** What a recipe may be limited by. */
const scarceOf = (recipe: Recipe): IngredientId[] => [
  ...new Set(
    recipe.ingredients
      .filter(({ amount, optional }) => amount.type === "per-basis" && !optional)
      .map(({ ingredient }) => ingredient),
  ),
];
const amountOf = (lines: readonly { ingredient: IngredientId; amount: number }[], id: IngredientId) =>
  lines.filter(({ ingredient }) => ingredient === id).reduce((sum, { amount }) => sum + amount, 0);

describe("every recipe, whatever it is scaled by", () => {
  it("never breaks a limit, nor the fill line, and is bound by something", () => {
    fc.assert(
      fc.property(
        anyRecipe,
        anyVessel,
        fc.array(fc.double({ min: 0.01, max: 400, noNaN: true }), { maxLength: 4 }),
        (recipe, vesselL, given) => {
          const limits = scarceOf(recipe)
            .slice(0, given.length)
            .map((ingredient, index) => ({ ingredient, amount: given[index]! }));
          let scaled;
          try {
            scaled = scaleRecipe({ recipe, vesselL, limits });
          } catch (error) {
            // A cap may want more than the whole limit; that is refused in words.
            expect(error).toBeInstanceOf(DomainError);
            return;
          }
          for (const { ingredient, amount } of limits)
            expect(amountOf(scaled.lines, ingredient)).toBeLessThanOrEqual(amount * (1 + 1e-9));
          expect(scaled.occupiedL).toBeLessThanOrEqual(scaled.fillLineL * (1 + 1e-9));
          expect(scaled.basisAmount).toBeCloseTo(scaled.bounds[0]!.basisAmount, 9);
          expect(scaled.bounds.every(({ basisAmount }) => basisAmount >= scaled.basisAmount - 1e-9)).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });
  it("takes up what its lines take up, liquid and solids together", () => {
    fc.assert(
      fc.property(anyRecipe, anyVessel, (recipe, vesselL) => {
        const { lines, occupiedL, liquidL, solidsL, headspaceL, fillShare } = scaleRecipe({ recipe, vesselL });
        expect(occupiedLitres(recipe, lines)).toBeCloseTo(occupiedL, 6);
        expect(headspaceL + occupiedL).toBeCloseTo(vesselL, 6);
        expect(fillShare).toBeCloseTo(occupiedL / vesselL, 9);
        const liquidRoom = lines
          .filter(({ unit }) => unit === "L")
          .reduce((sum, { ingredient, amount }) => sum + amount * roomLPerUnit(recipe, ingredient), 0);
        expect(liquidRoom + solidsL).toBeCloseTo(occupiedL, 6);
        expect(liquidL).toBeGreaterThanOrEqual(liquidRoom - 1e-9);
      }),
      { numRuns: 200 },
    );
  });
  it("scaled to an amount and then to that amount's lines is itself", () => {
    fc.assert(
      fc.property(anyRecipe, anyVessel, fc.double({ min: 0.05, max: 1, noNaN: true }), (recipe, vesselL, share) => {
        const full = scaleRecipe({ recipe, vesselL });
        const part = scaleRecipe({ recipe, vesselL, targetBasis: full.basisAmount * share });
        const back = scaleRecipe({ recipe, vesselL, targetBasis: part.basisAmount / share });
        back.lines.forEach((line, index) => expect(line.amount).toBeCloseTo(full.lines[index]!.amount, 6));
        part.lines
          .filter(({ follows }) => follows === "batch")
          .forEach((line) => {
            const whole = full.lines.find((other) => other.slot === line.slot && other.part === line.part)!;
            expect(line.amount).toBeCloseTo(whole.amount * share, 6);
          });
      }),
      { numRuns: 200 },
    );
  });
  it("keeps each dose inside what growers use, at any size", () => {
    fc.assert(
      fc.property(anyRecipe, anyVessel, (recipe, vesselL) => {
        for (const { low, amount, high, dosePerL } of scaleRecipe({ recipe, vesselL }).lines) {
          expect(low).toBeLessThanOrEqual(amount * (1 + 1e-9));
          expect(amount).toBeLessThanOrEqual(high * (1 + 1e-9));
          expect(Number.isFinite(dosePerL)).toBe(true);
        }
      }),
    );
  });
  it("loses nothing when it is spread over vessels", () => {
    fc.assert(
      fc.property(
        anyRecipe,
        fc.array(anyVessel, { minLength: 1, maxLength: 5 }),
        fc.double({ min: 0.1, max: 2000, noNaN: true }),
        (recipe, sizes, wanted) => {
          const vessels = sizes.map((vesselL, index) => ({ id: String(index), vesselL, diameterM: null }));
          const { parts, left } = splitOver({ recipe }, vessels, wanted);
          expect(parts.reduce((sum, { scaled }) => sum + scaled.basisAmount, 0) + left).toBeCloseTo(wanted, 5);
          expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
        },
      ),
      { numRuns: 150 },
    );
  });
  it.each(RECIPES.map((recipe) => [recipe.id, recipe.school.id, recipe] as const))(
    "%s, %s: can be made with any of its stand-ins",
    (_m, _s, recipe) => {
      for (const instead of scarceOf(recipe).filter((id) => id !== recipe.basis)) {
        for (const { use, factor } of substitutesFor(instead)) {
          const target = scaleRecipe({ recipe, vesselL: 1000 }).basisAmount * 0.5;
          const book = scaleRecipe({ recipe, vesselL: 1000, targetBasis: target });
          const swapped = scaleRecipe({ recipe, vesselL: 1000, targetBasis: target, substitutes: [{ instead, use }] });
          const inBook = book.lines.filter(({ slot, part }) => slot === instead && part === "mix");
          const now = swapped.lines.filter(({ slot, part }) => slot === instead && part === "mix");
          expect(now.map(({ ingredient }) => ingredient)).toEqual(inBook.map(() => use));
          expect(now[0]!.amount).toBeCloseTo(inBook[0]!.amount * factor, 6);
          expect(now[0]!.unit).toBe(findIngredient(use).stockUnit);
          expect(swapped.swaps).toContainEqual(expect.objectContaining({ instead, use }));
        }
      }
    },
  );
  it.each([
    [0, "out-of-range"],
    [-20, "out-of-range"],
    [NaN, "out-of-range"],
    [Infinity, "out-of-range"],
    [VESSEL_L.max * 2, "out-of-range"],
  ])("refuses a vessel of %d L, every one of them", (vesselL, code) => {
    for (const recipe of RECIPES) {
      try {
        scaleRecipe({ recipe, vesselL });
        throw new Error("It was not refused.");
      } catch (error) {
        expect(error).toBeInstanceOf(DomainError);
        expect((error as DomainError).code).toBe(code);
      }
    }
  });
});
