import { batchCost } from "./batchCost";

const request = {
  lots: [{ label: "Molasses", amount: 1.7, unitCostMinor: 360 }],
  labourMin: 45,
  labourMinorPerH: 1500,
  powerKWh: 1.2,
  powerMinorPerKWh: 30,
  consumables: [{ label: "Bag", costMinor: 80 }],
  yieldL: 160,
};

describe("batch cost", () => {
  it("is lots at their own price, labour, power and consumables, and its lines add up", () => {
    const cost = batchCost(request);
    expect(cost.breakdown.map(({ costMinor }) => costMinor)).toEqual([612, 1125, 36, 80]);
    expect(cost.totalMinor).toBe(1853);
    expect(cost.perLMinor).toBeCloseTo(11.58125, 9);
  });
  it("prices two lots of one thing each at its own price", () => {
    const cost = batchCost({
      ...request,
      lots: [
        { label: "old", amount: 1, unitCostMinor: 100 },
        { label: "new", amount: 1, unitCostMinor: 300 },
      ],
    });
    expect(cost.breakdown.slice(0, 2).map(({ costMinor }) => costMinor)).toEqual([100, 300]);
  });
  it("has no price per litre while nothing is strained, and refuses a yield of nothing", () => {
    expect(batchCost({ ...request, yieldL: null }).perLMinor).toBeNull();
    expect(() => batchCost({ ...request, yieldL: 0 })).toThrow('not-positive {"what":"yield"');
    expect(() => batchCost({ ...request, labourMin: -5 })).toThrow('out-of-range {"what":"labour"');
  });
});
