import { occupiedLitres } from "../recipe/room";
import { scaleRecipe } from "../recipe/scale";
import { CAUTIONS } from "./cautions";
import { findMethod, findRecipe, findSchool, METHODS } from "./index";
import { findUseRate } from "./useRate";
import { minimumAgeD, phTarget, recipeOf } from "./recipe";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS } from "./ingredients";
import { findUse, USE_IDS, USES } from "./uses";
import { ACTS, SIGN_WORDS } from "./words";

describe.each(METHODS.map((method) => [method.name, method] as const))("%s", (_name, method) => {
  it("has cues whose words a grower can tap, none of them said twice with two meanings", () => {
    const said = method.cues.map(({ kind, word }) => `${kind}/${word}`);
    expect(new Set(said).size).toBe(said.length);
    for (const { kind, word } of method.cues) expect(SIGN_WORDS[kind] as readonly string[]).toContain(word);
  });
  it("can be told ready, not yet and failed by its cues", () => {
    for (const says of ["ready", "not-yet", "failed"]) expect(method.cues.map((cue) => cue.says)).toContain(says);
  });
  it("puts in at its steps what its schools ask for, and nothing else", () => {
    const recipes = method.schools.map((school) => recipeOf(method, school));
    for (const recipe of recipes) {
      const added = recipe.steps.flatMap(({ adds }) => adds);
      for (const { ingredient } of recipe.ingredients) expect(added).toContain(ingredient);
    }
    const asked = recipes.flatMap(({ ingredients }) => ingredients.map(({ ingredient }) => ingredient));
    for (const { adds } of method.steps) for (const ingredient of adds) expect(asked).toContain(ingredient);
  });
  it("has a reason at every step and a consequence at every task", () => {
    for (const { text, why } of method.steps) expect([text.length > 10, why.length > 5]).toEqual([true, true]);
    for (const task of method.tending) {
      expect(task.everyH).toBeGreaterThan(0);
      expect(task.ifMissed.length).toBeGreaterThan(10);
      expect([...ACTS, "look", "read-ph"]).toContain(task.act);
    }
  });
  it("leaves headspace at every fill that growers use", () => {
    const { low, default: usual, high } = method.fillShare;
    expect(low).toBeLessThanOrEqual(usual);
    expect(usual).toBeLessThanOrEqual(high);
    expect(high).toBeLessThanOrEqual(0.9);
  });
  it("keeps for a while, and yields no more than went in", () => {
    expect(method.keeping.shelfH).toBeGreaterThan(0);
    // Loose starter is counted in litres to the kilogram of bran; all else gives no more than went in, sap and curd apart.
    expect(method.yieldPerBasis.high).toBeLessThanOrEqual(
      method.yieldUnit === "L" && method.basis === "bran" ? 10 : 1.1,
    );
    expect(method.residues.length).toBeGreaterThan(0);
  });
  it("names its cautions, and warns of gas where it makes any behind a lid", () => {
    for (const caution of method.cautions) expect(CAUTIONS[caution].length).toBeGreaterThan(20);
    if (method.lid === "airlock") expect(method.cautions).toContain("gas-pressure");
    // Solid ingredients give off no gas to speak of.
    if (method.lid === "breathable" && method.family !== "preparation")
      expect(method.cautions).toContain("breathable-lid");
    if (method.aerated) expect(method.cautions).toContain("electricity-at-water");
  });
  it.each(method.schools.map((school) => [school.id, school] as const))(
    "%s: ripens in order, between its cardinal temperatures",
    (_id, school) => {
      const { readiness } = school;
      if (readiness.type === "fresh") return expect(readiness.readyH).toBeLessThan(readiness.freshH);
      const { model } = readiness;
      if ("maxC" in model.temperatures) {
        const { minC, optimumC, maxC, referenceC } = model.temperatures;
        expect(minC < referenceC && referenceC < maxC && minC < optimumC && optimumC < maxC).toBe(true);
        // The cardinal model is only well-behaved with its optimum in the upper half (Rosso et al. 1993).
        expect(optimumC).toBeGreaterThan((minC + maxC) / 2);
      } else expect(model.temperatures.activationJPerMol).toBeGreaterThan(0);
      if (model.cls === "acid")
        expect(model.floorPh < model.bestPh && model.bestPh < model.targetPh && model.targetPh < model.startPh).toBe(
          true,
        );
      if ("lagD" in model)
        expect(model.lagD < model.startD && model.startD < model.peakD && model.peakD < model.endD).toBe(true);
      expect(model.horizonH).toBeGreaterThan(model.daysRuleH);
    },
  );
  it.each(method.schools.map((school) => [school.id, school] as const))(
    "%s: says where it goes, with a note at every use",
    (_id, school) => {
      if (!method.makes) expect(school.uses.length).toBeGreaterThan(0);
      for (const rate of school.uses) {
        expect(USE_IDS).toContain(rate.use);
        expect(rate.note.length).toBeGreaterThan(3);
        if (rate.everyD !== null) expect(rate.everyD).toBeGreaterThanOrEqual(5);
      }
    },
  );
  it.each(method.schools.map((school) => [school.id, school] as const))(
    "%s: is the same recipe scaled down and up again",
    (_id, school) => {
      const recipe = recipeOf(method, school);
      const large = scaleRecipe({ recipe, vesselL: 1000 });
      const back = scaleRecipe({
        recipe,
        vesselL: 1000,
        targetBasis: scaleRecipe({ recipe, vesselL: 10 }).basisAmount,
      });
      const again = scaleRecipe({ recipe, vesselL: 1000, targetBasis: large.basisAmount });
      expect(back.basisAmount).toBeLessThan(large.basisAmount);
      expect(again.lines).toEqual(large.lines);
    },
  );
});

