import fc from "fast-check";
import { findRecipe } from "../book";
import { airNeed, heaterNeed } from "./conditions";
import { laterLines } from "./later";
import { scaleRecipe } from "./scale";
import { withoutEquipment } from "../book/withoutEquipment";
import { thinStarters } from "./starter";
import { spreadInstead } from "./spreadInstead";
import { liftablePortions, splitOver, wetSackKg } from "./split";
import { litresAtDepth, vesselShape } from "./vesselShape";
import { waterInAll } from "./waterInAll";

const TEA = findRecipe("aerated-tea");
const VESSELS = [
  { id: "drum", vesselL: 200, diameterM: 0.57 },
  { id: "tote", vesselL: 1000, diameterM: null },
  { id: "pail", vesselL: 20, diameterM: null },
];

describe("a batch over several vessels", () => {
  it("makes what was wanted, or says what is left, and no vessel passes its line", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 3000, noNaN: true }), (wanted) => {
        const { parts, left } = splitOver({ recipe: TEA }, VESSELS, wanted);
        const made = parts.reduce((sum, { scaled }) => sum + scaled.basisAmount, 0);
        expect(made + left).toBeCloseTo(wanted, 6);
        for (const { scaled } of parts) expect(scaled.occupiedL).toBeLessThanOrEqual(scaled.fillLineL * (1 + 1e-9));
      }),
    );
  });
  it("fills the largest first and leaves no needless dribble", () => {
    expect(splitOver({ recipe: TEA }, VESSELS, 900).parts.map(({ id }) => id)).toEqual(["tote", "drum"]);
    expect(splitOver({ recipe: TEA }, VESSELS, 100).parts.map(({ id }) => id)).toEqual(["tote"]);
  });
  it("wants a vessel and an amount", () => {
    expect(() => splitOver({ recipe: TEA }, [], 100)).toThrow("vessel-count");
    expect(() => splitOver({ recipe: TEA }, VESSELS, 0)).toThrow('not-positive {"what":"wanted-amount"');
  });
});

describe("lifting", () => {
  it.each([
    [25, 1, 1],
    [25.1, 1, 2],
    [60, 1, 3],
    [20, 1.4, 2],
    [0.2, null, 1],
  ])("%d at %s kg/L is %d portions", (amount, density, count) => {
    const portions = liftablePortions(amount, density);
    expect(portions.count).toBe(count);
    expect(portions.count * portions.amountEach).toBeCloseTo(amount, 9);
  });
  it("weighs the sack wet, and nothing where there is none", () => {
    const recipe = findRecipe("drum-manure-tea");
    const { lines } = scaleRecipe({ recipe, vesselL: 200 });
    const bagged = lines.filter(({ ingredient }) => ["greens", "dung-fresh", "ash", "char"].includes(ingredient));
    expect(wetSackKg({ recipe }, lines)).toBeGreaterThan(bagged.reduce((sum, { amount }) => sum + amount, 0));
    expect(wetSackKg({ recipe: findRecipe("shell-calcium") }, lines)).toBe(0);
  });
});

describe("a sack in a drum", () => {
  it("would pass the brim with the liquid that a sackless drum takes, so less goes in", () => {
    const recipe = findRecipe("drum-manure-tea");
    const { liquidL, solidsL, occupiedL, fillLineL } = scaleRecipe({ recipe, vesselL: 200 });
    expect(solidsL).toBeGreaterThan(20);
    expect(liquidL + solidsL).toBeCloseTo(occupiedL, 6);
    expect(occupiedL).toBeCloseTo(fillLineL, 6);
    expect(180 + solidsL).toBeGreaterThan(200);
  });
});

describe("heat and air", () => {
  it("hold a drum ten degrees up with some hundred watts, and warm it with more", () => {
    const { holdW, warmW } = heaterNeed(200, 12, 22);
    expect(holdW).toBeGreaterThan(80);
    expect(holdW).toBeLessThan(200);
    // 200 kg · 4186 J/(kg·K) · 10 K over 12 h is 194 W on top.
    expect(warmW - holdW).toBeCloseTo(193.8, 1);
  });
  it("want no heater where it is warm enough, and more the larger the vessel", () => {
    expect(heaterNeed(200, 25, 22)).toEqual({ holdW: 0, warmW: 0 });
    expect(heaterNeed(1000, 12, 22).holdW).toBeGreaterThan(heaterNeed(40, 12, 22).holdW * 5);
    expect(() => heaterNeed(200, -60, 22)).toThrow('out-of-range {"what":"air-temperature"');
  });
  it("grow the air with the brew", () => {
    expect(airNeed(200).usualLPerMin).toBeCloseTo(2 * airNeed(100).usualLPerMin, 12);
    expect(() => airNeed(0)).toThrow('not-positive {"what":"brew-volume"');
  });
});

