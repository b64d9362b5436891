import { METHODS, findRecipe } from "../book";
import { findUse } from "../book/uses";
import { findCautions } from "./cautions";
import { couldTake, usesAtAll, usesNow, type PlotCase, type StoreCase } from "./usesNow";

const TODAY = "2031-03-20";
const store = (change: Partial<StoreCase> = {}): StoreCase => ({
  hoursPastExpiry: -100,
  hoursSinceShelf: 0.2,
  smelt: "good",
  recheck: null,
  carries: [],
  urineStoredD: null,
  riverWater: false,
  ...change,
});
const plot = (change: Partial<PlotCase> = {}): PlotCase => ({
  name: "Bed",
  crop: "pepper",
  stage: "growing",
  leafEaten: false,
  harvestOn: "2031-12-01",
  lastSameD: null,
  ...change,
});
const asked = (methodId: string, change: Partial<StoreCase> = {}) => ({
  recipe: findRecipe(methodId),
  store: store(change),
  rules: [],
  today: TODAY,
});

describe("what a finished input may still be used for", () => {
  it("is all that its recipe knows while it is fresh and smells good", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools) {
        const recipe = findRecipe(id, school.id);
        expect(usesNow({ ...asked(id), recipe })).toEqual(recipe.uses.map(({ use }) => use));
      }
  });
  it("is what stands at applying it: a use is free where no caution would come, for every method, hour and nose", () => {
    for (const { id } of METHODS)
      for (const hours of [0.5, 3, 6, 20, 2000])
        for (const smelt of ["good", "off", "doubtful"] as const) {
          const one = asked(id, { hoursSinceShelf: hours, hoursPastExpiry: hours - 4, smelt });
          const free = usesNow(one);
          for (const rate of one.recipe.uses) {
            const cautions = findCautions({
              ...one.store,
              recipe: one.recipe,
              rate,
              use: { id: rate.use, target: findUse(rate.use).target },
              partsWater: rate.partsWater.default,
              plots: [],
              rules: [],
              today: TODAY,
            });
            expect(free.includes(rate.use)).toBe(cautions.length === 0);
          }
        }
  });
  it("is bare ground and the heap once an extract is expired, the heap alone once it smells bad", () => {
    const past = usesNow(asked("cultured-extract", { hoursPastExpiry: 30 }));
    expect(past.every((use) => use === "drench-bare" || use === "compost")).toBe(true);
    expect(past.length).toBeGreaterThan(0);
    const off = usesAtAll(asked("cultured-extract", { smelt: "off" }));
    expect(off.every((use) => use === "compost")).toBe(true);
  });
  it("names a bed only where nothing speaks against it there", () => {
    const extract = asked("cultured-extract");
    expect(couldTake(extract, plot())).toBe(true);
    expect(couldTake(extract, plot({ lastSameD: 0 }))).toBe(false);
    const dung = asked("drum-manure-tea", { carries: ["dung"] });
    expect(couldTake(dung, plot({ crop: "lettuce", leafEaten: true, harvestOn: "2031-03-25" }))).toBe(false);
    expect(couldTake(asked("cultured-extract", { hoursPastExpiry: 30 }), plot())).toBe(false);
    expect(couldTake(asked("char-green-liquid", { hoursPastExpiry: 30 }), plot({ stage: "bare", crop: "" }))).toBe(
      true,
    );
  });
});
