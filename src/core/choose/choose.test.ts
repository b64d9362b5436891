import { findUse } from "../book/uses";
import { minimumAgeD } from "../book/recipe";
import { METHODS, findRecipe } from "../book";
import { GOAL_IDS } from "../book/goals";
import { findPlant } from "../book/plants";
import { makeableFrom, possibilitiesOf, type HandItem } from "./atHand";
import { handsMin, methodsFor, rateFor } from "./byGoal";
import { leadTime } from "./leadTime";
import { batchForLand } from "./forLand";
import { startFor } from "./startFor";

const HOUR_MS = 3_600_000;
const SHED = new Map([
  ["molasses", 20],
  ["lactic-culture", 0.4],
  ["whey", 30],
  ["brown-sugar", 5],
  ["leaf-mould", 2],
]);
const item = (name: string, amount: number | null, change: Partial<HandItem> = {}): HandItem => ({
  text: name,
  plant: findPlant(name),
  ingredient: null,
  amount,
  spoiled: false,
  ...change,
});

describe("by what is needed", () => {
  it.each(GOAL_IDS)("%s: something serves it, the fittest first, each with its reason", (goal) => {
    const fits = methodsFor(goal);
    expect(fits.length).toBeGreaterThan(0);
    expect(fits.map(({ weight }) => weight)).toEqual(fits.map(({ weight }) => weight).toSorted((a, b) => b - a));
    for (const { why } of fits) expect(why.length).toBeGreaterThan(5);
  });
  it("puts shells first for calcium, and the leaf-mould brew among the first before planting", () => {
    expect(methodsFor("calcium")[0]!.method.id).toBe("shell-calcium");
    expect(
      methodsFor("before-planting")
        .filter(({ weight }) => weight === 3)
        .map(({ method }) => method.id),
    ).toContain("leaf-mould-brew");
  });
  it("tells the strength for the stage: seedlings by their own, weaker than grown plants", () => {
    const juice = findRecipe("plant-juice");
    expect(rateFor("settle-seedlings", juice)!.use).toBe("seedling");
    expect(rateFor("leaf-growth", juice)!.use).toBe("drench-growing");
    expect(rateFor("settle-seedlings", juice)!.partsWater.strongest).toBeGreaterThanOrEqual(
      rateFor("leaf-growth", juice)!.partsWater.strongest,
    );
    expect(rateFor("ingredient", { uses: [] })).toBeNull();
  });
  it("counts hands over all the days", () => {
    const { work } = findRecipe("cultured-extract");
    expect(handsMin({ work }, 14)).toBe(work.fillMin + 14 * work.dayMin + work.closeMin);
  });
});

describe("from what is at hand", () => {
  it("makes an extract of nettles, with what else it takes and what stands in", () => {
    const { possibilities, cautions } = possibilitiesOf(item("nettles", 3), SHED, 2000);
    const extract = possibilities.find(({ recipe }) => recipe.id === "cultured-extract")!;
    // 3 kg at 0.003 kg to the litre are 1000 L of water, 10 L of molasses.
    expect(extract.needs.find(({ ingredient }) => ingredient === "molasses")).toMatchObject({
      amount: 10,
      enough: true,
    });
    expect(extract.needs.find(({ ingredient }) => ingredient === "lactic-culture")).toMatchObject({
      enough: false,
      standIn: "whey",
    });
    expect(cautions.join(" ")).toMatch(/gloves/);
  });
  it("goes no further than the largest vessel", () => {
    const { possibilities } = possibilitiesOf(item("nettles", 30), SHED, 200);
    for (const { vesselL, usedAmount } of possibilities) {
      expect(vesselL!).toBeLessThanOrEqual(200 * (1 + 1e-9));
      expect(usedAmount!).toBeLessThanOrEqual(30);
    }
  });
  it("lets spoiled fruit into an extract, not into a juice, and asks no amount it doesn't know", () => {
    const { possibilities, excluded } = possibilitiesOf(item("plums", null, { spoiled: true }), SHED, 200);
    expect(possibilities.map(({ recipe }) => recipe.id)).toContain("cultured-extract");
    expect(possibilities.every(({ vesselL }) => vesselL === null)).toBe(true);
    expect(excluded.map(({ methodName }) => methodName)).toEqual(["Sugar-drawn plant juice"]);
  });
  it.each(["foxglove", "ragwort", "tobacco", "hemlock", "yew"])("refuses %s with the reason", (name) => {
    const { refused, possibilities } = possibilitiesOf(item(name, 5), SHED, 200);
    expect(refused!.length).toBeGreaterThan(10);
    expect(possibilities).toEqual([]);
  });
  it("finds what an ingredient of the shed is for", () => {
    const shells = possibilitiesOf(item("shells", 2, { plant: null, ingredient: "shell-raw" }), SHED, 200);
    expect(shells.possibilities.map(({ recipe }) => recipe.id)).toEqual(["roasted-shell", "shell-calcium"]);
  });
  it("says what can be made now, and what would close the gap", () => {
    const answers = makeableFrom(SHED);
    expect(answers).toHaveLength(METHODS.length);
    expect(answers.find(({ recipe }) => recipe.id === "cultured-extract")).toMatchObject({
      fit: "now",
      fresh: ["plant"],
    });
    const without = makeableFrom(new Map([...SHED].filter(([id]) => id !== "lactic-culture")));
    expect(without.find(({ recipe }) => recipe.id === "cultured-extract")).toMatchObject({
      fit: "lacks-one",
      lacking: [{ ingredient: "lactic-culture", standIn: "whey" }],
    });
    const dungHeld = (shed: ReadonlyMap<string, number>) =>
      makeableFrom(shed, new Set(["dung-aged"])).find(({ recipe }) => recipe.id === "charged-char")!.lacking;
    const manure = ({ ingredient }: { ingredient: string }) => ingredient === "manure-aged";
    expect(dungHeld(SHED).find(manure)).toEqual({ ingredient: "manure-aged", standIn: null, held: "dung-aged" });
    expect(dungHeld(new Map([...SHED, ["dung-aged", 3]])).find(manure)).toMatchObject({ held: null });
    expect(makeableFrom(new Map())[0]!.fit).not.toBe("lacks-more");
  });
});

