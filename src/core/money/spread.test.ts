import { chanceFrom } from "../chance";
import { spreadCosts, type SpreadBatch, type SpreadUse } from "./spread";

const seeds = Array.from({ length: 120 }, (_, seed) => seed);

describe("costs spread over what came of them", () => {
  it.each(seeds)("%i: all that went in is on plots, lost, on hand or running, to the last coin", (seed) => {
    const chance = chanceFrom(seed);
    const whole = (from: number, to: number): number => Math.floor(chance.between(from, to + 1 - 1e-9));
    const batches = Array.from({ length: whole(1, 8) }, (_, id): SpreadBatch => ({
      id,
      costMinor: whole(0, 5000),
      outcome: chance.pick(["strained", "running", "discarded"] as const, [6, 1, 1]),
      yieldL: chance.between(0, 200),
    }));
    const uses = Array.from({ length: whole(0, 20) }, (_, id): SpreadUse => ({
      id,
      batchId: whole(0, batches.length - 1),
      labourMinor: whole(0, 900),
      plots: Array.from({ length: whole(1, 12) }, (__, plotId) => ({
        plotId,
        concentrateL: chance.between(0, 4),
        mixL: chance.between(0, 30),
      })),
    }));
    const waste = Array.from({ length: whole(0, 4) }, () => ({
      batchId: whole(0, batches.length - 1),
      litres: chance.between(0, 60),
      cause: "spilt",
    }));
    const spread = spreadCosts(batches, uses, waste);
    expect(spread.onPlotsMinor + spread.lostMinor + spread.onHandMinor + spread.runningMinor).toBe(
      spread.batchesMinor + spread.labourMinor,
    );
    const perPlot = [...spread.plots.values()].flatMap((plots) => [...plots.values()]);
    expect(perPlot.reduce((sum, one) => sum + one, 0)).toBe(spread.onPlotsMinor);
    expect(Math.min(0, ...perPlot, spread.onHandMinor, spread.lostMinor)).toBe(0);
  });
  it("three equal beds of an odd sum differ by one coin, and together are the sum", () => {
    const spread = spreadCosts(
      [{ id: 1, costMinor: 1000, outcome: "strained", yieldL: 30 }],
      [
        {
          ...{ id: 1, batchId: 1, labourMinor: 0 },
          plots: [1, 2, 3].map((plotId) => ({ plotId, concentrateL: 1, mixL: 5 })),
        },
      ],
      [],
    );
    expect([...spread.plots.get(1)!.values()]).toEqual([34, 33, 33]);
    expect(spread.onHandMinor).toBe(900);
  });
});
