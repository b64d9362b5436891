import fc from "fast-check";
import { USE_IDS } from "../book/uses";
import { findRecipe, METHODS } from "../book";
import { careAfter, meshUm, notWith } from "./care";
import { inKitchen } from "./kitchen";
import type { WeatherHour } from "./weatherHour";

const HOUR = 3_600_000;
const rainAt = (hour: number): WeatherHour[] => [{ atMs: hour * HOUR, airC: 18, rainMm: 3, windMPerS: 1 }];
const codes = (...asked: Parameters<typeof careAfter>) => careAfter(...asked).map(({ code }) => code);

describe("a dose in the kitchen's measures", () => {
  it("is the largest that meets it within a twentieth, in halves", () => {
    expect(inKitchen(0.5, "metric")).toMatchObject({ count: 2, measure: "cup", offBy: 0 });
    expect(inKitchen(0.03, "metric")).toMatchObject({ count: 2, measure: "tablespoon" });
    expect(inKitchen(0.0025, "metric")).toMatchObject({ count: 0.5, measure: "teaspoon" });
    expect(inKitchen(0.0005, "metric")).toBeNull();
    expect(inKitchen(5, "metric")).toBeNull();
  });
  it("tells what it really comes to, at any size, in both systems", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.003, max: 2.8, noNaN: true }),
        fc.constantFrom("metric", "us"),
        (litres, system) => {
          const dose = inKitchen(litres, system as "metric" | "us");
          expect(dose).not.toBeNull();
          expect(dose!.litres / litres - 1).toBeCloseTo(dose!.offBy, 9);
          // Half a teaspoon is as fine as it goes: a third at the very least of them.
          expect(Math.abs(dose!.offBy)).toBeLessThan(0.34);
          expect((dose!.count * 2) % 1).toBe(0);
        },
      ),
    );
  });
});

describe("after something went on", () => {
  it("a strong or bare drench is watered in, unless rain does it", () => {
    expect(codes("drench-bare", 20, false, [], 0)).toEqual(["water-in", "rinse-tool"]);
    expect(codes("drench-growing", 2, false, rainAt(3), 0)).toEqual(["rain-waters-in", "rinse-tool"]);
    expect(codes("drench-growing", 2, false, rainAt(9), 0)).toContain("water-in");
    expect(codes("drench-growing", 250, false, [], 0)).toEqual(["rinse-tool"]);
  });
  it("a living drench is covered, leaves are kept dry, a line is flushed", () => {
    expect(codes("drench-growing", 250, true, [], 0)).toContain("mulch-over");
    expect(codes("foliar", 500, true, [], 0)).toEqual(["keep-dry", "rinse-tool"]);
    expect(codes("injector", 500, true, [], 0)).toContain("flush-line");
    for (const use of USE_IDS) expect(codes(use, 100, true, [], 0)).toContain("rinse-tool");
  });
});

it("what undoes a liquid is kept out of its can", () => {
  expect(notWith(findRecipe("shell-calcium"))).toContain("ash-or-lime");
  expect(notWith(findRecipe("aerated-tea"))).toEqual(["copper-and-fungicide", "chlorine"]);
  for (const { id } of METHODS) {
    const kinds = notWith(findRecipe(id));
    expect(new Set(kinds).size).toBe(kinds.length);
    if (findRecipe(id).keeping.living) expect(kinds).toContain("chlorine");
  }
});

it("the finest hole decides the mesh", () => {
  expect([
    meshUm("can", "drench-growing"),
    meshUm("can", "foliar"),
    meshUm("knapsack", "drench-growing"),
    meshUm("injector", "drench-growing"),
  ]).toEqual([1000, 200, 200, 100]);
});
