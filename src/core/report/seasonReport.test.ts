import fc from "fast-check";
import { seasonReport, type ReportBatch, type ReportUse } from "./seasonReport";

const batch = (id: number, change: Partial<ReportBatch> = {}): ReportBatch => ({
  ...{ id, methodId: "aerated-tea", name: "Tea", costMinor: 1000, outcome: "strained", yieldL: 100 },
  ...{
    startedOn: "2031-03-01",
    endedOn: "2031-03-03",
    ingredientsMinor: 600,
    labourMinor: 300,
    powerMinor: 100,
    labourMin: 30,
  },
  ...change,
});
const use = (
  id: number,
  batchId: number,
  on: string,
  concentrateL: number,
  plots: readonly number[] = [1],
): ReportUse => ({
  ...{ id, batchId, on, labourMinor: 0, labourMin: 0 },
  plots: plots.map((plotId) => ({
    ...{
      plotId,
      concentrateL: concentrateL / plots.length,
      mixL: 10,
      crop: plotId === 1 ? "leeks" : "peas",
      areaM2: 10 * plotId,
    },
  })),
});
const SPAN = { from: "2031-01-01", to: "2031-12-31" };

describe("the season's report", () => {
  it("tells an input by what was made, put on, wasted and failed in the season alone", () => {
    const { inputs, money } = seasonReport({
      ...SPAN,
      batches: [batch(1), batch(2, { startedOn: "2030-11-01" }), batch(3, { outcome: "discarded", yieldL: 0 })],
      uses: [use(1, 1, "2031-03-04", 40), use(2, 2, "2030-11-09", 30), use(3, 2, "2031-02-01", 20)],
      waste: [{ batchId: 1, litres: 10, cause: "spilt", on: "2031-03-05" }],
    });
    expect(inputs).toEqual([
      expect.objectContaining({
        batches: 2,
        failed: 1,
        madeL: 100,
        usedL: 60,
        wastedL: 10,
        costMinor: 2000,
        perLMinor: 10,
      }),
    ]);
    // Forty litres of one, twenty of the other, each at its batch's price.
    expect(inputs[0]!.onPlotsMinor).toBe(600);
    expect(money).toMatchObject({ ingredientsMinor: 1200, makingMinor: 600, powerMinor: 200, lossMinor: 1100 });
  });
  it("tells ground by crop and plot, each application once, its area once", () => {
    const { crops, plots, inputs } = seasonReport({
      ...SPAN,
      batches: [batch(1)],
      uses: [use(1, 1, "2031-03-04", 20, [1, 2]), use(2, 1, "2031-03-09", 20, [1])],
      waste: [],
    });
    expect(crops.map(({ key, times, areaM2, costMinor }) => [key, times, areaM2, costMinor])).toEqual([
      ["leeks", 2, 10, 300],
      ["peas", 1, 20, 100],
    ]);
    expect(plots[0]).toMatchObject({ key: "1", perM2Minor: 30 });
    // What a shop's pack would have been for: each time that ground was treated.
    expect(inputs[0]!.treatedM2).toBe(40);
  });
  it("tells losses by the month of their day, a failed batch by that of its end", () => {
    const { losses } = seasonReport({
      ...SPAN,
      batches: [
        batch(1),
        batch(2, { outcome: "discarded", yieldL: 0, endedOn: "2031-05-02" }),
        batch(3, { outcome: "discarded", endedOn: "2032-01-04" }),
      ],
      uses: [],
      waste: [
        { batchId: 1, litres: 10, cause: "sour", on: "2031-03-05" },
        { batchId: 1, litres: 0, cause: "sour", on: "2031-04-05" },
        { batchId: 1, litres: 20, cause: "sour", on: "2031-06-05" },
      ],
    });
    expect(losses).toEqual([
      { cause: "sour", month: "2031-03", costMinor: 100 },
      { cause: "failed", month: "2031-05", costMinor: 1000 },
      { cause: "sour", month: "2031-06", costMinor: 200 },
    ]);
  });
  it("loses and invents no coin: seasons that follow on each other hold what all of them hold", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 27 })),
          { maxLength: 25 },
        ),
        fc.array(fc.integer({ min: 0, max: 99_999 }), { minLength: 4, maxLength: 4 }),
        (told, costs) => {
          const batches = costs.map((costMinor, id) => batch(id, { costMinor, startedOn: `203${id % 2}-02-01` }));
          const uses = told
            .map(([of, litres, day], nth) =>
              use(
                nth + 1,
                of,
                `203${nth % 2}-03-${String(day).padStart(2, "0")}`,
                litres,
                nth % 3 === 0 ? [1, 2] : [2],
              ),
            )
            .toSorted((one, other) => (one.on < other.on ? -1 : 1));
          const input = { batches, uses, waste: [] };
          const spent = (from: string, to: string) =>
            seasonReport({ ...input, from, to }).plots.reduce((sum, { costMinor }) => sum + costMinor, 0);
          expect(spent("2030-01-01", "2030-12-31") + spent("2031-01-01", "2031-12-31")).toBe(
            spent("2030-01-01", "2031-12-31"),
          );
          const whole = seasonReport({ ...input, from: "2030-01-01", to: "2031-12-31" });
          const byCrop = whole.crops.reduce((sum, { costMinor }) => sum + costMinor, 0);
          expect(byCrop).toBe(whole.inputs.reduce((sum, { onPlotsMinor }) => sum + onPlotsMinor, 0));
          expect(byCrop).toBeLessThanOrEqual(costs.reduce((sum, one) => sum + one, 0));
        },
      ),
    );
  });
});
