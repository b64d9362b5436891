import fc from "fast-check";
import { LOOKS, looksDue, SIGNS } from "./looks";

const DAY = 86_400_000;
const due = (agesD: readonly number[], looksD: readonly number[] = []) =>
  looksDue(
    agesD.map((age, index) => ({ applicationId: index + 1, atMs: -age * DAY })),
    looksD.map((ago) => -ago * DAY),
    0,
  ).map(({ applicationId, afterD }) => [applicationId, afterD]);

describe("looking after something went on", () => {
  it("comes after a day, one to four weeks and a season, at what it shows by then", () => {
    expect([0.5, 1, 6, 7, 15, 22, 27, 28, 89, 91, 121].map((age) => due([age])[0]?.[1] ?? null)).toEqual([
      null,
      1,
      1,
      7,
      14,
      21,
      21,
      28,
      28,
      90,
      null,
    ]);
    for (const { signs } of LOOKS) for (const sign of signs) expect(SIGNS[sign].length).toBeGreaterThan(1);
  });
  it("is done by a look at the plot since it fell due, not by one before", () => {
    expect(due([8], [0.5])).toEqual([]);
    expect(due([8], [2])).toEqual([[1, 7]]);
    expect(due([8], [1])).toEqual([]);
  });
  it("is asked for each thing that went on, the latest due first; one look serves for all", () => {
    expect(due([15, 1.2])).toEqual([
      [2, 1],
      [1, 14],
    ]);
    expect(due([15, 1.2], [0])).toEqual([]);
  });
  it("never asks for what was looked at now", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 200, noNaN: true }), { maxLength: 8 }), (ages) =>
        expect(due(ages, [0])).toEqual([]),
      ),
    );
  });
});
