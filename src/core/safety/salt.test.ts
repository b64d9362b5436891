import { findRecipe, METHODS } from "../book";
import { scaleRecipe } from "../recipe/scale";
import { tooSalty } from "./salt";

describe("salt in a fill", () => {
  const brew = findRecipe("leaf-mould-brew");
  const fill = (saltKg: number) => [
    { ingredient: "water" as const, amount: 100 },
    { ingredient: "sea-salt" as const, amount: saltKg },
  ];
  it("is capped at what growers use: a tablespoon to the litre is far above it", () => {
    expect(tooSalty(brew, fill(0.1))).toBeNull();
    expect(tooSalty(brew, fill(1.8))).toEqual({ gPerL: 18, mostGPerL: 1 });
    expect(tooSalty(findRecipe("cultured-extract"), fill(0.5))).toMatchObject({ gPerL: 5, mostGPerL: 1 });
  });
  it("is not spoken of where there is none", () => {
    expect(tooSalty(brew, [{ ingredient: "water", amount: 100 }])).toBeNull();
    expect(tooSalty(brew, [{ ingredient: "sea-salt", amount: 1 }])).toBeNull();
  });
  it("never speaks against what a recipe itself asks for, in any vessel", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools)
        for (const vesselL of [3, 20, 114, 1000]) {
          const recipe = findRecipe(id, school.id);
          const stated = recipe.ingredients
            .filter(({ amount }) => amount.type === "unknown")
            .map(({ ingredient }) => ({ ingredient, amount: 0.01 }));
          const { lines } = scaleRecipe({ recipe, vesselL, stated });
          expect([id, vesselL, tooSalty(recipe, lines)]).toEqual([id, vesselL, null]);
        }
  });
});
