import { METHODS } from "./index";
import { DIFFERENCES, differencesOf } from "./differences";
import { findIngredient, INGREDIENT_IDS } from "./ingredients";
import { findPlant, PLANT_SLOTS, PLANTS } from "./plants";
import { findSubstitute, substitutesFor } from "./substitutes";

describe("substitutes", () => {
  it.each(INGREDIENT_IDS)("%s: each says what it changes, and none is itself", (id) => {
    for (const { use, factor, changes } of substitutesFor(id)) {
      expect(use).not.toBe(id);
      expect(factor).toBeGreaterThan(0);
      expect(changes.length).toBeGreaterThan(10);
    }
  });
  it("swap sugars by the sugar they hold, there and back", () => {
    const sugars = ["molasses", "brown-sugar", "white-sugar", "raw-sugar", "honey"] as const;
    for (const one of sugars)
      for (const other of sugars) {
        const there = findSubstitute(one, other, "/").factor;
        expect(there * findSubstitute(other, one, "/").factor).toBeCloseTo(1, 12);
        const sugarOf = (id: typeof one) => {
          const { sugarShare, stockUnit, densityKgPerL } = findIngredient(id);
          return sugarShare * (stockUnit === "L" ? densityKgPerL! : 1);
        };
        expect(there * sugarOf(other)).toBeCloseTo(sugarOf(one), 12);
      }
  });
  it("let a serum stand in for a bought culture, and milk for whey", () => {
    expect(findSubstitute("bought-culture", "lactic-culture", "/").factor).toBe(1);
    expect(findSubstitute("milk", "whey", "/").changes).toMatch(/fat/i);
  });
  it("refuse what can't stand in, though it has sugar too", () =>
    expect(() => findSubstitute("molasses", "milk", "/substitutes/0/use")).toThrow("no-substitute"));
});

describe("plants", () => {
  it("are known by any of their names, one plant a name", () => {
    const names = PLANTS.flatMap(({ name, also }) => [name, ...also]);
    expect(new Set(names).size).toBe(names.length);
    for (const name of names) expect(findPlant(name.toUpperCase())).not.toBeNull();
    expect(findPlant("glowweed")).toBeNull();
  });
  it("that are refused say why, and those that go in have a place to go", () => {
    expect(PLANTS.filter(({ refused }) => refused !== null).length).toBeGreaterThan(10);
    for (const { refused, kind } of PLANTS) {
      if (refused !== null) expect(refused.length).toBeGreaterThan(10);
      else expect(PLANT_SLOTS[kind].slots.length).toBeGreaterThan(0);
    }
  });
});

describe("where growers differ", () => {
  it("mark the cautious side of every row", () =>
    expect(
      DIFFERENCES.filter(({ sides }) => !sides.some(({ cautious }) => cautious)).map(({ point }) => point),
    ).toEqual([]));
  it.each(DIFFERENCES.map((row) => [row.point, row] as const))(
    "%s: two sides at least, what the book goes by, and why",
    (_point, row) => {
      expect(row.sides.length).toBeGreaterThan(1);
      expect(row.bookGoesBy.length).toBeGreaterThan(2);
      expect(row.why.length).toBeGreaterThan(3);
      for (const id of row.methods) expect(METHODS.map((method) => method.id)).toContain(id);
      if (row.apart !== null) expect(row.apart).toBeGreaterThan(1);
    },
  );
  it("is said of every input that people quarrel over", () => {
    expect(differencesOf("aerated-tea").length).toBeGreaterThan(10);
    expect(differencesOf("plant-juice").map(({ apart }) => apart)).toContain(50);
  });
});
