import { CAUTIONS } from "./cautions";
import { INGREDIENT_FACTS, inSeason, seasonOf, usualExpiry } from "./ingredientFacts";
import { INGREDIENT_IDS } from "./ingredients";

describe("what is known of ingredients", () => {
  it("is known of all of them, some sixty", () => {
    expect(INGREDIENT_IDS.length).toBeGreaterThanOrEqual(60);
    expect(Object.keys(INGREDIENT_FACTS).toSorted()).toEqual([...INGREDIENT_IDS].toSorted());
  });
  it.each(INGREDIENT_IDS)("%s: keeps, is packed and cautioned in ways that make sense", (id) => {
    const { keepsD, openD, pack, cautions, keeping } = INGREDIENT_FACTS[id];
    if (keepsD !== null) expect(keepsD).toBeGreaterThan(0);
    if (openD !== null && keepsD !== null) expect(openD).toBeLessThanOrEqual(keepsD);
    if (pack) expect(pack.amount).toBeGreaterThan(0);
    for (const caution of cautions) expect(CAUTIONS).toHaveProperty([caution]);
    expect(keeping).toMatch(/\.$/);
  });
  it("spoils sooner once it is open", () => {
    expect(usualExpiry("milk", "2031-03-01", null)).toBe("2031-03-08");
    expect(usualExpiry("milk", "2031-03-01", "2031-03-02")).toBe("2031-03-05");
    expect(usualExpiry("sea-salt", "2031-03-01", "2031-03-02")).toBeNull();
    expect(usualExpiry("potato", "2032-02-01", null)).toBe("2032-04-01");
  });
});

describe("seasons", () => {
  it.each([
    ["2031-01-11", 45, "winter"],
    ["2031-01-11", -37, "summer"],
    ["2031-04-01", 45, "spring"],
    ["2031-10-15", -37, "spring"],
    ["2031-12-31", 45, "winter"],
  ])("%s at %s°: %s", (day, latitude, season) => expect(seasonOf(day, latitude)).toBe(season));
  it("has leaf mould in autumn and none in summer, and sugar always", () => {
    expect(inSeason("leaf-mould", "autumn")).toBe(true);
    expect(inSeason("leaf-mould", "summer")).toBe(false);
    expect(inSeason("brown-sugar", "winter")).toBe(true);
  });
});