describe("for a piece of land", () => {
  it("is brewed for one round, or for as many as it keeps", () => {
    const recipe = findRecipe("cultured-extract");
    const once = batchForLand(recipe, "drench-growing", 500, "once");
    expect(once).toMatchObject({ rounds: 1, mixL: 1000, mixEachL: 1000 });
    expect(once.concentrateL).toBeCloseTo(1000 / 251, 9);
    const often = batchForLand(recipe, "drench-growing", 500, "in-time");
    expect(often.rounds).toBe(often.roundsInTime);
    expect(often.rounds).toBeGreaterThan(1);
    expect(often.basisAmount).toBeCloseTo(once.basisAmount * often.rounds, 9);
  });
  it("is brewed for one round where it does not keep", () =>
    expect(batchForLand(findRecipe("aerated-tea"), "drench-growing", 100, "in-time").rounds).toBe(1));
  it("never outlasts its shelf, whatever the recipe", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools) {
        const recipe = findRecipe(id, school.id);
        for (const { use } of recipe.uses.filter((one) => findUse(one.use).mixLPerM2 !== null)) {
          const { rounds, everyD } = batchForLand(recipe, use, 100, "in-time");
          expect((rounds - 1) * (everyD ?? 0) * 24).toBeLessThanOrEqual(recipe.keeping.shelfH);
        }
      }
  });
  it("refuses no land and a use that the recipe has not", () => {
    expect(() => batchForLand(findRecipe("cultured-extract"), "drench-growing", 0, "once")).toThrow("not-positive");
    expect(() => batchForLand(findRecipe("shell-calcium"), "compost", 10, "once")).toThrow();
  });
});

describe("for a day", () => {
  const at = (methodId: string, days: number, celsius: number) =>
    startFor(findRecipe(methodId), 0, days * 24 * HOUR_MS, () => celsius);
  it("starts an extract so that it is ready nine times in ten", () => {
    const answer = at("cultured-extract", 40, 22);
    if (!answer.fits) throw new Error("it fits");
    expect((40 * 24 * HOUR_MS - answer.startAtMs) / HOUR_MS).toBeCloseTo(answer.lead.latestH!, 6);
  });
  it("times a living brew to its best hour", () => {
    const answer = at("aerated-tea", 10, 24);
    if (!answer.fits) throw new Error("it fits");
    expect((10 * 24 * HOUR_MS - answer.startAtMs) / HOUR_MS).toBeCloseTo(answer.lead.bestH!, 6);
  });
  it("refuses what no longer fits, and what the cold would never let start", () => {
    expect(at("cultured-extract", 3, 22)).toMatchObject({ fits: false, because: "too-late" });
    expect(at("leaf-mould-brew", 30, 12)).toMatchObject({ fits: false, because: "too-cold" });
    expect(at("leaf-mould-brew", 30, 22)).toMatchObject({ fits: true });
  });
  it("never calls ready what is younger than its method lets it be", () => {
    for (const { id } of METHODS) {
      const recipe = findRecipe(id);
      expect(leadTime(recipe, 30).earliestH ?? Infinity).toBeGreaterThanOrEqual(minimumAgeD(recipe) * 24 - 1e-6);
    }
  });
});