describe("a starter", () => {
  const extract = findRecipe("cultured-extract");
  const withCulture = (amount: number) =>
    thinStarters(extract, [
      { ingredient: "water", slot: "water", amount: 100 },
      { ingredient: "lactic-culture", slot: "lactic-culture", amount },
    ]);
  it("too thin to start is named, with the least that does", () => {
    expect(withCulture(0.2)).toMatchObject([{ ingredient: "lactic-culture", leastShare: 0.005 }]);
    expect(withCulture(1)).toEqual([]);
    expect(withCulture(0)).toEqual([]);
  });
  it("counts what stands in for it", () =>
    expect(
      thinStarters(extract, [
        { ingredient: "water", slot: "water", amount: 100 },
        { ingredient: "whey", slot: "lactic-culture", amount: 0.1 },
      ]),
    ).toHaveLength(1));
});

describe("water from first to last", () => {
  it("is the brew's, the thinning of all it gives, and the rinsing", () => {
    const recipe = findRecipe("cultured-extract");
    const scaled = scaleRecipe({ recipe, vesselL: 200, targetBasis: 100 });
    const rate = recipe.uses.find(({ use }) => use === "drench-growing")!;
    const { brewL, thinL, rinseL, totalL } = waterInAll(recipe, scaled, rate);
    expect(brewL).toBeCloseTo(100, 9);
    // 95 L of it at 1:250.
    expect(thinL).toBeCloseTo(95 * 250, 6);
    expect(rinseL).toBeGreaterThanOrEqual(5);
    expect(totalL).toBeCloseTo(brewL + thinL + rinseL, 9);
  });
  it("has nothing to thin where it goes on as it is, or nowhere", () => {
    const mash = findRecipe("boiled-potato");
    expect(waterInAll(mash, scaleRecipe({ recipe: mash, vesselL: 20 }), null)).toMatchObject({
      brewL: 0,
      thinL: 0,
      rinseL: 5,
    });
  });
});

describe("spread instead of brewed", () => {
  it("waters more land as tea, and says nothing where there is nothing to spread", () => {
    const spread = spreadInstead(TEA, scaleRecipe({ recipe: TEA, vesselL: 200, targetBasis: 100 }))!;
    // 96 L at 1:1 and 2 L/m² water 96 m²; 4 kg at 2 kg/m² dress two.
    expect(spread.teaM2).toBeCloseTo(96, 6);
    expect(spread.dressedM2).toBeCloseTo(2, 6);
    const juice = findRecipe("plant-juice");
    expect(spreadInstead(juice, scaleRecipe({ recipe: juice, vesselL: 20 }))).toBeNull();
  });
});

describe("hands without the tool", () => {
  it("find another way, with what it costs, and none for air", () => {
    const tools = (id: string) => withoutEquipment(findRecipe(id)).map(({ missing }) => missing);
    expect(tools("cultured-extract")).toEqual(expect.arrayContaining(["A pH meter", "An airlock", "A mesh bag"]));
    expect(tools("leaf-mould-brew")).toContain("A blender");
    expect(tools("drum-manure-tea")).toContain("A hoist");
    expect(
      withoutEquipment(findRecipe("aerated-tea")).find(({ missing }) => missing === "An air pump")!.instead,
    ).toMatch(/^nothing does/);
    for (const { instead, costs } of withoutEquipment(findRecipe("shell-calcium"))) {
      expect(instead.length).toBeGreaterThan(5);
      expect(costs.length).toBeGreaterThan(3);
    }
  });
});

describe("depth and days", () => {
  it("reads litres from a depth, to the rim and no further", () => {
    const shape = vesselShape(200, 0.57);
    expect(litresAtDepth(shape, shape.heightM / 2)).toBeCloseTo(100, 6);
    expect(litresAtDepth(shape, 0)).toBe(0);
    expect(() => litresAtDepth(shape, 2)).toThrow('out-of-range {"what":"vessel-depth"');
    expect(() => litresAtDepth(shape, -0.1)).toThrow('out-of-range {"what":"vessel-depth"');
  });
  it("keeps for later what the recipe adds later, by the first volume", () => {
    expect(laterLines(findRecipe("lactic-serum", "salted-rice"), 10)).toMatchObject([
      { ingredient: "brown-sugar", onDay: 2, amount: 0.275, unit: "kg" },
    ]);
    expect(laterLines(TEA, 100)).toEqual([]);
  });
});
