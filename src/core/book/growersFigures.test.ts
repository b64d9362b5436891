import { scaleRecipe } from "../recipe/scale";
import { CAUTIONS } from "./cautions";
import { GOALS } from "./goals";
import { findRecipe, makerOf, METHODS } from "./index";
import type { IngredientId } from "./ingredients";

/** Usual dose of an ingredient in a recipe, to one of its basis. */
function dose(methodId: string, schoolId: string, ingredient: IngredientId): number {
  const { lines, basisAmount } = scaleRecipe({ recipe: findRecipe(methodId, schoolId), vesselL: 200 });
  const own = lines.filter((line) => line.ingredient === ingredient && line.part === "mix");
  return own.reduce((sum, { amount }) => sum + amount, 0) / basisAmount;
}

/** What growers put in: from and to, to one of what the recipe is counted against. */
const DOSES: readonly (readonly [
  method: string,
  school: string,
  ingredient: IngredientId,
  from: number,
  to: number,
])[] = [
  ["aerated-tea", "bacterial", "castings", 0.025, 0.05],
  ["aerated-tea", "bacterial", "molasses", 0.00025, 0.005],
  ["aerated-tea", "chitin", "shell-meal", 0.0008, 0.0012],
  ["leachate-bloom", "standard", "leachate", 0.02, 0.05],
  ["leachate-bloom", "standard", "molasses", 0.004, 0.006],
  ["leaf-mould-brew", "standard", "sea-salt", 0.00075, 0.001],
  ["leaf-mould-brew", "standard", "leaf-mould", 0.004, 0.008],
  ["lactic-serum", "salted-rice", "sea-salt", 0.015, 0.018],
  ["lactic-serum", "salted-rice", "brown-sugar", 0.025, 0.03],
  ["lactic-serum", "milk", "rice-wash", 0.09, 0.11],
  ["cultured-extract", "equal-parts", "molasses", 0.01, 0.01],
  ["cultured-extract", "equal-parts", "lactic-culture", 0.01, 0.02],
  ["legume-leaf-ferment", "standard", "legume-leaf", 0.1, 0.33],
  ["legume-leaf-ferment", "standard", "local-starter", 0.03, 0.035],
  ["plant-juice", "equal-weight", "brown-sugar", 0.95, 1.05],
  ["plant-juice", "half-weight", "brown-sugar", 0.45, 0.55],
  ["shell-calcium", "four-to-one", "eggshell", 0.25, 0.25],
  ["shell-calcium", "ten-to-one", "eggshell", 0.1, 0.1],
  ["leaf-soak", "standard", "greens", 0.1, 0.3],
  ["dung-flour-ferment", "standard", "dung-aged", 0.09, 0.11],
  ["dung-flour-ferment", "standard", "pulse-flour", 0.045, 0.055],
  ["dung-flour-ferment", "standard", "raw-sugar", 0.045, 0.055],
  ["drum-manure-tea", "standard", "greens", 0.12, 0.15],
  ["drum-manure-tea", "standard", "dung-fresh", 0.12, 0.15],
  ["drum-manure-tea", "standard", "ash", 0.03, 0.04],
  ["charged-char", "standard", "molasses", 0.06, 0.07],
];

