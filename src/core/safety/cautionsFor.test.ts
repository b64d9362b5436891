import { findRecipe, METHODS } from "../book";
import { CAUTIONS_SHOWN, cautionsFor } from "./cautionsFor";

const of = (methodId: string, filledL: number | null = 100, school?: string) => {
  const recipe = findRecipe(methodId, school);
  return cautionsFor(recipe, {
    filledL,
    ingredients: recipe.ingredients.filter(({ optional }) => !optional).map(({ ingredient }) => ingredient),
  });
};

describe("the cautions of a work", () => {
  it("speak of no cloth where a lock is worn, and of no lock where cloth is", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools) {
        const cautions = of(id, 100, school.id);
        expect([id, cautions.includes("gas-pressure") && cautions.includes("breathable-lid")]).toEqual([id, false]);
      }
    expect(of("plant-juice")).toContain("breathable-lid");
    expect(of("cultured-extract")).toContain("gas-pressure");
  });
  it("begin with what harms most: current, dung, acid", () => {
    expect(of("aerated-tea")[0]).toBe("electricity-at-water");
    expect(of("drum-manure-tea").slice(0, CAUTIONS_SHOWN)).toContain("manure");
    expect(of("shell-calcium").slice(0, CAUTIONS_SHOWN)).toEqual(["acid-gas", "acid-hands", "strong-vinegar"]);
  });
  it("leave out lifting and drowning for a jar, and bring them for a drum", () => {
    expect(of("leaf-soak", 2)).not.toContain("lifting");
    expect(of("leaf-soak", 2)).not.toContain("drowning");
    expect(of("leaf-soak", 200)).toEqual(expect.arrayContaining(["lifting", "drowning"]));
  });
  it("follow what goes in: milk, shells, dung", () => {
    expect(of("lactic-serum", 10, "milk")).toContain("milk");
    expect(of("lactic-serum", 10, "salted-rice")).not.toContain("milk");
    expect(of("dung-flour-ferment")).toEqual(expect.arrayContaining(["manure", "wounds", "tank-gas"]));
  });
});
