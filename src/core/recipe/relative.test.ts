import { findRecipe } from "../book";
import { relativeAmounts } from "./relative";

const line = (ingredientId: string, planned: number, used: number) => ({ ingredientId, planned, used });

describe("what went in against the recipe", () => {
  it("counts food and culture, not water nor plant", () => {
    const lines = [
      line("water", 100, 100),
      line("molasses", 1, 0.5),
      line("lactic-culture", 1, 2),
      line("plant", 0.3, 3),
    ];
    expect(relativeAmounts(findRecipe("cultured-extract"), lines)).toEqual({ sugar: 0.5, inoculum: 2 });
  });
  it("counts starch as food, rice wash as the culture of milk, and vinegar against shell", () => {
    expect(
      relativeAmounts(findRecipe("leaf-mould-brew"), [line("potato", 1, 1.5), line("leaf-mould", 0.1, 0.1)]),
    ).toEqual({ sugar: 1.5, inoculum: 1 });
    expect(
      relativeAmounts(findRecipe("lactic-serum", "milk"), [line("milk", 10, 10), line("rice-wash", 1, 2)]),
    ).toMatchObject({ inoculum: 2 });
    expect(relativeAmounts(findRecipe("shell-calcium"), [line("vinegar", 4, 8), line("eggshell", 1, 1)])).toEqual({
      lPerKg: 8,
    });
  });
  it("says nothing of what the recipe does not have", () =>
    expect(relativeAmounts(findRecipe("milk-spray"), [line("water", 10, 10)])).toEqual({}));
});