describe("growers' figures", () => {
  it.each(DOSES)("%s, %s: %s between %d and %d", (method, school, ingredient, from, to) => {
    const usual = dose(method, school, ingredient);
    expect(usual).toBeGreaterThanOrEqual(from * 0.999);
    expect(usual).toBeLessThanOrEqual(to * 1.001);
  });

  const DILUTIONS: readonly (readonly [string, string, string, number, number])[] = [
    ["aerated-tea", "bacterial", "foliar", 1, 1],
    ["leaf-mould-brew", "standard", "drench-growing", 10, 20],
    ["leaf-mould-brew", "standard", "foliar", 20, 20],
    ["lactic-serum", "salted-rice", "drench-growing", 20, 100],
    ["lactic-serum", "salted-rice", "foliar", 100, 500],
    ["cultured-extract", "equal-parts", "drench-growing", 32, 250],
    ["legume-leaf-ferment", "standard", "foliar", 50, 50],
    ["plant-juice", "equal-weight", "foliar", 500, 1000],
    ["shell-calcium", "four-to-one", "foliar", 500, 1000],
    ["leaf-soak", "standard", "drench-growing", 30, 50],
    ["dung-flour-ferment", "standard", "drench-growing", 10, 10],
    ["drum-manure-tea", "standard", "drench-growing", 1, 20],
    ["char-green-liquid", "standard", "drench-growing", 8, 8],
  ];
  it.each(DILUTIONS)(
    "%s, %s, %s: no stronger than 1:%d, usually 1:%d or weaker",
    (method, school, use, strongest, usual) => {
      const rate = findRecipe(method, school).uses.find((candidate) => candidate.use === use)!;
      expect(rate.partsWater.strongest).toBeGreaterThanOrEqual(strongest);
      expect(rate.partsWater.default).toBeGreaterThanOrEqual(usual);
    },
  );

  it.each([
    ["leaf-soak", "foliar"],
    ["drum-manure-tea", "foliar"],
    ["dung-flour-ferment", "foliar"],
    ["charged-char", "foliar"],
  ])("%s never goes %s: dung and soaks stay off leaves", (method, use) =>
    expect(findRecipe(method).uses.map((rate) => rate.use)).not.toContain(use),
  );
  it("leaves a third of a jar to the foam of shells, and 10 to 20 % to everything that gasses", () => {
    expect(findRecipe("shell-calcium").fillShare.high).toBeLessThanOrEqual(0.67);
    expect(findRecipe("cultured-extract").fillShare.default).toBeCloseTo(0.85, 9);
    expect(findRecipe("plant-juice").fillShare.default).toBeCloseTo(2 / 3, 2);
  });
  it("keeps what the acid, the gas and the dung can do beside the work", () => {
    expect(findRecipe("shell-calcium").cautions).toEqual(expect.arrayContaining(["acid-gas", "acid-hands"]));
    for (const id of ["drum-manure-tea", "dung-flour-ferment", "charged-char"])
      expect(findRecipe(id).cautions).toContain("manure");
    for (const id of ["charged-char", "char-green-liquid", "bran-starter", "crushed-char"])
      expect(findRecipe(id).cautions).toContain("char-dust");
    expect(findRecipe("lactic-serum").cautions).toContain("sodium");
    expect(findRecipe("drum-manure-tea").cautions).toEqual(
      expect.arrayContaining(["urine", "tank-gas", "caustic-ash", "nicotine"]),
    );
  });
  it("asks for what nobody states, and never makes it up", () => {
    const asked = METHODS.flatMap(({ schools }) => schools.flatMap(({ ingredients }) => ingredients)).filter(
      ({ amount }) => amount.type === "unknown",
    );
    expect(asked.length).toBeGreaterThan(5);
    for (const { amount } of asked) {
      expect(amount.type === "unknown" && amount.ask.length).toBeGreaterThan(10);
    }
  });
  it("knows the makers of what is itself made", () => {
    const makers = ["castings", "leaf-mould", "eggshell", "potato-mash", "char", "rice-wash", "lactic-culture"].map(
      (id) => makerOf(id)?.id,
    );
    expect(makers).toEqual([
      "worm-castings",
      "kept-leaf-mould",
      "roasted-shell",
      "boiled-potato",
      "crushed-char",
      "rice-wash",
      "lactic-serum",
    ]);
    expect(makerOf("molasses")).toBeNull();
  });
});

describe.each(METHODS.map((method) => [method.name, method] as const))("%s, told whole", (_name, method) => {
  it("says what it is for, how sure anyone is, what it risks and what it takes of hands", () => {
    expect(method.purpose.length).toBeGreaterThan(10);
    expect(method.sureness.length).toBeGreaterThan(10);
    expect(method.risk.why.length).toBeGreaterThan(5);
    expect(method.work.fillMin).toBeGreaterThan(0);
    for (const { goal, why } of method.goals) {
      expect(Object.keys(GOALS)).toContain(goal);
      expect(why.length).toBeGreaterThan(3);
    }
    expect(method.goals.length).toBeGreaterThan(0);
  });
  it("is told from its likes by sugar, water, air and time", () => {
    for (const says of Object.values(method.lookAlike)) expect(says.length).toBeGreaterThan(2);
    const twins = METHODS.filter(
      (other) => other !== method && JSON.stringify(other.lookAlike) === JSON.stringify(method.lookAlike),
    );
    expect(twins).toEqual([]);
  });
  it("says in what it is made and kept, and how its stages follow", () => {
    expect(method.vesselNote.length).toBeGreaterThan(10);
    expect(method.headspaceFor.length).toBeGreaterThan(2);
    expect(method.keeping.container.length).toBeGreaterThan(3);
    expect(method.keeping.place.length).toBeGreaterThan(2);
    method.stages.forEach(({ fromD, untilD }, index) => {
      if (untilD !== null) expect(untilD).toBeGreaterThan(fromD);
      if (index > 0) expect(fromD).toBe(method.stages[index - 1]!.untilD);
    });
  });
  it("draws out no more than there is", () => {
    for (const { low, default: usual, high } of [method.drawsOut.minerals, method.drawsOut.sugarLeft]) {
      expect(low).toBeGreaterThanOrEqual(0);
      expect(low <= usual && usual <= high).toBe(true);
      expect(high).toBeLessThanOrEqual(1);
    }
  });
  it("never promises health, and warns people off", () => {
    const words = JSON.stringify(method).toLowerCase();
    expect(words).not.toMatch(/\b(cures?|heals?|medicine|remedy|probiotic)\b/);
    expect(method.cautions.map((id) => CAUTIONS[id]).join(" ")).toMatch(/Do not drink/);
  });
});
