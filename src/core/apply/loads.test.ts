import fc from "fast-check";
import { sayLoads } from "@/words/said";
import { type DomainError } from "../errors";
import { workOutLoads, type LoadsRequest } from "./loads";

const CAN = { type: "hand", volumeL: 10, stepL: 0.01 } as const;
const base: LoadsRequest = {
  dilution: { partsWater: 19 },
  mixRate: { amountL: 2, per: "m2" },
  plots: [{ id: "a", areaM2: 18 }],
  tool: CAN,
};

describe("loads", () => {
  it("says three cans and a last one", () => {
    expect(sayLoads(workOutLoads(base).loads, "can", "metric")).toBe(
      "3 cans of 10 L with 500 mL in each; a last can of 6 L with 300 mL",
    );
  });

  it("adds up to the mix, whatever the plots and the tool", () => {
    const plots = fc.array(fc.double({ min: 0.5, max: 500, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(
        plots,
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 1000, noNaN: true }),
        (areas, volumeL, partsWater) => {
          const plan = workOutLoads({
            ...base,
            dilution: { partsWater },
            plots: areas.map((areaM2, index) => ({ id: `${index}`, areaM2 })),
            tool: { type: "hand", volumeL },
          });
          const carried = plan.loads.reduce((sum, load) => sum + load.count * load.mixL, 0);
          expect(carried / plan.totals.mixL).toBeCloseTo(1, 6);
          expect(plan.plots.reduce((sum, plot) => sum + plot.concentrateL, 0) / plan.totals.concentrateL).toBeCloseTo(
            1,
            9,
          );
          for (const load of plan.loads) expect(load.concentrateL + load.waterL).toBeCloseTo(load.mixL, 9);
        },
      ),
    );
  });

  it("rounds each dose to what can be measured, and owns up to the error", () => {
    const plan = workOutLoads({
      ...base,
      dilution: { partsWater: 299 },
      tool: { type: "hand", volumeL: 9, stepL: 0.005 },
    });
    expect(plan.loads[0]!.concentrateL).toBeCloseTo(0.03, 12);
    expect(Math.abs(plan.roundingErrorL)).toBeLessThanOrEqual(0.0025 * 5);
  });

  it("never rounds a dose down to nothing", () => {
    const plan = workOutLoads({
      ...base,
      dilution: { partsWater: 5000 },
      tool: { type: "hand", volumeL: 10, stepL: 0.05 },
    });
    for (const load of plan.loads) expect(load.concentrateL).toBeGreaterThan(0);
  });

  it("pre-dilutes for an injector that is stronger than the dose", () => {
    const plan = workOutLoads({
      ...base,
      dilution: { partsWater: 800 },
      mixRate: { amountL: 3, per: "m2" },
      plots: [{ id: "p", areaM2: 400 }],
      tool: { type: "injector", partsWater: 60, tankL: 8 },
    });
    const stockL = plan.loads.reduce((sum, load) => sum + load.count * load.mixL, 0);
    expect(stockL).toBeCloseTo(1200 / 61, 9);
    expect(plan.loads.map(({ count }) => count)).toEqual([2, 1]);
    expect(plan.loads.reduce((sum, load) => sum + load.count * load.concentrateL, 0)).toBeCloseTo(1200 / 801, 9);
  });

  it("refuses an injector that can't give so strong a dose", () => {
    expect(() =>
      workOutLoads({ ...base, dilution: { partsWater: 20 }, tool: { type: "injector", partsWater: 100, tankL: 40 } }),
    ).toThrow('injector-too-weak {"wantedPartsWater":20,"injectorPartsWater":100}');
  });

  it("says what is left and what is short", () => {
    expect(workOutLoads({ ...base, availableL: 1 }).shortL).toBeCloseTo(0.8, 9);
    expect(workOutLoads({ ...base, availableL: 2 }).leftL).toBeCloseTo(0.2, 9);
  });

  it.each([
    ["a plot of no area", { plots: [{ id: "a", areaM2: 0 }] }, "not-positive"],
    ["a plot whose plants nobody counted", { mixRate: { amountL: 3, per: "plant" as const } }, "plot-without-size"],
    ["a flood", { mixRate: { amountL: 1e6, per: "m2" as const } }, "out-of-range"],
    ["a can of nothing", { tool: { type: "hand" as const, volumeL: 0 } }, "out-of-range"],
    ["less than no inputs", { availableL: -1 }, "negative"],
  ])("refuses %s", (_what, change, code) => {
    try {
      workOutLoads({ ...base, ...change });
      throw new Error("was not refused");
    } catch (error) {
      expect((error as DomainError).code).toBe(code);
    }
  });
});