describe("the cautious figures", () => {
  const usual = (methodId: string, use: string) =>
    findUseRate(findSchool(findMethod(methodId), undefined), use)!.partsWater;
  it("are the milder ones where schools clash", () => {
    expect(usual("plant-juice", "drench-growing").default).toBe(1000);
    expect(usual("plant-juice", "seedling").strongest).toBeGreaterThanOrEqual(1000);
    expect(usual("aerated-tea", "foliar")).toMatchObject({ strongest: 1, default: 1 });
    expect(usual("cultured-extract", "foliar").default).toBe(250);
  });
  it("hold a living tea to one hour on leaves, four on soil, twelve at the hard end", () => {
    for (const school of findMethod("aerated-tea").schools) {
      expect(findRecipe("aerated-tea", school.id).keeping).toMatchObject({
        from: "air-off",
        living: true,
        afterH: { leaves: 1, soil: 4, hardEnd: 12 },
      });
    }
  });
  it("keep sugar in a tea at half a per cent or under, and out of the fungal one", () => {
    const tea = findMethod("aerated-tea");
    const molasses = (school: string) =>
      findSchool(tea, school).ingredients.find(({ ingredient }) => ingredient === "molasses");
    expect(molasses("fungal")).toBeUndefined();
    const amount = molasses("bacterial")!.amount;
    expect(amount.type === "per-basis" && amount.perBasis).toEqual({ low: 0.00025, default: 0.0015, high: 0.005 });
  });
  it("ask an extract for pH 4 and two weeks at least", () => {
    const recipe = findRecipe("cultured-extract");
    expect([phTarget(recipe), minimumAgeD(recipe)]).toEqual([4, 14]);
  });
});

describe("ingredients and uses", () => {
  it.each(INGREDIENT_IDS)("%s has a name, a believable density and no more sugar than itself", (id) => {
    const item = findIngredient(id);
    expect(item.name.length).toBeGreaterThan(2);
    // Only what is not known at all has no density.
    if (item.densityKgPerL === null) expect(id).toBe("other-solid");
    else {
      expect(item.densityKgPerL).toBeGreaterThanOrEqual(0.05);
      expect(item.densityKgPerL).toBeLessThanOrEqual(1.5);
    }
    expect(item.sugarShare).toBeGreaterThanOrEqual(0);
    expect(item.sugarShare).toBeLessThanOrEqual(1);
  });
  it("count a liquid by its own volume", () => {
    const molasses = INGREDIENTS.molasses;
    expect(molasses.displacementLPerKg * molasses.densityKgPerL!).toBeCloseTo(1, 12);
    expect(occupiedLitres(findRecipe("cultured-extract"), [{ ingredient: "molasses", amount: 3, part: "mix" }])).toBe(
      3,
    );
    expect(occupiedLitres(findRecipe("aerated-tea"), [{ ingredient: "castings", amount: 5, part: "mix" }])).toBeCloseTo(
      3,
      12,
    );
  });
  it.each(USE_IDS)("%s says how, and its rates run from low to high", (id) => {
    const use = findUse(id);
    expect(use.how.length).toBeGreaterThan(10);
    for (const range of [use.mixLPerM2, use.mixLPerPlant])
      if (range) expect(range.low <= range.default && range.default <= range.high).toBe(true);
  });
  it("wets leaves with a fiftieth of what a drench takes", () =>
    expect(USES["drench-growing"].mixLPerM2.default / USES.foliar.mixLPerM2.default).toBeGreaterThan(30));
  it("refuse what is not in the book, by name", () => {
    expect(() => findIngredient("unicorn")).toThrow("unknown-ingredient");
    expect(() => findUse("bathe")).toThrow("unknown-use");
    expect(() => findMethod("moon-water")).toThrow("unknown-method");
    expect(() => findIngredient("toString")).toThrow("unknown-ingredient");
  });
});
