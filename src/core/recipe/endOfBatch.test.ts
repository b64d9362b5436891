import { findRecipe, METHODS } from "../book";
import { INGREDIENT_IDS } from "../book/ingredients";
import fc from "fast-check";
import { adviseResidue, foulsFood, leavesOf, RESIDUE_TO, RESIDUES } from "./residue";
import { strainSchedule } from "./straining";

const RECIPES = METHODS.map(({ id }) => findRecipe(id));
const anyMade = fc.record({
  recipe: fc.constantFrom(...RECIPES),
  used: fc.array(
    fc.record({
      ingredient: fc.constantFrom(...INGREDIENT_IDS),
      amount: fc.double({ min: 0.01, max: 500, noNaN: true }),
    }),
    { maxLength: 6 },
  ),
});

describe("what a batch leaves", () => {
  it("never sends first where it makes ill, and always knows a way out", () => {
    fc.assert(
      fc.property(anyMade, fc.constantFrom(...RESIDUES), (made, residue) => {
        const { to } = adviseResidue(made, residue);
        expect(to.length).toBeGreaterThan(1);
        expect(new Set(to).size).toBe(to.length);
        if (residue !== "shell" && residue !== "curd")
          for (const place of to.slice(0, 2)) expect(foulsFood(made, place)).toBe(false);
      }),
    );
  });
  it("names each thing once, with what is kept apart from what is spent", () => {
    fc.assert(
      fc.property(anyMade, (made) => {
        const left = leavesOf(made).map(({ what }) => what);
        expect(new Set(left).size).toBe(left.length);
        expect(left).toContain("rinse");
      }),
    );
  });
  it("keeps dung and urine off beds, beasts and mulch, and nothing else", () => {
    const of = (ingredient: "dung-fresh" | "castings") => ({
      recipe: findRecipe("drum-manure-tea"),
      used: [{ ingredient, amount: 5 }],
    });
    expect(RESIDUE_TO.filter((to) => foulsFood(of("dung-fresh"), to))).toEqual(["under-mulch", "dug-in", "animals"]);
    expect(RESIDUE_TO.filter((to) => foulsFood(of("castings"), to))).toEqual([]);
  });
  it("tells how much shell serves again: what the acid could not take", () => {
    const recipe = findRecipe("shell-calcium");
    const shellOf = (shellKg: number) =>
      adviseResidue(
        {
          recipe,
          used: [
            { ingredient: "vinegar", amount: 10 },
            { ingredient: "eggshell", amount: shellKg },
          ],
        },
        "shell",
      );
    // 10 L at 5 % hold 8.33 mol of acid, which take 4.16 mol or 417 g of carbonate: 439 g of shell at 95 %.
    const [advice] = shellOf(1).advice;
    expect(advice).toMatchObject({ code: "shell-serves-again" });
    expect(advice?.code === "shell-serves-again" && advice.leftKg).toBeCloseTo(0.561, 2);
    expect(shellOf(0.3)).toMatchObject({ advice: [{ code: "spent" }] });
    expect(shellOf(0.3).to[0]).toBe("nothing-left");
  });
  it("saves worms before castings go anywhere", () => {
    const made = { recipe: findRecipe("aerated-tea"), used: [{ ingredient: "castings", amount: 3 } as const] };
    expect(adviseResidue(made, "solids").advice.map(({ code }) => code)).toContain("rescue-worms");
  });
});

describe("how long it drains", () => {
  const LIQUIDS = RECIPES.filter(({ yieldUnit }) => yieldUnit === "L");
  it("goes on in order, never gives less than before, and ends at the usual yield", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIQUIDS),
        fc.double({ min: 0.2, max: 2000, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (recipe, usual, least) => {
          const steps = strainSchedule(recipe, { low: usual * least, default: usual, high: usual * 1.2 });
          expect(steps[0]).toMatchObject({ code: "hang", atMin: 0 });
          expect(steps.at(-1)!.offL).toBeCloseTo(usual, 6);
          steps.slice(1).forEach((step, index) => {
            expect(step.atMin).toBe(steps[index]!.atMin + steps[index]!.waitMin);
            expect(step.offL).toBeGreaterThanOrEqual(steps[index]!.offL - 1e-9);
          });
        },
      ),
    );
  });
  it("lets sap hang for hours and squeezes a sack of castings soon: what lives is not left hanging", () => {
    const pail = { low: 12, default: 20, high: 22 };
    expect(strainSchedule(findRecipe("plant-juice"), pail)).toEqual([
      { code: "hang", atMin: 0, waitMin: 480, offL: 20 },
    ]);
    const tea = strainSchedule(findRecipe("aerated-tea"), pail);
    expect(tea.map(({ code }) => code)).toEqual(["hang", "squeeze", "press"]);
    expect(tea.at(-1)!.atMin).toBeLessThanOrEqual(20);
  });
});
